import { expect } from 'chai';
import { bulkOf, siphonPlan } from '../../src/drink/bulk.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { expectNear } from '../near.ts';
import { added, filled, lidoDrink } from './drinks.ts';

describe('in bulk', () => {
  it('makes a keg in the proportion of one glass, and as many glasses as it holds', () => {
    const drink = lidoDrink({ additions: [added('simple-syrup', 15)] });
    const solution = solveDrink(drink);
    const bulk = bulkOf({ drink, solution, volumeMl: 9500 })!;
    const perGlass = solution.concentrateMl + 15 + solution.fillMl;
    expectNear(bulk.perGlassMl, perGlass, 1e-12);
    expect(bulk.glasses).to.equal(Math.floor(9500 / perGlass));
    expectNear(
      bulk.ingredients.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
      9500,
      1e-12,
    );
    expectNear(bulk.concentrateG / 9500, solution.concentrateG / perGlass, 1e-12);
  });

  it('keeps no longer than its milk', () => {
    const drink = lidoDrink({ diluents: [filled('whole-milk')] });
    const bulk = bulkOf({ drink, solution: solveDrink(drink), volumeMl: 2000 })!;
    expect(bulk.keepDays).to.equal(4);
  });

  it('fills a litre siphon with 0.8 L: three glasses of 250 mL, one charger each (common practice)', () => {
    const plan = siphonPlan({
      siphonMl: 1000,
      chargesPerFill: 1,
      chargePrice: 0.75,
      perGlassMl: 250,
      count: 10,
    });
    expect(plan).to.deep.equal({
      fillMl: 800,
      glassesPerFill: 3,
      fills: 4,
      charges: 4,
      price: 3,
    });
  });
});
