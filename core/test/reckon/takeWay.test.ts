import { expect } from 'chai';
import { solveDrink } from '../../src/cup/solveDrink.ts';
import { waysToReach, type Way } from '../../src/cup/waysToReach.ts';
import { resolvePantry } from '../../src/parts/resolvePantry.ts';
import { drinkRequest } from '../../src/reckon/drinkRequest.ts';
import { drinkInput } from '../../src/reckon/reckonDrink.ts';
import { takeWay } from '../../src/reckon/takeWay.ts';
import { drinkSchema, type Drink } from '../../src/schemas/shelf.ts';
import { lidoDrinks, lidoPantry, lidoParts, lidoShop } from '../../../demo/lido.ts';

const { pantry } = resolvePantry({
  own: lidoPantry,
  parts: lidoParts.map((part) => ({ ...part, version: 1 })),
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

describe('takeWay', () => {
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
  const taken = new Set<Way['way']>();
  for (const [name, drink] of Object.entries({ black, full, sweet, coffeeIced }))
    it(`${name}: each way that is taken meets the target, from the drink as it is kept`, () => {
      for (let strengthFrac = 0.0145; strengthFrac < 0.024; strengthFrac += 0.0003) {
        const { input, solution } = solvedFrom(drink, strengthFrac);
        for (const way of waysToReach(input, solution)) {
          const part = takeWay({ drink, way, iceG: solution.iceG });
          if (part === null) {
            expect(way.way).to.equal('stronger_batch');
            continue;
          }
          taken.add(way.way);
          const after = drinkSchema.parse({ ...drink, ...part });
          expect(solvedFrom(after, strengthFrac).solution.status, way.way).to.equal('met');
        }
      }
    });

  it('has taken every way that changes a drink', () => {
    expect([...taken].sort()).to.deep.equal([
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
