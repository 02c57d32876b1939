import { expect } from 'chai';
import {
  planInput,
  predictStrain,
  strainTiming,
  vesselInUse,
  type ObservationRow,
  type Plan,
} from '../../src/batch/index.ts';
import { brew, modelOf } from '../../src/brew/index.ts';
import { expectNear } from '../near.ts';
import { FRIDGE_PLAN } from './plans.ts';

const PLAN: Plan = { ...FRIDGE_PLAN, coffeeId: 'c', vesselId: 'jar' };
const model = modelOf({ solubleFrac: 0.215, robustaFrac: 0, decafFrac: 0 });
const START = Date.parse('2026-06-12T16:00:00Z');
const batch = {
  id: 'one',
  plan: PLAN,
  model,
  status: 'steeping' as const,
  startedAt: new Date(START).toISOString(),
  endsAt: new Date(START + 18 * 3_600_000).toISOString(),
};
const after = (hours: number) => new Date(START + hours * 3_600_000).toISOString();

describe('a strain', () => {
  it('on time is what was planned', () => {
    const found = predictStrain({ batch, observations: [], strainedAt: batch.endsAt });
    expectNear(found.strengthFrac, brew(planInput(PLAN), model).strengthFrac, 1e-9);
    expect(strainTiming({ batch, strainedAt: batch.endsAt })).to.deep.equal({
      lateHours: 0,
      isFarOff: false,
    });
  });

  it('is predicted for the hours that it really had: a minute gives no concentrate', () => {
    const minute = predictStrain({ batch, observations: [], strainedAt: after(1 / 60) });
    const short = predictStrain({ batch, observations: [], strainedAt: after(6) });
    const planned = predictStrain({ batch, observations: [], strainedAt: after(18) });
    const long = predictStrain({ batch, observations: [], strainedAt: after(30) });
    expect(minute.strengthFrac).to.be.below(0.25 * planned.strengthFrac);
    const all = [minute, short, planned, long].map(({ strengthFrac }) => strengthFrac);
    expect(all).to.deep.equal(all.toSorted((a, b) => a - b));
    // The same as a plan of those hours.
    const six = { ...PLAN, steep: [{ ...PLAN.steep[0]!, hours: 6 }] };
    expectNear(short.strengthFrac, brew(planInput(six), model).strengthFrac, 1e-9);
  });

  it('takes what was noted of it in place of what was planned', () => {
    const weighed = {
      id: 'w',
      batchId: 'one',
      kind: 'weighed',
      at: batch.startedAt,
      massG: 600,
      tempC: null,
      strengthFrac: null,
      note: '',
      author: 'unsigned',
    } as ObservationRow;
    const found = predictStrain({ batch, observations: [weighed], strainedAt: batch.endsAt });
    const less = brew(planInput({ ...PLAN, doseG: 600 }), model);
    expectNear(found.strengthFrac, less.strengthFrac, 2e-3);
    expectNear(found.brewG, less.brewG, 1e-9);
  });

  for (const [hours, lateHours, isFarOff] of [
    [17, -1, false],
    [20, 2, false],
    [13, -5, true],
    [23, 5, true],
  ] as const)
    it(`of 18 h after ${hours} h is ${isFarOff ? 'far off' : 'near enough'}`, () => {
      const timing = strainTiming({ batch, strainedAt: after(hours) });
      expectNear(timing.lateHours, lateHours, 1e-9);
      expect(timing.isFarOff).to.equal(isFarOff);
    });
});

describe('a vessel', () => {
  const at = (hours: number, vesselId = 'jar', nowHours = 1) =>
    vesselInUse({
      batches: [batch],
      vesselId,
      startMs: START + hours * 3_600_000,
      hours: 10,
      nowMs: START + nowHours * 3_600_000,
    })?.id ?? null;

  it('is in use from the start until the strain, and another one is not', () => {
    expect([at(1), at(-9), at(17)]).to.deep.equal(['one', 'one', 'one']);
    expect([at(-10), at(18), at(1, 'other')]).to.deep.equal([null, null, null]);
  });

  it('is in use as long as nobody has strained it', () => {
    expect(at(20, 'jar', 21)).to.equal('one');
  });
});
