import { expect } from 'chai';
import { INGREDIENTS, type Ingredient } from '../../src/pantry/ingredients.ts';
import { usualShelfLifeDays } from '../../src/pantry/shelfLife.ts';

type Id = keyof typeof INGREDIENTS;
const days = (
  method: Parameters<typeof usualShelfLifeDays>[0]['method'],
  ids: readonly Id[],
  sugarFrac = 0,
): number =>
  usualShelfLifeDays({
    method,
    inputs: ids.map((id) => ({ ingredient: INGREDIENTS[id] as Ingredient })),
    sugarFrac,
  });

describe('usualShelfLifeDays', () => {
  // Common practice, all of it: no one source; the shortest of what speaks holds.
  const rows: [name: string, expected: number, found: number][] = [
    ['syrup of equal parts', 14, days('mix', ['granulated-sugar', 'water'], 0.5)],
    ['rich syrup, two to one', 28, days('mix', ['granulated-sugar', 'water'], 0.66)],
    ['a thin sweet water', 7, days('mix', ['granulated-sugar', 'water'], 0.2)],
    ['an infused syrup, whatever its sugar', 7, days('infuse', ['water'], 0.66)],
    ['sweet cream', 4, days('mix', ['heavy-cream', 'whole-milk', 'simple-syrup'], 0.1)],
    ['foam', 1, days('whip', ['heavy-cream'])],
    ['reduced coconut milk', 4, days('reduce', ['coconut-milk'])],
    ['cubes, frozen', 30, days('freeze', ['water'])],
    ['egg white beaten with sugar', 2, days('mix', ['egg-white', 'granulated-sugar'], 0.6)],
    ['a syrup with nut butter', 14, days('mix', ['almond-butter', 'granulated-sugar'], 0.5)],
  ];
  for (const [name, expected, found] of rows)
    it(`${name}: ${expected} days`, () => {
      expect(found).to.equal(expected);
    });

  it('never outlives the shortest opened input, frozen ones apart', () => {
    for (const [id, { openedDays }] of Object.entries(INGREDIENTS)) {
      if (openedDays === null) continue;
      expect(days('mix', [id as Id], 0.66), id).to.be.at.most(openedDays);
    }
  });
});
