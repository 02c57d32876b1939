import { expect } from 'chai';
import { menuCautions } from '../../src/drink/menuCautions.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { drinkRequest } from '../../src/drink/request.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { drinkSchema } from '../../src/drink/schema.ts';
import { lidoDrinks, lidoPantry, lidoHouseRecipes, lidoShop } from '../../../demo/lido.ts';

const { pantry } = resolvePantry({
  own: lidoPantry,
  houseRecipes: lidoHouseRecipes.map((part) => ({ ...part, version: 1 })),
});
const jug = { strengthFrac: 0.036, caffeineMgPerG: 2.1 };
const menu = lidoDrinks.map((one) => {
  const drink = drinkSchema.parse({ ...one, version: 1 });
  const { solution, cautions } = solveRequest(drinkRequest({ drink, jug, shop: lidoShop }), pantry);
  return { name: drink.name, servings: drink.servings, solution, cautions };
});

describe('menuCautions', () => {
  const heeded = menuCautions(menu);
  const about = (text: RegExp) => heeded.filter((one) => text.test(one.text));

  it('says each thing once', () => {
    const texts = heeded.map(({ text }) => text);
    expect(new Set(texts).size).to.equal(texts.length);
  });

  it('gathers all drinks with much caffeine in one line, each with its own figure', () => {
    const [line, ...more] = about(/caffeine above 200/i);
    expect(more).to.deep.equal([]);
    const expected = menu.filter(({ solution, servings }) => solution.caffeineMg / servings > 200);
    expect(line!.drinks).to.deep.equal(
      expected.map(
        ({ name, solution, servings }) =>
          `${name} ${Math.round(solution.caffeineMg / servings)} mg`,
      ),
    );
  });

  it('names the alcohol of each', () => {
    expect(about(/licence/)[0]!.drinks).to.have.length(1);
    expect(about(/licence/)[0]!.drinks[0]).to.match(/^After sun, cream liqueur \d\.\d %$/);
  });

  it('leaves with the drink why it is out of reach, and its allergens', () => {
    const weak = lidoDrinks.map(({ name }) => ({
      ...menu[0]!,
      name,
      cautions: [
        { code: 'too_weak', severity: 'warn' as const, text: 'Even filled up …' },
        { code: 'contains_allergens', severity: 'note' as const, text: 'Contains milk.' },
      ],
    }));
    expect(menuCautions(weak)).to.deep.equal([]);
  });
});
