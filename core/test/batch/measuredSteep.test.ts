import { expect } from 'chai';
import { measuredSteep } from '../../src/batch/measuredSteep.ts';
import { planInput } from '../../src/batch/plan.ts';
import { predictPlan } from '../../src/batch/predict.ts';
import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { expectNear } from '../near.ts';
import { actualOf } from './observations.ts';
import { TWO_PLACES_PLAN as plan } from './plans.ts';

const batch = { startedAt: '2026-06-12T18:00:00.000Z' };
const row = actualOf;

describe('measuredSteep', () => {
  it('is empty where nobody noted anything, so that the plan stands', () => {
    const nothing = measuredSteep({ batch, observations: [] });
    expect(nothing).to.deep.equal({});
    expect(brew(planInput(plan, nothing), model)).to.deep.equal(brew(planInput(plan), model));
  });

  it('reads what was weighed, poured, measured, stirred and strained, in seconds', () => {
    const measured = measuredSteep({
      batch,
      observations: [
        row('weighed', '17:58', { massG: 910 }),
        row('poured', '18:10', { massG: 3000, tempC: 20 }),
        row('poured', '18:02', { massG: 1500, tempC: 14 }),
        row('temperature', '20:00', { tempC: 17.5 }),
        row('agitated', '19:00'),
        row('strained', '23:00', { massG: 2900 }),
      ],
    });
    expect(measured).to.deep.equal({
      doseG: 910,
      pours: [
        { atS: 0, massG: 1500, tempC: 14 },
        { atS: 600, massG: 3000, tempC: 20 },
      ],
      temperatures: [{ atS: 7200, tempC: 17.5 }],
      agitationS: [3600],
      strainedS: 18_000,
    });
  });

  it('takes the last weighing, and leaves a row without its figures out', () => {
    const { doseG, pours } = measuredSteep({
      batch,
      observations: [
        row('weighed', '17:50', { massG: 800 }),
        row('weighed', '17:55', { massG: 850 }),
        row('poured', '18:00', { massG: 4000 }),
      ],
    });
    expect(doseG).to.equal(850);
    expect(pours).to.equal(undefined);
  });
});

describe('a measured history in place of the plan', () => {
  const outcome = (measured: Parameters<typeof planInput>[1]) =>
    brew(planInput(plan, measured), model);
  const planned = outcome({});

  it('gives the plan’s own outcome where all was done as planned', () => {
    const same = outcome({
      doseG: 900,
      pours: [{ atS: 0, massG: 4500, tempC: 12 }],
      places: plan.steep.map(({ hours, tempC }) => ({ durationS: hours * 3600, tempC })),
      agitationS: [],
      strainedS: 18 * 3600,
      rinseG: 0,
    });
    expectNear(same.strengthFrac, planned.strengthFrac, 1e-12);
    expectNear(same.brewG, planned.brewG, 1e-12);
  });

  it('goes through the same computation, piece by piece', () => {
    expect(outcome({ doseG: 1000 }).strengthFrac).to.be.above(planned.strengthFrac);
    expect(outcome({ pours: [{ atS: 0, massG: 5000, tempC: 12 }] }).waterG).to.equal(5000);
    expect(outcome({ strainedS: 10 * 3600 }).releasedFrac).to.be.below(planned.releasedFrac);
    const warm = { temperatures: [{ atS: 8 * 3600, tempC: 20 }] };
    expect(outcome(warm).releasedFrac).to.be.above(planned.releasedFrac);
    expect(outcome({ rinseG: 500 }).brewG).to.be.above(planned.brewG);
  });

  it('mixes pours by mass: two of 10 and 40 °C are one of their mean', () => {
    const { history } = planInput(plan, {
      pours: [
        { atS: 0, massG: 3000, tempC: 10 },
        { atS: 0, massG: 1500, tempC: 40 },
      ],
    });
    expect(history.tempC(0)).to.be.closeTo(20, 1e-9);
  });

  it('stands on a reading from its moment on, and on the plan before it', () => {
    const before = planInput(plan).history;
    const { history } = planInput(plan, { temperatures: [{ atS: 3600, tempC: 30 }] });
    expect(history.tempC(1800)).to.be.closeTo(before.tempC(1800), 1e-12);
    expect(history.tempC(3600)).to.be.closeTo(30, 1e-9);
    expect(history.tempC(7200)).to.be.within(22, 30);
  });

  it('reaches the page’s prediction with its range, curve and cautions', () => {
    const vessel = { brimMl: 6000, shaken: false };
    const of = (measured?: Parameters<typeof planInput>[1]) =>
      predictPlan({ plan, model, vessel, horizonHours: 30, ...(measured ? { measured } : {}) });
    const strained = of({ strainedS: 6 * 3600 });
    expect(strained.outcome.strengthFrac).to.be.below(of().outcome.strengthFrac);
    expect(strained.range.strengthFrac.high).to.be.below(of().range.strengthFrac.high);
  });

  // By hand: 910 g and 4500 g went in; 541 g spilled are a tenth of it.
  it('keeps what was not spilled: less of the same strength comes out', () => {
    const went = [
      row('weighed', '17:58', { massG: 910 }),
      row('poured', '18:02', { massG: 4500, tempC: 14 }),
    ];
    const whole = measuredSteep({ batch, observations: went });
    const spilled = measuredSteep({
      batch,
      observations: [...went, row('spilled', '19:00', { massG: 541 })],
    });
    expectNear(spilled.keptFrac!, 0.9, 1e-12);
    const [all, less] = [whole, spilled].map((measured) => brew(planInput(plan, measured), model));
    // All but a little: a smaller slurry follows its place a little sooner.
    expectNear(less!.brewG / all!.brewG, 0.9, 1e-4);
    expectNear(less!.strengthFrac, all!.strengthFrac, 1e-2);
  });

  it('counts what went over and what was spilled after it, of what went in', () => {
    const kept = measuredSteep({
      batch: { ...batch, plan: { ...plan, doseG: 1000, waterG: 4000 } },
      observations: [
        row('split-off', '19:00', { shareFrac: 0.5 }),
        row('spilled', '20:00', { massG: 500 }),
      ],
    }).keptFrac;
    // Half of 5 kg, less a tenth of it.
    expectNear(kept!, 0.4, 1e-12);
    const nearly = measuredSteep({
      batch: { ...batch, plan },
      observations: [row('spilled', '20:00', { massG: 50_000 })],
    });
    expect(nearly.keptFrac).to.equal(0.01);
  });
});
