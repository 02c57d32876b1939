import { expect } from 'chai';
import { drinkCost } from '../../src/drink/cost.ts';
import { explainDrink } from '../../src/drink/explain.ts';
import { EXPLAINED_OF_DRINK } from '../../src/drink/explainedOfDrink.ts';
import { markText } from '../../src/explanation.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { drinkRequest } from '../../src/drink/request.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { drinkSchema } from '../../src/drink/schema.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';
import { checkEquations } from '../equations.ts';
import { expectNear } from '../near.ts';
import { lidoDrinks, lidoPantry, lidoHouseRecipes, lidoShop } from '../../../demo/lido.ts';

const { pantry } = resolvePantry({
  own: lidoPantry,
  houseRecipes: lidoHouseRecipes.map((part) => ({ ...part, version: 1 })),
});
const jug = { strengthFrac: 0.036, caffeineMgPerG: 2 };
const explained = (id: string) => {
  const drink = drinkSchema.parse({ ...lidoDrinks.find((one) => one.id === id)!, version: 1 });
  const solved = solveRequest(drinkRequest({ drink, jug, shop: lidoShop }), pantry);
  const { input, solution } = solved;
  const cost = drinkCost({ drink: input, solution, concentratePricePerKg: 8 });
  return { solution, cost, all: explainDrink({ solved, cost, concentratePricePerKg: 8 }) };
};
const lastNumber = (text: string): number => Number(/= ([\d.]+)[^=]*$/.exec(text)![1]);
describe('explainDrink', () => {
  for (const { id } of lidoDrinks)
    it(`${id}: names every value with a source and a mark`, () => {
      const { all } = explained(id);
      for (const key of EXPLAINED_OF_DRINK) {
        const { uses, equation, method } = all[key];
        expect(equation).to.have.length.above(5);
        expect(method).to.match(/\.$/);
        for (const { source, mark, value, why } of uses) {
          if (why !== undefined) expect(EXPLAINED_OF_DRINK).to.include(why);
          expect(source).to.have.length.above(4);
          expect(value).to.match(/\d/);
          expect(markText(mark)).to.have.length.above(2);
        }
      }
    });

  for (const { id } of lidoDrinks)
    it(`${id}: fills in equations that hold and end in what the page shows`, () => {
      const { solution, cost, all } = explained(id);
      for (const key of EXPLAINED_OF_DRINK)
        expect(checkEquations(all[key].filledIn, key), all[key].filledIn).to.be.above(
          key === 'melt' && solution.iceG === 0 ? -1 : 0,
        );
      expectNear(lastNumber(all.strength.filledIn) / 100, solution.strengthFrac, 5e-3);
      expect(lastNumber(all.caffeine.filledIn)).to.be.closeTo(solution.caffeineMg, 0.51);
      expect(lastNumber(all.energy.filledIn)).to.be.closeTo(solution.energyKcal, 0.51);
      expect(lastNumber(all.cost.filledIn)).to.be.closeTo(cost.price, 0.0051);
    });

  it('holds for a target between two minutes, for ice that has not begun to melt, and without ice', () => {
    const cold = { massG: 200, tempC: -25, coffeeFrac: 0, kind: 'large' };
    for (const [ice, atMinutes] of [
      [cold, 0.5],
      [cold, 0],
      [{ ...cold, tempC: -2, kind: 'crushed' }, 3.5],
      [{ ...cold, coffeeFrac: 0.03 }, 12.25],
      [null, 4],
    ] as const) {
      const solved = solveRequest(
        predictDrinkRequest.parse({
          cupMl: 350,
          concentrate: { strengthFrac: 0.036, tempC: 4, caffeineMgPerG: 2 },
          ice,
          additions: [{ ingredient: 'instant-coffee', volumeMl: 5, tempC: 20 }],
          fillWith: { ingredient: 'water', tempC: 4 },
          target: { strengthFrac: 0.016, atMinutes },
        }),
        pantry,
      );
      const { input, solution } = solved;
      const cost = drinkCost({ drink: input, solution, concentratePricePerKg: null });
      const all = explainDrink({ solved, cost, concentratePricePerKg: null });
      for (const key of EXPLAINED_OF_DRINK) checkEquations(all[key].filledIn, key);
      expectNear(lastNumber(all.strength.filledIn) / 100, solution.strengthFrac, 5e-3);
    }
  });
});
