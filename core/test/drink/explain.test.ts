import { expect } from 'chai';
import { drinkCost } from '../../src/drink/cost.ts';
import { EXPLAINED_OF_DRINK, explainDrink } from '../../src/drink/explain.ts';
import { markText } from '../../src/explanation.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { drinkRequest } from '../../src/drink/request.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { drinkSchema } from '../../src/drink/schema.ts';
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
/** Works out the left side of what is filled in: only numbers and the four operations. */
const workedOut = (filledIn: string): number => {
  const left = filledIn
    .slice(0, filledIn.lastIndexOf('='))
    .replace(/([\d.]+) %/g, '($1/100)')
    .replaceAll('·', '*')
    .replace(/ (mg\/g|mg|g)\b/g, '');
  expect(left).to.match(/^[\d\s.()+*/]+$/);
  return Number(new Function(`return ${left}`)());
};

describe('explainDrink', () => {
  for (const { id } of lidoDrinks)
    it(`${id}: names every value with a source and a mark`, () => {
      const { all } = explained(id);
      for (const key of EXPLAINED_OF_DRINK) {
        const { uses, equation, method } = all[key];
        expect(equation).to.have.length.above(5);
        expect(method).to.match(/\.$/);
        for (const { source, mark, value } of uses) {
          expect(source).to.have.length.above(4);
          expect(value).to.match(/\d/);
          expect(markText(mark)).to.have.length.above(2);
        }
      }
    });

  for (const id of ['lido-black', 'salt-foam-tide', 'cube-milk', 'after-sun'])
    it(`${id}: fills in numbers that come to what the page shows`, () => {
      const { solution, cost, all } = explained(id);
      expectNear(workedOut(all.strength.filledIn), solution.strengthFrac, 2e-3);
      expectNear(workedOut(all.caffeine.filledIn), solution.caffeineMg, 1e-2);
      expectNear(workedOut(all.energy.filledIn), solution.energyKcal, 0.06);
      expectNear(lastNumber(all.cost.filledIn), cost.price, 1e-2);
    });
});
