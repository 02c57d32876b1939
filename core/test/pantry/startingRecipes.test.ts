import { expect } from 'chai';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { makeHouseRecipe, type MadeRecipe } from '../../src/pantry/makeHouseRecipe.ts';
import { startingProcess, startingRecipes } from '../../src/pantry/startingRecipes.ts';
import { houseRecipeSchema, processSchema } from '../../src/pantry/houseRecipeSchema.ts';
import { expectNear } from '../near.ts';

const leftover = { strengthFrac: 0.034, caffeineMgPerG: 2, pricePerKg: 8 };
const recipes = startingRecipes(leftover);
const made = (name: string): MadeRecipe => {
  const { reason: _, ...recipe } = recipes.find((one) => one.name === name)!;
  const part = houseRecipeSchema.parse({
    ...recipe,
    id: 'part',
    version: 1,
    lifeDays: null,
    note: '',
  });
  return makeHouseRecipe(part, INGREDIENTS);
};

describe('startingRecipes', () => {
  for (const { name } of recipes)
    it(`${name} can be made as it stands`, () => {
      const { yieldG, ingredient } = made(name);
      expect(yieldG).to.be.above(50);
      expect(ingredient.name).to.equal(name);
    });

  it('the syrups differ: 50, 46 and 67 % of sugar', () => {
    expectNear(made('Plain syrup').sugarFrac, 0.5, 2e-3);
    // Loose sugar lies at 0.85 g/mL (practice), water at 0.998.
    expectNear(made('Syrup, cup for cup').sugarFrac, 0.85 / (0.85 + 0.998), 2e-3);
    expectNear(made('Rich syrup').sugarFrac, 2 / 3, 2e-3);
  });

  it('foams grow and weigh the same; whipped coffee is coffee', () => {
    const whipped = made('Whipped coffee');
    expectNear(whipped.yieldG, 100, 1e-9);
    expect(whipped.yieldMl).to.be.within(200, 400);
    expectNear(whipped.strengthFrac, (0.969 * 20) / 100, 1e-9);
    // 20 g at 31.4 mg/g.
    expectNear(whipped.ingredient.caffeineMgPerG, 6.28, 1e-9);
  });

  it('carries the allergens of what goes in', () => {
    expect(made('Nut-butter syrup').ingredient.allergens).to.deep.equal(['nuts']);
    expect(made('Flavoured milk').ingredient.allergens).to.deep.equal(['milk']);
    expect(made('Condensed plant milk').ingredient.allergens).to.deep.equal(['coconut']);
    expect(made('Coffee cubes').ingredient.allergens).to.deep.equal([]);
  });

  it('freezes the coffee that is left, with its strength and price', () => {
    const cubes = made('Coffee cubes');
    expectNear(cubes.strengthFrac, 0.034, 1e-12);
    expectNear(cubes.ingredient.pricePerKg!, 8, 1e-12);
  });
});

describe('startingProcess', () => {
  for (const method of ['mix', 'infuse', 'reduce', 'whip', 'freeze'] as const)
    it(`${method} begins as it can be stored`, () => {
      expect(processSchema.safeParse(startingProcess(method, leftover)).success).to.equal(true);
    });
});
