import { expect } from 'chai';
import fc from 'fast-check';
import { ratioForStrength } from '../../src/brew/solveRatio.ts';
import {
  brewAmounts,
  solveBrew,
  TARGET_KEYS,
  type BrewSetting,
  type Target,
} from '../../src/brew/solve.ts';
import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { slurryTemperature } from '../../src/brew/temperature.ts';
import { slurryMl, vesselTimeConstantS } from '../../src/brew/vessel.ts';
import { DomainError } from '../../src/errors.ts';
import { expectNear } from '../near.ts';

const HOUR = 3600;

const setting = (over: Partial<BrewSetting> = {}): BrewSetting => ({
  grind: 'coarse',
  wetting: 'stages',
  waterC: 18,
  historyOf: ({ doseG, waterG }) =>
    slurryTemperature({
      doseG: 0,
      pours: [{ atS: 0, massG: waterG, tempC: 18 }],
      readings: [],
      places: [{ durationS: 40 * HOUR, tempC: 4 }],
      timeConstantS: vesselTimeConstantS(slurryMl({ doseG, waterG, tempC: 18 })),
    }),
  steepS: 18 * HOUR,
  agitationS: [],
  filtration: { method: 'drain', rinseG: 0 },
  ...over,
});

const pairs = TARGET_KEYS.flatMap((a, i) =>
  TARGET_KEYS.slice(i + 1).map((b) => [a, b] as const),
).filter((pair) => !(pair.includes('ratio') && pair.includes('strengthFrac')));

describe('solveBrew', () => {
  for (const [a, b] of pairs)
    it(`inverts the forward computation to 1e-9 from ${a} and ${b}`, () => {
      fc.assert(
        fc.property(
          fc.double({ min: 50, max: 5000, noNaN: true }),
          fc.double({ min: 3, max: 15, noNaN: true }),
          fc.constantFrom(0, 0, 400),
          (doseG, ratio, rinseG) => {
            const made = setting({ filtration: { method: 'drain', rinseG } });
            const forward = brewAmounts(made, { doseG, waterG: doseG * ratio }, model);
            const targets: [Target, Target] = [
              { key: a, value: forward[a] },
              { key: b, value: forward[b] },
            ];
            const solution = solveBrew(made, targets, model);
            if (solution.status !== 'solved') throw new Error(JSON.stringify(solution));
            const again = brewAmounts(made, solution.amounts, model);
            expectNear(again[a], forward[a], 1e-9);
            expectNear(again[b], forward[b], 1e-9);
          },
        ),
        { numRuns: 12 },
      );
    });

  it('agrees with the batch that the page shows', () => {
    const made = setting();
    const solution = solveBrew(
      made,
      [
        { key: 'brewMl', value: 6000 },
        { key: 'strengthFrac', value: 0.034 },
      ],
      model,
    );
    if (solution.status !== 'solved') throw new Error(solution.status);
    const { doseG, waterG } = solution.amounts;
    const outcome = brew(
      { ...made, doseG, waterG, history: made.historyOf({ doseG, waterG }) },
      model,
    );
    expectNear(outcome.brewMl, 6000, 1e-9);
    expectNear(outcome.strengthFrac, 0.034, 1e-9);
  });

  it('says that ratio and strength contradict each other, and by how much', () => {
    const solution = solveBrew(
      setting(),
      [
        { key: 'ratio', value: 8 },
        { key: 'strengthFrac', value: 0.035 },
      ],
      model,
    );
    if (solution.status !== 'contradiction') throw new Error(solution.status);
    expect(solution.between.map(({ key }) => key)).to.deep.equal(['ratio', 'strengthFrac']);
    const given = brewAmounts(setting(), { doseG: 1000, waterG: 8000 }, model).strengthFrac;
    expectNear(solution.given, given, 0.01);
    expectNear(solution.offFrac, given / 0.035 - 1, 0.02);
  });

  it('says between what a target lies that cannot be had', () => {
    // 1 kg of coffee cannot give a brew stronger than its own bed does.
    const strong = solveBrew(
      setting(),
      [
        { key: 'doseG', value: 1000 },
        { key: 'strengthFrac', value: 0.25 },
      ],
      model,
    );
    if (strong.status !== 'out_of_reach') throw new Error(strong.status);
    expect(strong.target.key).to.equal('strengthFrac');
    expect(strong.high).to.be.below(0.25);
    // A line of 2 L cannot hold 3 L of brew.
    const small = solveBrew(
      setting(),
      [
        { key: 'fillMl', value: 2000 },
        { key: 'brewMl', value: 3000 },
      ],
      model,
    );
    expect(small.status).to.equal('out_of_reach');
  });

  for (const targets of [
    [
      { key: 'doseG', value: 0 },
      { key: 'ratio', value: 5 },
    ],
    [
      { key: 'doseG', value: 10 },
      { key: 'doseG', value: 11 },
    ],
    [
      { key: 'doseG', value: Number.NaN },
      { key: 'ratio', value: 5 },
    ],
  ] as const)
    it(`refuses ${JSON.stringify(targets)}`, () => {
      expect(() => solveBrew(setting(), targets as unknown as [Target, Target], model)).to.throw(
        DomainError,
      );
    });
});

describe('ratioForStrength', () => {
  it('steeps to the strength', () => {
    const ratio = ratioForStrength({
      strengthFrac: 0.03,
      releasedFrac: 0.9,
      equilibriumYieldFrac: 0.215,
    })!;
    const yieldFrac = (0.9 * 0.215 * ratio) / (ratio + 0.5);
    expectNear(yieldFrac / (ratio + yieldFrac), 0.03, 1e-9);
  });

  it('says when no ratio does', () => {
    expect(
      ratioForStrength({ strengthFrac: 0.4, releasedFrac: 0.9, equilibriumYieldFrac: 0.215 }),
    ).to.equal(null);
  });
});
