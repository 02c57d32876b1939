import { expect } from 'chai';
import { drinkCautions, allergensOf } from '../../src/drink/cautions.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import type { DrinkInput } from '../../src/drink/setting.ts';
import type { DrinkSolution } from '../../src/drink/solve.ts';
import type { Serve } from '../../src/drink/serve.ts';
import { added, cubes, filled, lidoDrink } from './drinks.ts';

interface Case {
  readonly input?: DrinkInput;
  readonly solution?: Partial<DrinkSolution>;
  readonly servings?: number;
  readonly serve?: Serve;
}

const plain = lidoDrink();
/** Cautions about a drink, with what was solved of it changed where a row says so. */
const cautionsOf = ({ input = plain, solution = {}, ...rest }: Case) =>
  drinkCautions({ input, solution: Object.assign(solveDrink(input), solution), ...rest }).map(
    ({ code, severity, text }) => [code, severity, text.replaceAll(/\s/gu, ' ')] as const,
  );
const warm = (tempC: number): DrinkInput =>
  lidoDrink({ concentrate: { strengthFrac: 0.035, tempC, caffeineMgPerG: 2.1 } });
const HOLDS = 'contains_allergens';

/** Every rule on either side of its condition: what it says, and how grave it is. */
const ROWS: readonly [
  name: string,
  of: Case,
  expected: readonly (readonly [string, string, string])[],
][] = [
  ['a plain drink', {}, []],
  ['200 mg of caffeine, which is the limit', { solution: { caffeineMg: 200 } }, []],
  [
    'more than 200 mg',
    { solution: { caffeineMg: 201 } },
    [
      [
        'caffeine_over_200_mg',
        'warn',
        'About 201 mg of caffeine: above 200 mg at once for adults, and above a whole day’s limit in pregnancy (EFSA 2015). Offer a smaller or weaker one.',
      ],
    ],
  ],
  ['402 mg shared by two, 201 each', { solution: { caffeineMg: 400 }, servings: 2 }, []],
  [
    '420 mg shared by two',
    { solution: { caffeineMg: 420 }, servings: 2 },
    [
      [
        'caffeine_over_200_mg',
        'warn',
        'About 210 mg of caffeine for each: above 200 mg at once for adults, and above a whole day’s limit in pregnancy (EFSA 2015). Offer a smaller or weaker one.',
      ],
    ],
  ],
  ['a drink at 3 %, which is strong', { solution: { strengthFrac: 0.0299 } }, []],
  [
    'a drink that is concentrate',
    { solution: { strengthFrac: 0.0301 } },
    [
      [
        'served_undiluted',
        'warn',
        'This is concentrate, hardly diluted. Serve it only as a small measure, and say so.',
      ],
    ],
  ],
  ['concentrate at 5 °C', { input: warm(5) }, []],
  [
    'concentrate at 6 °C',
    { input: warm(6) },
    [
      [
        'concentrate_above_5_c',
        'warn',
        'The concentrate is warmer than 5 °C, the usual limit for cold holding. Chill it, and check how long it stood; the local food code decides.',
      ],
    ],
  ],
  [
    'milk and almond, each named once',
    {
      input: lidoDrink({
        additions: [added('whole-milk', 20), added('heavy-cream', 10), added('almond-drink', 20)],
      }),
    },
    [[HOLDS, 'note', 'Contains milk, nuts. Check the package of your own brand.']],
  ],
  [
    'milk of which nothing is poured',
    { input: lidoDrink({ additions: [added('whole-milk', 0)] }) },
    [],
  ],
  [
    'tonic beside oat drink',
    { input: lidoDrink({ diluents: [filled('oat-drink', 4, 1), filled('tonic-water', 4, 1)] }) },
    [
      [HOLDS, 'note', 'Contains gluten. Check the package of your own brand.'],
      [
        'contains_quinine',
        'note',
        'Tonic contains quinine, which some people must avoid. Say so on the menu.',
      ],
    ],
  ],
  [
    'a splash of tonic beside milk',
    {
      input: lidoDrink({ diluents: [filled('whole-milk')], additions: [added('tonic-water', 30)] }),
    },
    [
      [HOLDS, 'note', 'Contains milk. Check the package of your own brand.'],
      [
        'contains_quinine',
        'note',
        'Tonic contains quinine, which some people must avoid. Say so on the menu.',
      ],
    ],
  ],
  [
    'water at 60 °C',
    {
      input: lidoDrink({ diluents: [filled('water', 60)] }, { ice: null }),
      solution: { caffeineMg: 100 },
    },
    [],
  ],
  [
    'water at 61 °C',
    {
      input: lidoDrink({ diluents: [filled('water', 61)] }, { ice: null }),
      solution: { caffeineMg: 100 },
    },
    [
      [
        'hot_liquid_in_glass',
        'note',
        'Hot liquid cracks cold glass and scalds. Use a warmed mug or heat-proof glass.',
      ],
    ],
  ],
  [
    'a hot addition',
    { input: lidoDrink({ additions: [added('simple-syrup', 20, 80)] }) },
    [
      [
        'hot_liquid_in_glass',
        'note',
        'Hot liquid cracks cold glass and scalds. Use a warmed mug or heat-proof glass.',
      ],
    ],
  ],
  [
    'alcohol',
    { solution: { alcoholFrac: 0.0523 } },
    [
      [
        'contains_alcohol',
        'warn',
        'About 5.2 % by volume: alcohol with caffeine that hides its effect. It takes a licence to sell; not for minors, in pregnancy, or before driving.',
      ],
    ],
  ],
  [
    'a siphon',
    { serve: 'siphon' },
    [
      [
        'pressurised_siphon',
        'warn',
        'A siphon is under pressure: rated nitrogen chargers only, never above its fill mark, vent it before it is opened, in a room that is aired. Nitrous oxide is another gas and gives another drink.',
      ],
      [
        'low_oxygen_storage',
        'warn',
        'A low-acid drink kept without oxygen can grow botulism. Keep it at 5 °C or colder and serve it the same day, or as the local food code and a licensed process say.',
      ],
    ],
  ],
  [
    'a keg',
    { serve: 'keg' },
    [
      [
        'low_oxygen_storage',
        'warn',
        'A low-acid drink kept without oxygen can grow botulism. Keep it at 5 °C or colder and serve it the same day, or as the local food code and a licensed process say.',
      ],
    ],
  ],
  [
    'egg white',
    { input: lidoDrink({ additions: [added('egg-white', 20)] }) },
    [
      [
        'raw_egg',
        'warn',
        'Raw egg can carry salmonella. Use pasteurised egg white; the local food code decides.',
      ],
      [HOLDS, 'note', 'Contains egg. Check the package of your own brand.'],
    ],
  ],
  [
    'foam on top',
    {
      input: lidoDrink({
        additions: [
          {
            ...added('skim-milk', 40),
            ingredient: { ...added('skim-milk', 40).ingredient, overrunFrac: 1 },
          },
        ],
      }),
    },
    [
      [HOLDS, 'note', 'Contains milk. Check the package of your own brand.'],
      [
        'foam_same_day',
        'note',
        'Foam loses its texture and is for the same day. Whip it cold when it is needed.',
      ],
    ],
  ],
  [
    'more cubes than pack',
    { input: lidoDrink({}, { ice: cubes(200) }) },
    [
      [
        'ice_above_rim',
        'warn',
        'Of cubes, 176 g pack into this glass; 200 g stand above its line. Take less ice, or a larger glass.',
      ],
    ],
  ],
  [
    'a target that a stronger jug would reach',
    { solution: { status: 'too_weak', strengthFrac: 0.0134, needsStrengthFrac: 0.04121 } },
    [
      [
        'too_weak',
        'warn',
        'Even filled up with concentrate this glass reaches 1.34 %, not 1.40 %. It takes a concentrate of 4.13 %.',
      ],
    ],
  ],
  [
    'a target that no jug reaches',
    { solution: { status: 'too_weak', strengthFrac: 0.0134, needsStrengthFrac: null } },
    [
      [
        'too_weak',
        'warn',
        'Even filled up with concentrate this glass reaches 1.34 %, not 1.40 %. No concentrate is strong enough in this glass.',
      ],
    ],
  ],
  [
    'caffeine out of reach',
    {
      input: lidoDrink({ target: { caffeineMg: 180 } }),
      solution: { status: 'too_weak', caffeineMg: 121.4, needsStrengthFrac: 0.05 },
    },
    [
      [
        'too_weak',
        'warn',
        'Even filled up with concentrate this glass reaches 121 mg, not 180 mg of caffeine. It takes a concentrate of 5.00 %.',
      ],
    ],
  ],
  [
    'no room at all',
    { solution: { status: 'no_room', concentrateG: 0, fillG: 0 } },
    [
      [
        'no_room',
        'warn',
        'Additions and ice fill the glass before any coffee. Take less of them, or a larger glass.',
      ],
    ],
  ],
  [
    'too strong without any concentrate',
    { solution: { status: 'no_room', concentrateG: 0, fillG: 100, levelMl: 350 } },
    [
      [
        'ice_over_target',
        'warn',
        'Without any concentrate it is above the target already, by its coffee ice or what is added. Take less of them, or water ice.',
      ],
    ],
  ],
  [
    'amounts alone that stand over the line',
    {
      input: { ...lidoDrink({ target: { concentrateMl: 300 } }), diluents: [] },
      solution: {
        status: 'no_room',
        levelMl: 391.6,
        concentrateG: 180,
        fillG: 0,
        strengthFrac: 0.02,
        caffeineMg: 100,
      },
    },
    [['no_room', 'warn', 'These amounts stand 42 mL over the line. They need a glass of 400 mL.']],
  ],
  [
    'a share of the glass that does not fit',
    {
      input: lidoDrink({ target: { glassFrac: 0.9 } }),
      solution: {
        status: 'no_room',
        concentrateG: 1,
        fillG: 0,
        strengthFrac: 0.02,
        caffeineMg: 100,
      },
    },
    [
      [
        'no_room',
        'warn',
        'So much concentrate does not fit over the ice and what else is in the glass. Pour less, or take a larger glass.',
      ],
    ],
  ],
  [
    'by hand, where nothing of it fits',
    {
      input: lidoDrink({ target: { concentrateMl: 300 } }),
      solution: { status: 'no_room', concentrateG: 0, fillG: 0, strengthFrac: 0, caffeineMg: 0 },
    },
    [
      [
        'no_room',
        'warn',
        'Additions and ice fill the glass before any coffee. Take less of them, or a larger glass.',
      ],
    ],
  ],
  [
    'too much by hand',
    {
      input: lidoDrink({ target: { concentrateMl: 300 } }),
      solution: {
        status: 'no_room',
        concentrateG: 180,
        fillG: 0,
        strengthFrac: 0.02,
        caffeineMg: 100,
      },
    },
    [
      [
        'no_room',
        'warn',
        'So much concentrate does not fit over the ice and what else is in the glass. Pour less, or take a larger glass.',
      ],
    ],
  ],
];

describe('what drink cautions say, and how grave they are', () => {
  for (const [name, of, expected] of ROWS)
    it(`of ${name}: ${expected.map(([code]) => code).join(', ') || 'none'}`, () => {
      expect(cautionsOf(of)).to.deep.equal(expected);
    });

  it('say what stops a drink first', () => {
    const codes = cautionsOf({
      input: lidoDrink({
        concentrate: { strengthFrac: 0.035, tempC: 8, caffeineMgPerG: 2.1 },
        additions: [added('egg-white', 10)],
      }),
      solution: { status: 'no_room', caffeineMg: 300, alcoholFrac: 0.1, strengthFrac: 0.04 },
      serve: 'siphon',
    }).map(([code]) => code);
    expect(codes).to.deep.equal([
      'ice_over_target',
      'concentrate_above_5_c',
      'caffeine_over_200_mg',
      'contains_alcohol',
      'served_undiluted',
      'pressurised_siphon',
      'low_oxygen_storage',
      'raw_egg',
      HOLDS,
    ]);
  });

  it('name the allergens of the ice that is a house recipe', () => {
    const recipe = { ...added('whole-milk', 1).ingredient, id: 'milk-cubes' };
    const input = lidoDrink({}, { ice: { ...cubes(100), recipe } });
    expect(allergensOf(input)).to.deep.equal(['milk']);
  });
});
