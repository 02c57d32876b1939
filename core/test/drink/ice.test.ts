import { expect } from 'chai';
import { drinkCost } from '../../src/drink/cost.ts';
import { fromJugG } from '../../src/drink/fromJug.ts';
import { iceComposition, icePerG, type Ice } from '../../src/drink/ice.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { massG } from '../../src/matter/composition.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { makeHouseRecipe } from '../../src/pantry/makeHouseRecipe.ts';
import { houseRecipeSchema } from '../../src/pantry/houseRecipeSchema.ts';
import { expectNear } from '../near.ts';
import { filled, lidoDrink } from './drinks.ts';

const frozen = makeHouseRecipe(
  houseRecipeSchema.parse({
    id: 'milk-cubes',
    version: 1,
    name: 'Milk cubes',
    inputs: [{ ingredient: 'condensed-milk', amount: { massG: 200 } }],
    process: {
      method: 'freeze',
      leftoverG: 300,
      strengthFrac: 0.03,
      caffeineMgPerG: 2,
      pricePerKg: 5,
    },
    lifeDays: null,
    note: '',
  }),
  INGREDIENTS,
).ingredient;
const ice: Ice = {
  massG: 180,
  tempC: -2,
  coffeeFrac: frozen.per100G.coffeeG / 100,
  kind: 'cubes',
  recipe: frozen,
};

describe('ice of a house recipe', () => {
  it('is all that it was frozen from: 180 g of two parts condensed milk to three of coffee', () => {
    // By hand: 72 g of condensed milk hold 54.4 % of sugar and 328 kcal per 100 g, 108 g of coffee
    // 3 % of solids at 1 kcal/g.
    const whole = iceComposition(ice);
    expectNear(massG(whole), 180, 1e-12);
    expectNear(whole.sugarG, 72 * 0.544, 1e-9);
    expectNear(whole.coffeeG, 108 * 0.03, 1e-9);
    const drink = lidoDrink({ target: { concentrateMl: 20 } }, { ice });
    const solution = solveDrink(drink);
    expectNear(solution.sugarG, 39.2, 0.002);
    expectNear(solution.energyKcal - solution.concentrateG * 0.035, 72 * 3.28 + 3.2, 0.01);
  });

  it('sweetens the drink as it melts, and its mass is kept', () => {
    const { composition } = { composition: icePerG(ice) };
    expectNear(massG(composition), 1, 1e-12);
    expectNear(composition.sugarG, (0.4 * 54.4) / 100, 1e-9);
  });
});

describe('what a drink takes out of the jug', () => {
  const coffeeIce: Ice = { massG: 100, tempC: -2, coffeeFrac: 0.02, kind: 'cubes' };
  const drink = lidoDrink({ target: { concentrateMl: 40 } }, { ice: coffeeIce });
  const solution = solveDrink(drink);

  it('is its concentrate and what its cubes were frozen from', () => {
    // By hand: 2 g of solids in the cubes are 57.14 g of a 3.5 % jug.
    expectNear(fromJugG({ drink, solution }) - solution.concentrateG, 2 / 0.035, 1e-12);
    const { price } = drinkCost({ drink, solution, concentratePricePerKg: 10 });
    expectNear(price, fromJugG({ drink, solution }) / 100, 1e-12);
  });

  it('leaves out cubes that are a house recipe of their own, and water ice', () => {
    const over = lidoDrink({ target: { concentrateMl: 40 }, diluents: [filled('water')] }, { ice });
    expect(fromJugG({ drink: over, solution })).to.equal(solution.concentrateG);
    expect(fromJugG({ drink: lidoDrink(), solution })).to.equal(solution.concentrateG);
  });
});
