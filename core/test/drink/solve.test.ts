import { expect } from 'chai';
import fc from 'fast-check';
import { levelMl, strengthAt } from '../../src/drink/glass.ts';
import type { DrinkInput } from '../../src/drink/setting.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { massG } from '../../src/matter/composition.ts';
import { INGREDIENT_IDS, INGREDIENTS, type IngredientId } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';

const diluents = (id: IngredientId, tempC: number) => [
  { ingredient: INGREDIENTS[id], tempC, proportion: 1 },
];

const lido = (over: Partial<DrinkInput> = {}): DrinkInput => ({
  glass: {
    cupMl: 350,
    ice: { massG: 150, tempC: -2, coffeeFrac: 0, kind: 'cubes' },
    roomC: 22,
    stirredDown: false,
    chilledToC: null,
  },
  concentrate: { strengthFrac: 0.035, tempC: 4, caffeineMgPerG: 2.1 },
  additions: [{ ingredient: INGREDIENTS['simple-syrup'], volumeMl: 15, tempC: 4 }],
  diluents: diluents('water', 4),
  target: { strengthFrac: 0.014, atMinutes: 4 },
  ...over,
});

/** What can take the rest of a glass: nothing that is spooned. */
const POURED = INGREDIENT_IDS.filter((id) => {
  const { looseGPerMl, kind } = INGREDIENTS[id];
  return looseGPerMl === null && kind !== 'paste';
});

const drinks: fc.Arbitrary<DrinkInput> = fc
  .record({
    cupMl: fc.double({ min: 120, max: 700, noNaN: true }),
    iceShare: fc.double({ min: 0, max: 0.6, noNaN: true }),
    iceC: fc.double({ min: -18, max: 0, noNaN: true }),
    coffeeFrac: fc.constantFrom(0, 0, 0.01),
    jugFrac: fc.double({ min: 0.012, max: 0.06, noNaN: true }),
    syrupShare: fc.double({ min: 0, max: 0.2, noNaN: true }),
    ingredient: fc.constantFrom(...POURED),
    fillC: fc.double({ min: 1, max: 30, noNaN: true }),
    strengthFrac: fc.double({ min: 0.004, max: 0.03, noNaN: true }),
    atMinutes: fc.double({ min: 0, max: 20, noNaN: true }),
    stirredDown: fc.boolean(),
    chilledToC: fc.constantFrom(null, null, 2),
  })
  .map((r) =>
    lido({
      glass: {
        cupMl: r.cupMl,
        ice: {
          massG: r.iceShare * r.cupMl,
          tempC: r.iceC,
          coffeeFrac: r.coffeeFrac,
          kind: 'cubes',
        },
        roomC: 22,
        stirredDown: r.stirredDown,
        chilledToC: r.chilledToC,
      },
      concentrate: { strengthFrac: r.jugFrac, tempC: 4, caffeineMgPerG: 2 },
      additions: [
        { ingredient: INGREDIENTS['rich-syrup'], volumeMl: r.syrupShare * r.cupMl, tempC: 4 },
      ],
      diluents: diluents(r.ingredient, r.fillC),
      target: { strengthFrac: r.strengthFrac, atMinutes: r.atMinutes },
    }),
  );

describe('solveDrink', () => {
  it('meets target and fill line to 1e-9 where it says so', () => {
    fc.assert(
      fc.property(drinks, (input) => {
        const solution = solveDrink(input);
        const iceG = input.glass.ice!.massG;
        if (solution.status !== 'met') return;
        expectNear(levelMl({ mixed: solution.mixed, iceG }), input.glass.cupMl, 1e-9);
        if (!('strengthFrac' in input.target)) return;
        const { strengthFrac, atMinutes: minutes } = input.target;
        expectNear(solution.strengthFrac, strengthFrac, 1e-9);
        // Melted once more, apart from how it was found.
        const { glass } = input;
        expectNear(strengthAt({ glass, mixed: solution.mixed, minutes }), strengthFrac, 1e-9);
      }),
      { numRuns: 2000, seed: 20261127 },
    );
  });

  it('refuses exactly where no amount of concentrate would do (brute force over 60 amounts)', () => {
    fc.assert(
      fc.property(drinks, (input) => {
        const { status } = solveDrink(input);
        const target = input.target as { strengthFrac: number };
        const strengths: number[] = [];
        for (let i = 0; i <= 60; i++) {
          const parts = { concentrate: i, fill: 60 - i };
          const trial = solveDrink({ ...input, target: { parts } });
          if (trial.status !== 'met') break;
          const minute = (input.target as { atMinutes: number }).atMinutes;
          const timeline = trial.timeline();
          const before = timeline[Math.floor(minute)]!;
          const after = timeline[Math.min(30, Math.floor(minute) + 1)]!;
          const t = minute - Math.floor(minute);
          strengths.push(before.strengthFrac * (1 - t) + after.strengthFrac * t);
        }
        if (strengths.length === 0) expect(status).to.equal('no_room');
        else if (Math.max(...strengths) < target.strengthFrac * 0.998)
          expect(status).to.equal('too_weak');
        else if (Math.min(...strengths) > target.strengthFrac * 1.002)
          expect(status).to.equal('no_room');
        else if (
          Math.max(...strengths) > target.strengthFrac * 1.002 &&
          Math.min(...strengths) < target.strengthFrac * 0.998
        )
          expect(status).to.equal('met');
      }),
      { numRuns: 40 },
    );
  });

  it('never gains strength while water ice melts', () => {
    fc.assert(
      fc.property(drinks, (input) => {
        const water = { ...input.glass.ice!, coffeeFrac: 0 };
        const timeline = solveDrink({ ...input, glass: { ...input.glass, ice: water } }).timeline();
        for (let i = 1; i < timeline.length; i++)
          expect(timeline[i]!.strengthFrac).to.be.at.most(timeline[i - 1]!.strengthFrac + 1e-12);
      }),
      { numRuns: 60 },
    );
  });

  it('pours more concentrate for a stronger target', () => {
    let before = 0;
    for (let strengthFrac = 0.004; strengthFrac < 0.025; strengthFrac += 0.002) {
      const { concentrateG } = solveDrink(lido({ target: { strengthFrac, atMinutes: 4 } }));
      expect(concentrateG).to.be.above(before);
      before = concentrateG;
    }
  });

  it('names the concentrate that would reach a target out of reach, and it does', () => {
    const input = lido({
      concentrate: { strengthFrac: 0.02, tempC: 4, caffeineMgPerG: 1 },
      target: { strengthFrac: 0.024, atMinutes: 4 },
    });
    const weak = solveDrink(input);
    expect(weak.status).to.equal('too_weak');
    expect(weak.strengthFrac).to.be.below(0.024);
    const concentrate = { ...input.concentrate, strengthFrac: weak.needsStrengthFrac! };
    const enough = solveDrink({ ...input, concentrate });
    expectNear(enough.strengthFrac, 0.024, 1e-9);
  });

  it('says when additions leave no room', () => {
    const additions = [{ ingredient: INGREDIENTS['whole-milk'], volumeMl: 360, tempC: 4 }];
    const { status, concentrateG, fillG } = solveDrink(lido({ additions }));
    expect({ status, concentrateG, fillG }).to.deep.equal({
      status: 'no_room',
      concentrateG: 0,
      fillG: 0,
    });
  });

  it('pours one to one by volume', () => {
    const { concentrateMl, fillMl } = solveDrink(
      lido({ target: { parts: { concentrate: 1, fill: 1 } } }),
    );
    expectNear(concentrateMl, fillMl, 1e-12);
  });

  it('counts a glass by hand: without ice or syrup 1:1 of 3 % is 1.51 %', () => {
    // Equal volumes; the concentrate is 1.2 % denser than water: 0.03·1.0115/(1.0115 + 1) = 1.509 %.
    const solution = solveDrink(
      lido({
        glass: { ...lido().glass, ice: null },
        additions: [],
        concentrate: { strengthFrac: 0.03, tempC: 4, caffeineMgPerG: 2 },
        target: { parts: { concentrate: 1, fill: 1 } },
      }),
    );
    expectNear(solution.strengthFrac, 0.01509, 5e-4);
    expectNear(massG(solution.mixed.composition), 352, 2e-3);
  });

  it('grows stronger over coffee ice when the ice is stronger than the drink', () => {
    const ice = { massG: 150, tempC: -2, coffeeFrac: 0.02, kind: 'cubes' as const };
    const timeline = solveDrink(
      lido({
        glass: { ...lido().glass, ice },
        diluents: diluents('whole-milk', 6),
        target: { strengthFrac: 0.01, atMinutes: 4 },
      }),
    ).timeline();
    expect(timeline[30]!.strengthFrac).to.be.above(timeline[0]!.strengthFrac);
  });
});
