import { expect } from 'chai';
import { solveDrink } from '../../src/drink/solve.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { pouredG, weekNeedG } from '../../src/drink/weekNeed.ts';
import { houseRecipeSchema } from '../../src/pantry/houseRecipeSchema.ts';
import { added, cubes, lidoDrink } from './drinks.ts';
import { expectNear } from '../near.ts';

const part = (id: string, inputs: [string, number][]) =>
  houseRecipeSchema.parse({
    id,
    version: 1,
    name: id,
    inputs: inputs.map(([ingredient, massG]) => ({ ingredient, amount: { massG } })),
    process: { method: 'mix' },
    lifeDays: null,
    note: '',
  });
const { made, pantry } = resolvePantry({
  own: [],
  houseRecipes: [
    part('house-syrup', [
      ['granulated-sugar', 500],
      ['water', 500],
    ]),
    part('sweet-cream', [
      ['heavy-cream', 300],
      ['house-syrup', 100],
    ]),
  ],
});
const expected = (over: Parameters<typeof lidoDrink>[0], weekCount: number, iceRecipe?: string) => {
  const input = lidoDrink(over);
  return { input, solution: solveDrink(input), iceRecipe, weekCount };
};
const pour = (id: string, volumeMl: number) => ({ ingredient: pantry[id]!, volumeMl, tempC: 4 });

describe('weekNeedG', () => {
  const drinks = [
    expected({ additions: [pour('house-syrup', 10)] }, 40),
    expected({ additions: [pour('sweet-cream', 30)] }, 20),
  ];

  it('adds up what the week’s drinks take', () => {
    const syrupG = pouredG('house-syrup', drinks[0]!);
    // NBS Circular 440: 10 mL of 50 % sugar weigh 12.3 g, the model within 1 %.
    expectNear(syrupG, 12.3, 0.01);
    expectNear(
      weekNeedG({ id: 'sweet-cream', drinks, made }),
      20 * pouredG('sweet-cream', drinks[1]!),
      1e-12,
    );
  });

  it('counts what goes into another part: a quarter of the sweet cream is syrup', () => {
    const creamG = weekNeedG({ id: 'sweet-cream', drinks, made });
    const alone = 40 * pouredG('house-syrup', drinks[0]!);
    expectNear(weekNeedG({ id: 'house-syrup', drinks, made }), alone + creamG / 4, 1e-9);
  });

  it('counts coffee cubes by the ice in the glass, and fillers by what they take', () => {
    const drink = expected(
      { glass: { ...lidoDrink().glass, ice: cubes(120) } },
      5,
      'cubes-of-coffee',
    );
    expect(weekNeedG({ id: 'cubes-of-coffee', drinks: [drink], made })).to.equal(600);
    expectNear(
      weekNeedG({ id: 'water', drinks: [drink], made: {} }),
      5 * drink.solution.fillG,
      1e-9,
    );
  });

  it('is nothing for what no drink takes', () => {
    const none = expected({ additions: [added('simple-syrup', 10)] }, 10);
    expect(weekNeedG({ id: INGREDIENTS.honey.id, drinks: [none], made })).to.equal(0);
  });
});
