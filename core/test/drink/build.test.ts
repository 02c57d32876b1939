import { expect } from 'chai';
import { buildOrder } from '../../src/drink/build.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';

const orderOf = (ids: readonly (keyof typeof INGREDIENTS)[]): string[] =>
  buildOrder({
    iceG: 100,
    concentrateMl: 80,
    diluents: [],
    additions: ids.map((id) => ({ ingredient: INGREDIENTS[id], volumeMl: 20, tempC: 4 })),
  }).map((step) => ('ingredient' in step ? step.ingredient.id : step.kind));

// The order of the bar, kind by kind (common practice).
describe('buildOrder', () => {
  for (const { name, ids, expected } of [
    {
      name: 'syrup goes in before the ice, and is stirred up by the coffee',
      ids: ['simple-syrup'],
      expected: ['simple-syrup', 'ice', 'concentrate'],
    },
    {
      name: 'powder goes in before the ice',
      ids: ['cocoa-powder'],
      expected: ['cocoa-powder', 'ice', 'concentrate'],
    },
    {
      name: 'tonic goes under the coffee, on which it would foam over',
      ids: ['tonic-water'],
      expected: ['ice', 'tonic-water', 'concentrate'],
    },
    {
      name: 'water goes over the coffee',
      ids: ['water'],
      expected: ['ice', 'concentrate', 'water'],
    },
    {
      name: 'spirit goes over the coffee',
      ids: ['spirit-40'],
      expected: ['ice', 'concentrate', 'spirit-40'],
    },
    {
      name: 'milk comes last, over what is clear',
      ids: ['whole-milk', 'water', 'spirit-40'],
      expected: ['ice', 'concentrate', 'water', 'spirit-40', 'whole-milk'],
    },
    {
      name: 'plant drinks come last too',
      ids: ['oat-drink', 'water'],
      expected: ['ice', 'concentrate', 'water', 'oat-drink'],
    },
    {
      name: 'all of it at once',
      ids: ['heavy-cream', 'water', 'tonic-water', 'simple-syrup'],
      expected: ['simple-syrup', 'ice', 'tonic-water', 'concentrate', 'water', 'heavy-cream'],
    },
  ] as const)
    it(name, () => expect(orderOf(ids)).to.deep.equal(expected));
});
