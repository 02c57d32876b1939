import { expect } from 'chai';
import { batchCautions } from '../../src/batch/cautions.ts';
import { predictBatch } from '../../src/batch/predict.ts';
import { predictDrink } from '../../src/drink/predict.ts';
import { predictBatchRequest } from '../../src/batch/predictSchema.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';

const batchCodes = (over: object): string[] =>
  predictBatch(
    predictBatchRequest.parse({
      dose: { massG: 500 },
      water: { ratio: 10 },
      grind: 'coarse',
      steep: [{ hours: 16, tempC: 4 }],
      ...over,
    }),
  ).cautions.map(({ code }) => code);

const drinkCodes = (over: object): string[] =>
  predictDrink(
    predictDrinkRequest.parse({
      cupMl: 300,
      concentrate: { strengthFrac: 0.035, tempC: 4, caffeineMgPerG: 1.8 },
      target: { strengthFrac: 0.012 },
      ...over,
    }),
  ).cautions.map(({ code }) => code);

describe('batch cautions', () => {
  const rows: [name: string, over: object, code: string | null][] = [
    ['a fridge steep of drinking strength', {}, null],
    ['twelve hours on the counter', { steep: [{ hours: 12, tempC: 22 }] }, null],
    [
      'more than twelve hours on the counter',
      { steep: [{ hours: 13, tempC: 22 }] },
      'counter_steep_over_12_h',
    ],
    [
      'more than a day outside the fridge, in pieces',
      {
        steep: [
          { hours: 13, tempC: 22 },
          { hours: 4, tempC: 4 },
          { hours: 12, tempC: 15 },
        ],
      },
      'steep_over_24_h',
    ],
    [
      'a hot start',
      {
        steep: [
          { hours: 1, tempC: 70 },
          { hours: 8, tempC: 4 },
        ],
      },
      'hot_water_in_glass',
    ],
    ['a concentrate', { water: { ratio: 5 } }, 'undiluted_concentrate'],
    ['a bed that absorbs it all', { water: { ratio: 1.6 } }, 'bed_drinks_all'],
  ];
  for (const [name, over, code] of rows)
    it(`of ${name}: ${code ?? 'none'}`, () => {
      if (code === null) expect(batchCodes(over)).to.deep.equal([]);
      else expect(batchCodes(over)).to.include(code);
    });

  it('name a stuffed bag, and a vessel that does not fit the fridge', () => {
    const outcome = predictBatch(
      predictBatchRequest.parse({
        dose: { massG: 1200 },
        water: { ratio: 10 },
        grind: 'coarse',
        steep: [{ hours: 16, tempC: 4 }],
      }),
    );
    const cautions = batchCautions({
      outcome,
      retainedGPerG: 2,
      steep: [{ hours: 16, tempC: 4 }],
      waterC: 12,
      bagHoldsG: 1000,
      tooLargeForFridge: true,
    });
    expect(cautions.map(({ code }) => code)).to.deep.equal([
      'bag_too_full',
      'vessel_not_in_fridge',
    ]);
    expect(cautions[0]!.text).to.contain('2 bags');
  });
});

describe('drink cautions', () => {
  const rows: [name: string, over: object, code: string | null][] = [
    ['coffee and water', {}, null],
    [
      'oat drink, which holds gluten',
      { fillWith: { ingredient: 'oat-drink' } },
      'contains_allergens',
    ],
    ['tonic', { fillWith: { ingredient: 'tonic-water' } }, 'contains_quinine'],
    [
      'a jug left out',
      { concentrate: { strengthFrac: 0.035, tempC: 12, caffeineMgPerG: 1.8 } },
      'concentrate_above_5_c',
    ],
    [
      'a hot drink in glass',
      { fillWith: { ingredient: 'water', tempC: 95 } },
      'hot_liquid_in_glass',
    ],
    [
      'hot water into cold coffee, which makes a warm cup',
      { fillWith: { ingredient: 'water', tempC: 70 }, target: { strengthFrac: 0.02 } },
      'hot_liquid_in_glass',
    ],
    ['a large strong one', { cupMl: 500, target: { strengthFrac: 0.025 } }, 'caffeine_over_200_mg'],
    ['hardly diluted', { cupMl: 60, target: { strengthFrac: 0.033 } }, 'served_undiluted'],
    [
      'a liqueur',
      { additions: [{ ingredient: 'coffee-liqueur', volumeMl: 40 }] },
      'contains_alcohol',
    ],
    ['a siphon', { serve: 'siphon', ice: null }, 'pressurised_siphon'],
    ['a siphon that is kept', { serve: 'siphon', ice: null }, 'low_oxygen_storage'],
    ['a keg', { serve: 'keg' }, 'low_oxygen_storage'],
    ['an egg white', { additions: [{ ingredient: 'egg-white', volumeMl: 20 }] }, 'raw_egg'],
    [
      'coffee ice over its target',
      {
        ice: { massG: 200, coffeeFrac: 0.05 },
        stirredDown: true,
        concentrate: { strengthFrac: 0.035, tempC: 20, caffeineMgPerG: 1.8 },
        fillWith: { ingredient: 'water', tempC: 30 },
        target: { strengthFrac: 0.001 },
      },
      'ice_over_target',
    ],
  ];
  for (const [name, over, code] of rows)
    it(`of ${name}: ${code ?? 'none'}`, () => {
      if (code === null) expect(drinkCodes(over)).to.deep.equal([]);
      else expect(drinkCodes(over)).to.include(code);
    });
});
