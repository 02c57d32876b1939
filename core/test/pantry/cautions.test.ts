import { expect } from 'chai';
import { houseRecipeCautions } from '../../src/pantry/cautions.ts';
import { INGREDIENTS, type Ingredient } from '../../src/pantry/ingredients.ts';
import type { HouseRecipe } from '../../src/pantry/houseRecipeSchema.ts';

type Planned = Parameters<typeof houseRecipeCautions>[0];
const part = (process: HouseRecipe['process']): HouseRecipe => ({
  id: 'part',
  version: 1,
  name: 'Part',
  inputs: [],
  process,
  lifeDays: null,
  note: '',
});
const codes = (over: Partial<Planned>): string[] =>
  houseRecipeCautions({
    recipe: part({ method: 'mix' }),
    ingredient: INGREDIENTS.water,
    inputs: [],
    sugarFrac: 0,
    usualDays: 7,
    lifeDays: 7,
    ...over,
  }).map(({ code }) => code);
const of = (...ids: (keyof typeof INGREDIENTS)[]) =>
  ids.map((id) => ({ ingredient: INGREDIENTS[id] as Ingredient }));

describe('houseRecipeCautions', () => {
  const match = { ingredient: 'granulated-sugar', ratio: 1, by: 'mass' as const };
  const rows: [name: string, over: Partial<Planned>, expected: string[]][] = [
    ['a mixture of water', {}, []],
    ['a syrup', { sugarFrac: 0.5 }, ['hot_sugar']],
    ['a thin sweet milk', { sugarFrac: 0.1, inputs: of('whole-milk') }, ['dairy_short_life']],
    [
      'an infused syrup',
      { sugarFrac: 0.5, recipe: part({ method: 'infuse', with: 'mint', leftG: null, match }) },
      ['hot_sugar', 'infusion_shorter_life'],
    ],
    [
      'a reduced milk',
      { recipe: part({ method: 'reduce', toFrac: 0.5 }), inputs: of('coconut-milk') },
      ['simmer_and_cool'],
    ],
    [
      'a whipped cream',
      { recipe: part({ method: 'whip', overrunFrac: 0.8 }), inputs: of('heavy-cream') },
      ['foam_same_day', 'dairy_short_life'],
    ],
    ['a beaten egg', { ingredient: INGREDIENTS['egg-white'] }, ['raw_egg', 'contains_allergens']],
    ['what is kept longer', { lifeDays: 8 }, ['kept_longer_than_usual']],
    ['what is kept shorter', { lifeDays: 2 }, []],
    ['a nut butter', { ingredient: INGREDIENTS['almond-butter'] }, ['contains_allergens']],
  ];
  for (const [name, over, expected] of rows)
    it(`of ${name}: ${expected.join(', ') || 'none'}`, () => {
      expect(codes(over)).to.deep.equal(expected);
    });

  it('does not warn of hot sugar where nothing is heated', () => {
    const whipped = part({ method: 'whip', overrunFrac: 0.8 });
    expect(codes({ sugarFrac: 0.5, recipe: whipped })).not.to.include('hot_sugar');
  });
});
