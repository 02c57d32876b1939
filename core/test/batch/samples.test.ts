import { expect } from 'chai';
import fc from 'fast-check';
import { planOfSample, sampleSet } from '../../src/batch/samples.ts';
import { slurryMl } from '../../src/brew/vessel.ts';
import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { planInput, scalePlan } from '../../src/batch/plan.ts';
import { DomainError } from '../../src/errors.ts';
import { expectNear } from '../near.ts';
import { TWO_PLACES_PLAN as plan } from './plans.ts';

const jar = { brimMl: 1000, shaken: true };
const set = (over: Partial<Parameters<typeof sampleSet>[0]> = {}) =>
  sampleSet({
    plan,
    model,
    jar,
    ratios: [5, 7, 9],
    grinds: ['medium', 'coarse'],
    hours: [18],
    ...over,
  });

describe('sampleSet', () => {
  it('makes a jar of every combination, coarse first', () => {
    expect(set().map(({ number, grind, ratio }) => [number, grind, ratio])).to.deep.equal([
      [1, 'coarse', 5],
      [2, 'coarse', 7],
      [3, 'coarse', 9],
      [4, 'medium', 5],
      [5, 'medium', 7],
      [6, 'medium', 9],
    ]);
  });

  it('fills each jar to its headspace and no further', () => {
    for (const { doseG, waterG } of set()) {
      const filled = slurryMl({ doseG, waterG, tempC: 12 });
      expect(filled).to.be.at.most(700);
      expect(filled).to.be.above(690);
      expect(doseG % 0.5).to.equal(0);
    }
  });

  it('predicts weaker jars for thinner ratios, and stronger for longer steeps', () => {
    const [five, seven] = set({ grinds: ['coarse'] });
    expect(five!.strengthFrac).to.be.above(seven!.strengthFrac);
    const [short, long] = set({ ratios: [5], grinds: ['coarse'], hours: [8, 24] });
    expect(long!.extractionYieldFrac).to.be.above(short!.extractionYieldFrac);
  });

  it('scales every amount of the plan: a jar at the plan’s own ratio comes out as the plan does', () => {
    // 1000 g at 1:5 rinsed with 700 g is 3.3 %, and so is its 1:5 jar.
    const rinsed = {
      ...plan,
      doseG: 1000,
      waterG: 5000,
      filtration: { method: 'drain' as const, rinseG: 700 },
    };
    const [own] = set({ plan: rinsed, ratios: [5], grinds: ['coarse'] });
    expectNear(own!.strengthFrac, brew(planInput(rinsed), model).strengthFrac, 0.02);
  });

  it('knows every amount that a plan has', () => {
    const amounts = (value: unknown, path = ''): Map<string, number> =>
      new Map(
        Object.entries(value as object).flatMap(([key, one]) =>
          typeof one === 'number' && /(G|Ml)$/.test(key)
            ? [[`${path}${key}`, one] as const]
            : typeof one === 'object' && one !== null
              ? [...amounts(one, `${path}${key}.`)]
              : [],
        ),
      );
    const rinsed = { ...plan, filtration: { method: 'drain' as const, rinseG: 700 } };
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 20, noNaN: true }), (factor) => {
        const [before, after] = [amounts(rinsed), amounts(scalePlan(rinsed, factor))];
        expect([...before.keys()]).to.deep.equal(['doseG', 'waterG', 'filtration.rinseG']);
        for (const [key, value] of before) expectNear(after.get(key)!, value * factor, 1e-12);
      }),
    );
  });

  it('scales the winner back up to the plan’s coffee, and it steeps to the same share', () => {
    const winner = set()[1]!;
    const scaled = planOfSample({ plan, sample: winner });
    expect(scaled).to.include({ doseG: 900, waterG: 6300, grind: 'coarse' });
    expect(scaled.steep.map(({ hours }) => hours)).to.deep.equal([2, 16]);
    // A large vessel follows its place more slowly than a small jar: within 2 %.
    expectNear(
      brew(planInput(scaled), model).extractionYieldFrac,
      winner.extractionYieldFrac,
      0.02,
    );
  });

  it('shortens the first place where the steep ends in it', () => {
    expect(
      planOfSample({ plan, sample: { grind: 'coarse', ratio: 5, hours: 1.5 } }).steep,
    ).to.deep.equal([{ place: 'counter', tempC: 22, hours: 1.5 }]);
  });

  for (const over of [{ ratios: [] }, { ratios: [4, 5, 6, 7, 8] }])
    it(`refuses ${JSON.stringify(over)}: between one and nine`, () => {
      expect(() => set(over)).to.throw(DomainError);
    });
});
