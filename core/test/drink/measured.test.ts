import { expect } from 'chai';
import fc from 'fast-check';
import { measuredDrink } from '../../src/drink/measured.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { expectNear } from '../near.ts';
import { added, filled, lidoDrink } from './drinks.ts';

const tools = { jiggerMl: 5, pumpMl: 7.5, spoonMl: 5, scaleG: 1 };

describe('measuredDrink', () => {
  const drink = lidoDrink({
    additions: [added('simple-syrup', 10), added('cocoa-powder', 4)],
    diluents: [filled('oat-drink', 4, 2), filled('water')],
  });
  const solution = solveDrink(drink);
  const byJigger = measuredDrink({ drink, solution, tools, by: 'jigger' });

  it('pumps syrups, spoons powders, or takes what is nearer, and pours the rest by the jigger', () => {
    const given = byJigger.additions.map(({ tool, count, volumeMl }) => [tool, count, volumeMl]);
    expect(given).to.deep.equal([
      // 10 mL: two bar spoons of 5 mL are nearer than a pump of 7.5 mL; 4 mL: the scale.
      ['spoon', 2, 10],
      ['scale', 4, 4],
    ]);
    expect(byJigger.concentrate.tool).to.equal('jigger');
    for (const part of [byJigger.concentrate, ...byJigger.diluents])
      expectNear(part.volumeMl, part.count * 5, 1e-12);
  });

  for (const [ingredient, wantedMl, tool, count, noneNear] of [
    ['simple-syrup', 2.5, 'spoon', 0.5, false],
    ['simple-syrup', 7.5, 'pump', 1, false],
    ['simple-syrup', 15, 'pump', 2, false],
    ['simple-syrup', 1, 'spoon', 0.5, true],
    ['cocoa-powder', 5, 'spoon', 1, false],
  ] as const)
    it(`takes what is nearest for ${wantedMl} mL of ${ingredient}`, () => {
      const one = lidoDrink({ additions: [added(ingredient, wantedMl)] });
      const { additions } = measuredDrink({
        drink: one,
        solution: solveDrink(one),
        tools,
        by: 'jigger',
      });
      expect(additions[0]).to.include({ tool, count, noneNear });
    });

  it('says what the rounding does, by pouring the rounded amounts', () => {
    const { offFrac, overLineMl, solution: poured } = byJigger;
    expectNear(poured.strengthFrac, solution.strengthFrac + offFrac, 1e-12);
    expectNear(poured.levelMl, 350 + overLineMl, 1e-12);
    expect(Math.abs(overLineMl)).to.be.above(0.01);
  });

  it('is nearer on the scale than by the jigger, for most drinks (40 glasses)', () => {
    let nearer = 0;
    for (let i = 0; i < 40; i++) {
      const one = lidoDrink({ target: { strengthFrac: 0.01 + 0.0002 * i, atMinutes: 4 } });
      const solved = solveDrink(one);
      const off = (by: 'jigger' | 'scale') =>
        Math.abs(measuredDrink({ drink: one, solution: solved, tools, by }).offFrac);
      if (off('scale') <= off('jigger')) nearer++;
    }
    expect(nearer).to.be.above(30);
  });

  it('never leaves a part out, and never is off by more than half a step (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0005, max: 0.02, noNaN: true }), (strengthFrac) => {
        const one = lidoDrink({ target: { strengthFrac, atMinutes: 4 } });
        const solved = solveDrink(one);
        const { concentrate } = measuredDrink({
          drink: one,
          solution: solved,
          tools,
          by: 'jigger',
        });
        expect(concentrate.count).to.be.at.least(1);
        if (solved.concentrateMl > 2.5)
          expect(Math.abs(concentrate.volumeMl - solved.concentrateMl)).to.be.at.most(2.5 + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
});
