import { expect } from 'chai';
import { drinkCost } from '../../src/drink/cost.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';
import { added, cubes, lidoDrink } from './drinks.ts';

describe('drinkCost', () => {
  it('adds up the parts, water for nothing, and names what has no price', () => {
    const milk = { ...INGREDIENTS['whole-milk'], pricePerKg: 1.2 };
    const drink = lidoDrink({
      diluents: [{ ingredient: milk, tempC: 4, proportion: 1 }],
      additions: [added('simple-syrup', 15), added('water', 20)],
    });
    const solution = solveDrink(drink);
    const { price, unknown } = drinkCost({ drink, solution, concentratePricePerKg: 8 });
    expectNear(price, (solution.concentrateG * 8 + solution.fillG * 1.2) / 1000, 1e-9);
    expect(unknown).to.deep.equal(['Simple syrup, 1:1']);
  });

  it('counts coffee cubes as the concentrate that is in them', () => {
    const ice = { ...cubes(100), coffeeFrac: 0.035 };
    const drink = lidoDrink({ target: { concentrateMl: 0 } }, { ice });
    const { price } = drinkCost({
      drink,
      solution: solveDrink(drink),
      concentratePricePerKg: 8,
    });
    expectNear(price, 0.8, 1e-9);
  });
});
