import { expect } from 'chai';
import { allergensOf } from '../../src/drink/cautions.ts';
import { drinkCost } from '../../src/drink/cost.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';
import { cubes, lidoDrink } from './drinks.ts';

describe('coffee cubes made by the house', () => {
  const part = {
    ...INGREDIENTS['instant-coffee'],
    id: 'cubes',
    name: 'Coffee cubes',
    caffeineMgPerG: 1.5,
    pricePerKg: 4,
    allergens: ['milk'] as const,
  };
  const ice = { ...cubes(100), coffeeFrac: 0.024, recipe: part };
  const drink = lidoDrink({ target: { concentrateMl: 0 } }, { ice });
  const solution = solveDrink(drink);

  it('bring their own caffeine, cost and allergens', () => {
    expectNear(solution.caffeineMg, 150, 1e-9);
    expectNear(drinkCost({ drink, solution, concentratePricePerKg: 8 }).price, 0.4, 1e-9);
    expect(allergensOf(drink)).to.deep.equal(['milk']);
  });

  it('over milk without any concentrate the drink grows stronger by the minute', () => {
    const timeline = solution.timeline();
    for (let i = 1; i <= 30; i++)
      expect(timeline[i]!.strengthFrac).to.be.above(timeline[i - 1]!.strengthFrac);
  });
});
