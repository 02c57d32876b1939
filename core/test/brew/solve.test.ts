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

  const solve = (targets: [Target, Target], over: Partial<BrewSetting> = {}) =>
    solveBrew(setting(over), targets, model);
  const at = (ratio: number, over: Partial<BrewSetting> = {}) =>
    brewAmounts(setting(over), { doseG: 1000, waterG: 1000 * ratio }, model);
  /** In a fridge whose temperature the slurry has from the start: its size changes nothing. */
  const cold: Partial<BrewSetting> = {
    historyOf: ({ waterG }) =>
      slurryTemperature({
        doseG: 0,
        pours: [{ atS: 0, massG: waterG, tempC: 4 }],
        readings: [],
        places: [{ durationS: 40 * HOUR, tempC: 4 }],
        timeConstantS: 3600,
      }),
  };
  const rinsed = (rinseG: number) => ({ filtration: { method: 'drain' as const, rinseG } });

  it('has a level of the water’s volume and what the grounds displace, by hand', () => {
    // 5 kg at 18 °C, 0.99859 g/mL (Kell 1975), and 0.77 mL for each gram of coffee (practice).
    expectNear(at(5).fillMl, 5000 / 0.99859 + 0.77 * 1000, 1e-5);
  });

  it('takes ratio and strength that agree, with a kilogram of coffee', () => {
    const ratio: Target = { key: 'ratio', value: 5 };
    const strength: Target = { key: 'strengthFrac', value: at(5).strengthFrac * 1.0005 };
    for (const targets of [
      [ratio, strength],
      [strength, ratio],
    ] as [Target, Target][]) {
      const solution = solve(targets);
      if (solution.status !== 'solved') throw new Error(solution.status);
      expectNear(solution.amounts.ratio, 5, 1e-12);
      expectNear(solution.amounts.doseG, 1000, 1e-12);
    }
  });

  for (const [strengthFrac, given] of [
    [0.9, 0.3],
    [1e-6, 150],
  ] as const)
    it(`names the ratio that a strength of ${strengthFrac} comes closest to: ${given}`, () => {
      const solution = solve([
        { key: 'strengthFrac', value: strengthFrac },
        { key: 'ratio', value: 5 },
      ]);
      if (solution.status !== 'contradiction') throw new Error(solution.status);
      expect(solution.given).to.equal(given);
      expectNear(solution.offFrac, given / 5 - 1, 1e-12);
    });

  it('names the ratio that a strength needs, where another one is set', () => {
    const solution = solve([
      { key: 'strengthFrac', value: at(5).strengthFrac },
      { key: 'ratio', value: 6 },
    ]);
    if (solution.status !== 'contradiction') throw new Error(solution.status);
    expectNear(solution.given, 5, 1e-3);
  });

  it('gives the weakest and the strongest that can be had', () => {
    const solution = solve(
      [
        { key: 'waterG', value: 4000 },
        { key: 'strengthFrac', value: 0.25 },
      ],
      cold,
    );
    if (solution.status !== 'out_of_reach') throw new Error(solution.status);
    expect(solution.target.key).to.equal('strengthFrac');
    expectNear(solution.low, at(150, cold).strengthFrac, 1e-9);
    expect(solution.high).to.be.within(at(1, cold).strengthFrac, 0.25);
  });

  it('goes to the very ratio at which the bed drinks everything', () => {
    let [dry, wet] = [0.3, 5];
    while (wet - dry > 1e-12) {
      const middle = (dry + wet) / 2;
      if (at(middle, cold).brewMl > 0) wet = middle;
      else dry = middle;
    }
    // Drained grounds keep 2 g of liquid a gram (common practice), part of it what they give.
    expect(wet).to.be.within(1.5, 2);
    const brew: Target = { key: 'brewMl', value: 3000 };
    const strength = (value: number): Target => ({ key: 'strengthFrac', value });
    const solution = solve([brew, strength(0.25)], cold);
    if (solution.status !== 'out_of_reach') throw new Error(solution.status);
    expectNear(solution.high, at(wet, cold).strengthFrac, 1e-9);
    const most = solve([brew, strength(solution.high * (1 - 1e-6))], cold);
    if (most.status !== 'solved') throw new Error(most.status);
    expectNear(most.amounts.ratio, wet, 1e-5);
    expectNear(most.amounts.brewMl, 3000, 1e-9);
  });

  it('says how much brew a rinse makes at least', () => {
    const solution = solve(
      [
        { key: 'ratio', value: 5 },
        { key: 'brewMl', value: 100 },
      ],
      rinsed(400),
    );
    if (solution.status !== 'out_of_reach') throw new Error(solution.status);
    expect(solution.target.key).to.equal('brewMl');
    // A rinse of 400 g over next to no coffee, at 4 °C.
    expectNear(solution.low, 400, 1e-3);
    expect(solution.high).to.be.above(1e6);
  });

  it('says that no coffee makes a brew below what its bed keeps', () => {
    const solution = solve([
      { key: 'ratio', value: 1.5 },
      { key: 'brewMl', value: 1000 },
    ]);
    if (solution.status !== 'out_of_reach') throw new Error(solution.status);
    expect(solution.low).to.equal(0);
    expect(solution.high).to.equal(0);
  });

  it('means the thin one of two ratios with the same strength under a rinse', () => {
    const over = rinsed(2000);
    const [lean, rich] = [at(0.5, over), at(1, over)];
    expect(lean.strengthFrac).to.be.below(rich.strengthFrac);
    const solution = solve(
      [
        { key: 'doseG', value: 1000 },
        { key: 'strengthFrac', value: lean.strengthFrac },
      ],
      over,
    );
    if (solution.status !== 'solved') throw new Error(solution.status);
    expect(solution.amounts.ratio).to.be.above(1);
    expectNear(solution.amounts.strengthFrac, lean.strengthFrac, 1e-9);
  });

  it('names the amount that is none', () => {
    for (const value of [0, -1, Infinity]) {
      const call = () =>
        solve([
          { key: 'ratio', value: 5 },
          { key: 'doseG', value },
        ]);
      expect(call)
        .to.throw(DomainError)
        .with.deep.include({ code: 'out_of_range', data: { name: 'doseG', value, min: 0 } });
    }
    const twice = () =>
      solve([
        { key: 'doseG', value: 10 },
        { key: 'doseG', value: 11 },
      ]);
    expect(twice)
      .to.throw(DomainError)
      .with.deep.include({ code: 'out_of_range', data: { name: 'doseG' } });
  });

  it('leaves a dose or a water that is set as it is, to the last digit', () => {
    for (const rinseG of [0, 400])
      for (const [key, value] of [
        ['doseG', 851.3],
        ['waterG', 4251.7],
      ] as const) {
        const made = setting({ filtration: { method: 'drain', rinseG } });
        const solution = solveBrew(
          made,
          [
            { key, value },
            { key: 'ratio', value: 7 },
          ],
          model,
        );
        if (solution.status !== 'solved') throw new Error(solution.status);
        expect(solution.amounts[key]).to.equal(value);
      }
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
