import { expect } from 'chai';
import { houseRecipeCautions } from '../../src/pantry/cautions.ts';
import { NOTHING } from '../../src/matter/composition.ts';
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
    made: sugary(0),
    usualDays: 7,
    lifeDays: 7,
    ...over,
  }).map(({ code }) => code);
const sugary = (sugarFrac: number) => ({
  ...NOTHING,
  sugarG: 100 * sugarFrac,
  waterG: 100 * (1 - sugarFrac),
});
const of = (...ids: (keyof typeof INGREDIENTS)[]) =>
  ids.map((id) => ({ ingredient: INGREDIENTS[id] as Ingredient }));

describe('houseRecipeCautions', () => {
  const match = { ingredient: 'granulated-sugar', ratio: 1, by: 'mass' as const };
  const rows: [name: string, over: Partial<Planned>, expected: string[]][] = [
    ['a mixture of water', {}, []],
    ['a syrup', { made: sugary(0.5) }, ['hot_sugar']],
    // ICUMSA (memory): sucrose dissolves to 67.1 % at 20 °C and to 64.9 % at 5 °C.
    ['a syrup of 64 % sugar', { made: sugary(0.64) }, ['hot_sugar']],
    ['a syrup of 66 % sugar', { made: sugary(0.66) }, ['hot_sugar', 'sugar_crystallises_cold']],
    ['a syrup of 83 % sugar', { made: sugary(0.83) }, ['hot_sugar', 'sugar_crystallises']],
    ['a thin sweet milk', { made: sugary(0.1), inputs: of('whole-milk') }, ['dairy_short_life']],
    [
      'an infused syrup',
      {
        made: sugary(0.5),
        recipe: part({
          method: 'infuse',
          with: 'mint',
          leftG: null,
          loses: 'steam' as const,
          match,
        }),
      },
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
    expect(codes({ made: sugary(0.5), recipe: whipped })).not.to.include('hot_sugar');
  });
});
