import { expect } from 'chai';
import { usePlan } from '../../src/plan/usePlan.ts';
import { usePlanEdits } from '../../src/plan/usePlanEdits.ts';
import { installBrowser } from '../browser.ts';
import { until } from '../threads.ts';
import { withPlan } from './planning.ts';

describe('usePlanEdits', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = async (plan = {}) => {
    const { used, drafts } = await withPlan({
      browser,
      plan,
      use: () => {
        const page = usePlan();
        return { page, edits: usePlanEdits(page) };
      },
    });
    return { ...used, drafts };
  };
  const twoPlaces = {
    steep: [
      { place: 'counter' as const, tempC: 22, hours: 2 },
      { place: 'fridge' as const, tempC: 4, hours: 16 },
    ],
  };

  it('gives the last place what is left of the hours, never less than a quarter of one', async () => {
    const { edits, drafts, page } = await open(twoPlaces);
    edits.setHours(20);
    expect(drafts.plan.steep.map(({ hours }) => hours)).to.deep.equal([2, 18]);
    edits.setHours(1);
    expect(drafts.plan.steep.map(({ hours }) => hours)).to.deep.equal([2, 0.25]);
    expect(page.hours.value).to.equal(2.25);
  });

  it('fills to a level that somebody drags', async () => {
    const { edits, drafts } = await open();
    drafts.setAmount('ratio', 5);
    edits.setLevel(4000);
    expect(drafts.amounts!.fillMl).to.be.closeTo(4000, 1e-5);
  });

  it('takes a steep that ends while somebody is in, with its beginning', async () => {
    const { edits, drafts } = await open();
    const startMs = Date.parse('2026-06-13T13:00:00.000Z');
    edits.takeFit({ startMs, steepHours: 18 } as Parameters<typeof edits.takeFit>[0]);
    expect(drafts.draft.startAt).to.equal('2026-06-13T13:00:00.000Z');
    edits.takeFit({ startMs, steepHours: 20 } as Parameters<typeof edits.takeFit>[0]);
    expect(drafts.plan.steep[0]!.hours).to.equal(20);
  });

  it('brews for so many of a drink, at the strength that is set', async () => {
    const { edits, page, drafts } = await open();
    await until(() => page.pours.value.length > 0);
    const [before] = page.pours.value;
    drafts.setAmount('strengthFrac', 0.034);
    await until(() => page.pours.value[0]!.eachG !== before!.eachG);
    const { drink, eachG } = page.pours.value[0]!;
    edits.setDrinks(drink.id, 30);
    const { brewG, strengthFrac } = page.result.value!.outcome;
    expect(Math.floor(brewG / eachG! + 1e-6)).to.equal(30);
    expect(strengthFrac).to.be.closeTo(0.034, 1e-9);
  });

  it('leaves the plan alone for a drink that is not poured', async () => {
    const { edits, drafts } = await open();
    const { plan } = drafts;
    edits.setDrinks('teapot', 3);
    expect(drafts.plan).to.equal(plan);
  });
});
