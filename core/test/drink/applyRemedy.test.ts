import { expect } from 'chai';
import { solveDrink } from '../../src/drink/solve.ts';
import { remedies } from '../../src/drink/remedies.ts';
import type { Remedy } from '../../src/drink/remedy.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { drinkRequest } from '../../src/drink/request.ts';
import { drinkInput } from '../../src/drink/predict.ts';
import { applyRemedy } from '../../src/drink/applyRemedy.ts';
import { drinkSchema, type Drink } from '../../src/drink/schema.ts';
import { lidoDrinks, lidoPantry, lidoHouseRecipes, lidoShop } from '../../../demo/lido.ts';

const { pantry } = resolvePantry({
  own: lidoPantry,
  houseRecipes: lidoHouseRecipes.map((part) => ({ ...part, version: 1 })),
});
const black = drinkSchema.parse({
  ...lidoDrinks.find(({ id }) => id === 'lido-black')!,
  version: 1,
});
const solvedFrom = (drink: Drink, strengthFrac: number) => {
  const jug = { strengthFrac, caffeineMgPerG: 1 };
  const input = drinkInput(drinkRequest({ drink, jug, shop: lidoShop }), pantry);
  return { input, solution: solveDrink(input) };
};

describe('applyRemedy', () => {
  const full: Drink = {
    ...black,
    ice: { fill: 'full', tempC: -2, coffeeFrac: 0, kind: 'crushed' },
  };
  const sweet: Drink = {
    ...black,
    additions: [{ ingredient: 'simple-syrup', volumeMl: 60, tempC: 20 }],
  };
  const coffeeIced: Drink = {
    ...black,
    ice: { massG: 200, tempC: -2, coffeeFrac: 0.3, kind: 'cubes' },
  };
  const applied = new Set<Remedy['remedy']>();
  for (const [name, drink] of Object.entries({ black, full, sweet, coffeeIced }))
    it(`${name}: each remedy that is applied meets the target, from the drink as it is kept`, () => {
      for (let strengthFrac = 0.0145; strengthFrac < 0.024; strengthFrac += 0.0003) {
        const { input, solution } = solvedFrom(drink, strengthFrac);
        for (const remedy of remedies(input, solution)) {
          const part = applyRemedy({ drink, remedy, iceG: solution.iceG });
          if (part === null) {
            expect(remedy.remedy).to.equal('stronger_batch');
            continue;
          }
          applied.add(remedy.remedy);
          const after = drinkSchema.parse({ ...drink, ...part });
          expect(solvedFrom(after, strengthFrac).solution.status, remedy.remedy).to.equal('met');
        }
      }
    });

  it('has applied every remedy that changes a drink', () => {
    expect([...applied].sort()).to.deep.equal([
      'another_glass',
      'chill',
      'coffee_ice',
      'freezer_ice',
      'larger_ice',
      'less_added',
      'less_ice',
      'water_ice',
    ]);
  });
});
