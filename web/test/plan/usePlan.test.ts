import { expect } from 'chai';
import { horizonOf, usePlan } from '../../src/plan/usePlan.ts';
import { useSettings } from '../../src/shop/settings.ts';
import { installBrowser } from '../browser.ts';
import { until } from '../threads.ts';
import { withPlan } from './planning.ts';

describe('usePlan', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (plan = {}) => withPlan({ browser, plan, use: usePlan });

  it('draws the jar to its level, and says how much room is left', async () => {
    const { used } = await open();
    const drawing = used.drawing.value!;
    // 850 g of grounds take 0.77 mL each beside the water.
    expect(drawing.slurryMl).to.be.closeTo(4250 + 0.77 * 850, 30);
    expect(drawing.texts.head).to.match(/^1\.\d\d\sL headspace: fits$/);
    expect(drawing.bedMl).to.be.below(drawing.slurryMl);
    expect(drawing.texts.steep).to.equal('18\u00a0h, then strain');
    const over = await open({ waterG: 6000, doseG: 1200 });
    expect(over.used.drawing.value!.texts.head).to.match(/^overflows by \d/);
  });

  it('writes volumes in the measures of the tablet', async () => {
    const { used } = await open();
    useSettings().units = 'us';
    expect(used.drawing.value!.texts.brew).to.match(/qt$/);
    expect(used.drawing.value!.perUnitMl).to.be.closeTo(946.352946, 1e-9);
  });

  it('puts the steep on its curve, and the curve past its end', async () => {
    const { used } = await open();
    const { curve, hours, yieldFrac } = used.chart.value!;
    expect(hours).to.equal(18);
    expect(curve.at(-1)!.hours).to.equal(30);
    const before = curve.filter((point) => point.hours <= 18).at(-1)!;
    const after = curve.find((point) => point.hours >= 18)!;
    expect(yieldFrac).to.be.within(
      before.extractionYieldFrac - 1e-9,
      after.extractionYieldFrac + 1e-9,
    );
  });

  it('counts the first drinks of the menu, and what a litre costs', async () => {
    const { used } = await open();
    await until(() => used.pours.value.length > 0);
    expect(used.pours.value.map(({ drink }) => drink.id)).to.deep.equal([
      'lido-black',
      'oat-breakwater',
      'milk-tide',
    ]);
    const [black] = used.pours.value;
    const { brewG, brewMl } = used.result.value!.outcome;
    expect(black!.count).to.equal(Math.floor(brewG / black!.eachG!));
    // 850 g at 31.00 a kilogram over the litres that come out.
    expect(used.cost.value!.unit).to.equal('per L');
    expect(Number(used.cost.value!.figure)).to.be.closeTo((850 * 31) / brewMl, 0.006);
  });

  it('pours nothing where the bed drinks all the water', async () => {
    const { used } = await open({ doseG: 1000, waterG: 1500 });
    expect(used.pours.value).to.deep.equal([]);
    expect(used.cost.value).to.equal(null);
  });

  it('looks as far as a long steep goes', () => {
    expect(horizonOf({ steep: [{ place: 'fridge', tempC: 4, hours: 12 }] } as never)).to.equal(30);
    const long = [24, 24].map((hours) => ({ place: 'fridge', tempC: 4, hours }));
    expect(horizonOf({ steep: long } as never)).to.equal(54);
  });
});
