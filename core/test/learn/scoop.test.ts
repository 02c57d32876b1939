import { expect } from 'chai';
import { scoopOf, planInput } from '../../src/batch/plan.ts';
import { startedBatch } from '../../src/batch/start.ts';
import { jarOf } from '../../src/brew/vessel.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { brewRange } from '../../src/brew/range.ts';
import { USUAL_COFFEES } from '../../src/coffee/usual.ts';
import { scoopTimes } from '../../src/instruments/simulate.ts';
import { foundAt } from '../../src/instruments/standIn.ts';
import { fitLog } from '../../src/learn/fit.ts';
import { measureNext } from '../../src/learn/measureNext.ts';
import { observationOf } from '../../src/learn/observation.ts';
import { stepsOf } from '../../src/steps/stepsOf.ts';
import { actualOf } from '../batch/observations.ts';
import { usualPlan } from '../usualPlan.ts';

const scooped = usualPlan({ scooped: true });
const begun = (plan = scooped, known: Parameters<typeof startedBatch>[0]['known'] = null) => ({
  id: 'b',
  version: 1,
  ...startedBatch({
    plan,
    coffee: USUAL_COFFEES[0]!,
    vessel: jarOf({ id: 'jar', version: 1, name: 'Jar', brimMl: 6000 }),
    startedAt: new Date('2026-06-12T06:00:00.000Z'),
    known,
  }).batch,
});
const strained = (batch: ReturnType<typeof begun>) => ({
  ...batch,
  status: 'strained' as const,
  strainedAt: '2026-06-13T00:00:00.000Z',
});

describe('a scooped batch', () => {
  it('is ground, scooped and then weighed, without an amount that it must weigh', () => {
    const [grind, scoop] = stepsOf({ plan: scooped });
    expect(grind!.key).to.equal('grind');
    expect(scoop).to.include({ key: 'scoop', note: 'weighed', amountG: null });
    const [weigh, ground] = stepsOf({ plan: usualPlan() });
    expect(weigh).to.include({ key: 'weigh', amountG: 850 });
    expect(ground!.key).to.equal('grind');
  });

  it('is less sure than a weighed one from its start', () => {
    const widthOf = ({ predicted }: ReturnType<typeof begun>): number =>
      predicted.strengthHighFrac - predicted.strengthLowFrac;
    expect(widthOf(begun())).to.be.above(1.02 * widthOf(begun(usualPlan())));
    const input = planInput(scooped);
    const { strengthFrac } = brewRange(input, begun().model, { ofScoop: scoopOf(input) });
    expect(widthOf(begun())).to.be.closeTo(strengthFrac.high - strengthFrac.low, 1e-12);
  });

  it('teaches by what its scoop weighed, though nothing else was read', () => {
    const weighed = actualOf('weighed', '06:00', { step: 'scoop', massG: 901 });
    const of = (batch: ReturnType<typeof begun>, observations: ReturnType<typeof actualOf>[]) =>
      observationOf({ batch: strained(batch), observations })?.scoop;
    expect(of(begun(), [weighed])).to.deep.equal({ expectedG: 850, foundG: 901 });
    expect(of(begun(usualPlan()), [weighed])).to.equal(undefined);
    expect(of(begun(), [])).to.equal(undefined);
    // What was learned before is in its dose: the tables would have said less.
    const learned = {
      ...fitLog([]).learned,
      looseLog: { value: Math.log(1.1), sigma: 0.02 },
    };
    const later = begun(scooped, { learned, version: 1 });
    expect(of(later, [weighed])!.expectedG).to.be.closeTo(850 / 1.1, 1e-9);
  });

  it('is weighed by a stand-in at what the shop’s scoop really holds', () => {
    const at = (plan = scooped) =>
      foundAt({
        batch: begun(plan),
        observations: [],
        step: stepsOf({ plan }).find(({ note }) => note === 'weighed')!,
        nowMs: Date.parse('2026-06-12T06:01:00.000Z'),
        seed: 4,
      }).massG;
    expect(at()).to.be.closeTo(850 * scoopTimes(4), 1e-9);
    expect(at(usualPlan())).to.equal(850);
    expect(scoopTimes(4)).not.to.equal(1);
  });

  it('is better known once it is weighed, and that is offered for a scooped plan alone', () => {
    const sure = { value: 0, sigma: 0.005 };
    const known = { yieldLog: sure, rateLog: sure, correlationFrac: 0 };
    const of = (plan = scooped) =>
      measureNext({ known, plan, model: USUAL_MODEL }).find(({ what }) => what === 'scoop');
    expect(of(usualPlan())).to.equal(undefined);
    expect(of()!.thenFrac).to.be.below(of()!.nowFrac);
    // Without the scoop it is as well known as a weighed one.
    const [weighed] = measureNext({ known, plan: usualPlan(), model: USUAL_MODEL });
    expect(of()!.thenFrac).to.be.closeTo(weighed!.nowFrac, 1e-12);
  });
});
