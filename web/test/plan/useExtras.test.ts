import { expect } from 'chai';
import { useExtras } from '../../src/plan/useExtras.ts';
import { installBrowser } from '../browser.ts';
import { lidoShop } from '../../../demo/lido.ts';
import { withPlan } from './planning.ts';

describe('useExtras', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (plan = {}) => withPlan({ browser, plan, use: useExtras });

  it('offers round amounts and what they do to the strength, and takes them', async () => {
    const { used, drafts } = await open({ doseG: 853.2, waterG: 4262.8 });
    const round = used.suggestions.value.find(({ key }) => key === 'round')!;
    expect(round.title).to.match(/^Round to 855/);
    expect(round.effect).to.match(/^3\.\d\d %, ([+−]0\.\d\d|the same)$/);
    const { doseG, waterG } = used.rounded.value!;
    used.take('round');
    expect(drafts.plan).to.include({ doseG, waterG });
    expect(used.rounded.value).to.equal(null);
  });

  it('counts the coffee in scoops of the shop, and takes whole ones', async () => {
    const { used, drafts } = await open();
    const [scoops] = used.measured.value;
    const count = Number(/^(\d+) × scoop/.exec(scoops!.title)![1]);
    // Coarse grounds lie at 0.32 g/mL where the shop has not weighed them (practice).
    const loose = scoops!.doseG / (count * lidoShop.scoopMl);
    expect(loose).to.be.within(0.28, 0.36);
    used.take('measure-0');
    expect(drafts.plan.doseG).to.be.closeTo(scoops!.doseG, 1e-9);
    expect(drafts.plan.waterG / drafts.plan.doseG).to.be.closeTo(5, 1e-9);
  });

  it('scales everything that goes in, the rinse with it', async () => {
    const { used, drafts } = await open({ filtration: { method: 'drain', rinseG: 300 } });
    used.take('doubled');
    expect(drafts.plan).to.include({ doseG: 1700, waterG: 8500 });
    expect(drafts.plan.filtration.rinseG).to.equal(600);
    expect(used.split.value).to.match(/^Split over 2 of Tall jar/);
  });

  it('says when most of it is out, and when it is a concentrate', async () => {
    const { used } = await open();
    expect(used.nearlyDone.value).to.match(/^90 % of its extraction is done at \d+/);
    expect(used.nearlyDone.value).to.match(/A concentrate from \d/);
    const thin = await open({ doseG: 200 });
    expect(thin.used.nearlyDone.value).to.contain('Never a concentrate');
  });

  it('says what each other choice does, as a number, and takes it', async () => {
    const { used, drafts } = await open();
    const effects = new Map(used.suggestions.value.map(({ title, effect }) => [title, effect]));
    expect(effects.get('Coarser')).to.match(/^3\.\d\d %, −0\.\d\d$/);
    expect(effects.get('Finer')).to.match(/^3\.\d\d %, \+0\.\d\d$/);
    expect(effects.get('On the counter')).to.match(/, \+0\.\d\d$/);
    expect(effects.get('Halved')).to.match(/^425.g of coffee$/);
    used.take('finer');
    expect(drafts.plan.grind).to.equal('medium-coarse');
    const place = used.suggestions.value.find(({ key }) => key === 'elsewhere')!;
    used.take(place.key);
    expect(drafts.plan.steep[0]).to.include({ place: 'counter', tempC: lidoShop.roomC });
  });

  it('compares with another choice, and says nothing where there is none', async () => {
    const { used } = await open();
    expect(used.comparedCurve.value).to.deep.equal([]);
    used.compareWith.value = 'elsewhere';
    const [warm] = used.comparedCurve.value;
    used.compareWith.value = 'finer';
    const [finer] = used.comparedCurve.value;
    const at = (curve: readonly { hours: number; strengthFrac: number }[]) =>
      curve.find(({ hours }) => hours >= 12)!.strengthFrac;
    used.compareWith.value = 'coarser';
    const [coarser] = used.comparedCurve.value;
    expect(at(warm!.curve)).to.be.above(at(coarser!.curve));
    expect(at(finer!.curve)).to.be.above(at(coarser!.curve));
  });

  it('follows a batch that is left on its grounds, stronger every day', async () => {
    const { used } = await open({ filtration: { method: 'on-grounds', rinseG: 0 } });
    const strengths = [...used.byDay.value.matchAll(/(\d\.\d\d)/g)].map(([text]) => Number(text));
    expect(strengths.length).to.be.above(3);
    expect(strengths).to.deep.equal([...strengths].sort());
    expect((await open()).used.byDay.value).to.equal('');
  });
});
