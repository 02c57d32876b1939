import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { planInput } from '../../src/batch/plan.ts';
import { FRIDGE_PLAN } from '../batch/plans.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';
import { expect } from 'chai';
import { predictDrink } from '../../src/drink/predict.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';

const drinkCodes = (over: object): string[] =>
  predictDrink(
    predictDrinkRequest.parse({
      cupMl: 300,
      concentrate: { strengthFrac: 0.035, tempC: 4, caffeineMgPerG: 1.8 },
      target: { strengthFrac: 0.012 },
      ...over,
    }),
  ).cautions.map(({ code }) => code);

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

describe('caffeine that nobody declared', () => {
  it('is what a plan of such a strength gives, within 1 %', () => {
    for (const [ratio, hours] of [
      [5, 18],
      [8, 16],
      [12, 14],
    ] as const) {
      const plan = {
        ...FRIDGE_PLAN,
        doseG: 1000,
        waterG: 1000 * ratio,
        steep: [{ place: 'counter' as const, tempC: 22, hours }],
      };
      const { strengthFrac, caffeineMgPerG } = brew(planInput(plan), USUAL_MODEL);
      const { input } = solveRequest(
        predictDrinkRequest.parse({
          cupMl: 350,
          concentrate: { strengthFrac },
          target: { strengthFrac: strengthFrac / 2, atMinutes: 0 },
        }),
        INGREDIENTS,
      );
      expectNear(input.concentrate.caffeineMgPerG, caffeineMgPerG, 0.01);
    }
  });
});
