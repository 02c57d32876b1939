import { expect } from 'chai';
import { readRecipe, type ReadRecipe } from '../../src/recipeText/readRecipe.ts';
import { predictRecipe } from '../../src/recipeText/predict.ts';
import { expectNear } from '../near.ts';

// By hand: a US cup is 236.588 mL (NIST Handbook 44); water at 20 °C 0.9982 g/mL (Kell 1975);
// loose coffee coarse 0.32, medium 0.35, extra-coarse 0.30, beans 0.36 g/mL (common practice).
const CUP = 236.5882365;
const WATER = 0.9982;
const FL_OZ = CUP / 8;

interface Expected {
  coffeeG: number;
  waterG: number;
  hours?: [number, number];
  place?: 'fridge' | 'counter' | 'warm' | null;
  grind?: string;
  form?: string;
  notes?: string[];
}

/** Sentences of our own making, and what must come out of each. */
const READ: readonly [text: string, expected: Expected][] = [
  // Weighed.
  ['900 g at 1:5, fridge, 18 h', { coffeeG: 900, waterG: 4500, hours: [18, 18], place: 'fridge' }],
  [
    '200 g coffee, 1 L water, 16 h in the fridge',
    { coffeeG: 200, waterG: 998.2, hours: [16, 16], place: 'fridge' },
  ],
  [
    'Coffee: 200 g. Water: 1 L. Steep 16 h in the refrigerator.',
    { coffeeG: 200, waterG: 998.2, hours: [16, 16], place: 'fridge' },
  ],
  [
    'coffee 250 g, water 2 kg',
    { coffeeG: 250, waterG: 2000, notes: ['assumed_hours', 'assumed_place', 'assumed_grind'] },
  ],
  [
    '1.2 kg coarse coffee and 6 kg water for 20 hours',
    { coffeeG: 1200, waterG: 6000, hours: [20, 20], grind: 'coarse' },
  ],
  ['1,5 kg of coffee with 9 kg of water', { coffeeG: 1500, waterG: 9000 }],
  [
    'Pour 3 L cold water over 450 g extra coarse grounds, 22 h in the fridge',
    { coffeeG: 450, waterG: 2994.6, hours: [22, 22], grind: 'extra-coarse', place: 'fridge' },
  ],
  [
    '100 g medium-coarse coffee to 700 g water, counter, 12 h',
    { coffeeG: 100, waterG: 700, grind: 'medium-coarse', place: 'counter' },
  ],
  ['60 g/fine coffee, 600 g water', { coffeeG: 60, waterG: 600, grind: 'fine' }],
  [
    '2 lb coffee, 2 gallons water',
    { coffeeG: 907.185, waterG: 32 * CUP * WATER, notes: ['assumed_us_measures'] },
  ],
  [
    '1 lb coffee to 1 gallon water, 18-24 hours',
    { coffeeG: 453.592, waterG: 16 * CUP * WATER, hours: [18, 24] },
  ],
  ['12 oz coffee, 1/2 gallon water', { coffeeG: 340.194, waterG: 8 * CUP * WATER }],
  ['half a pound of coffee in 2 quarts of water', { coffeeG: 226.796, waterG: 8 * CUP * WATER }],
  ['a pound of coffee and 3 quarts of water', { coffeeG: 453.592, waterG: 12 * CUP * WATER }],
  // By the scoop and the cup.
  [
    '3 1/2 cups coarse coffee, 2 quarts water, overnight in the fridge',
    {
      coffeeG: 3.5 * CUP * 0.32,
      waterG: 8 * CUP * WATER,
      hours: [10, 14],
      place: 'fridge',
      notes: ['assumed_density', 'assumed_hours'],
    },
  ],
  [
    'three and a half cups coarse, two quarts of water, overnight in the fridge',
    { coffeeG: 3.5 * CUP * 0.32, waterG: 8 * CUP * WATER, hours: [10, 14] },
  ],
  ['1 cup coarse ground coffee to 4 cups water', { coffeeG: CUP * 0.32, waterG: 4 * CUP * WATER }],
  [
    '1½ cups coffee, 6 cups water, 12 h on the counter',
    { coffeeG: 1.5 * CUP * 0.32, waterG: 6 * CUP * WATER, place: 'counter' },
  ],
  ['a cup of coffee, a quart of water', { coffeeG: CUP * 0.32, waterG: 4 * CUP * WATER }],
  [
    '¾ cup medium ground coffee and 3 cups cold water',
    { coffeeG: 0.75 * CUP * 0.35, waterG: 3 * CUP * WATER, grind: 'medium' },
  ],
  ['two thirds of a cup of coffee, 1 L water', { coffeeG: (2 / 3) * CUP * 0.32, waterG: 998.2 }],
  [
    '10 tablespoons coffee, 2 pints water',
    { coffeeG: 10 * (FL_OZ / 2) * 0.32, waterG: 4 * CUP * WATER },
  ],
  [
    '8 tbsp. coffee with 32 oz water',
    { coffeeG: 4 * FL_OZ * 0.32, waterG: 32 * FL_OZ * WATER, notes: ['assumed_fluid_ounces'] },
  ],
  [
    '2 scoops coffee in 16 fl oz water',
    { coffeeG: 2 * FL_OZ * 0.32, waterG: 16 * FL_OZ * WATER, notes: ['assumed_scoop'] },
  ],
  ['6 teaspoons of coffee, 250 ml water', { coffeeG: FL_OZ * 0.32, waterG: 249.55 }],
  [
    '1 cup whole beans, ground coarse, 1 L water',
    { coffeeG: CUP * 0.36, waterG: 998.2, form: 'beans' },
  ],
  [
    'Grind the beans coarse. 2 cups ground coffee, 8 cups water.',
    { coffeeG: 2 * CUP * 0.32, waterG: 8 * CUP * WATER, form: 'ground' },
  ],
  ['2 metric cups of coffee, 2 L water', { coffeeG: 500 * 0.32, waterG: 1996.4 }],
  ['1 imperial pint of water, 50 g coffee', { coffeeG: 50, waterG: 568.26 * WATER }],
  ['4 dl coffee, 2 l water', { coffeeG: 400 * 0.32, waterG: 1996.4 }],
  // Ranges.
  ['200 g coffee, 1 L water, steep 12-14 hours', { coffeeG: 200, waterG: 998.2, hours: [12, 14] }],
  ['200 g coffee, 1 L water, steep 12 to 14 h', { coffeeG: 200, waterG: 998.2, hours: [12, 14] }],
  [
    '200 g coffee, 1 L water, 12–18 hrs at room temperature',
    { coffeeG: 200, waterG: 998.2, hours: [12, 18], place: 'counter' },
  ],
  ['180 to 220 g coffee, 1 L water', { coffeeG: 200, waterG: 998.2 }],
  ['1 to 1 1/2 cups coffee, 4 cups water', { coffeeG: 1.25 * CUP * 0.32, waterG: 4 * CUP * WATER }],
  ['100 g coffee to 700-900 g water', { coffeeG: 100, waterG: 800 }],
  ['500 g coffee at 1:4-5', { coffeeG: 500, waterG: 2250 }],
  // Ratios.
  ['1:8, 4 L water', { coffeeG: 499.1, waterG: 3992.8 }],
  ['1 : 6 with 300 g coffee', { coffeeG: 300, waterG: 1800 }],
  ['1 to 8, 250 g coffee', { coffeeG: 250, waterG: 2000 }],
  ['one part coffee to five parts water, 1 kg coffee', { coffeeG: 1000, waterG: 5000 }],
  ['8:1 water to coffee, 100 g coffee', { coffeeG: 100, waterG: 800 }],
  ['1:12 for 16 hours', { coffeeG: 1000, waterG: 12_000, notes: ['assumed_batch_size'] }],
  ['ratio 1:5, 900 g coffee, 4.5 kg water', { coffeeG: 900, waterG: 4500 }],
  // Words for time and place.
  [
    '500 g coffee, 4 L water, all day on the counter',
    { coffeeG: 500, waterG: 3992.8, hours: [8, 12], place: 'counter' },
  ],
  [
    '500 g coffee, 4 L water, a day and a night in the fridge',
    { coffeeG: 500, waterG: 3992.8, hours: [22, 26], place: 'fridge' },
  ],
  ['500 g coffee, 4 L water, steep 900 minutes', { coffeeG: 500, waterG: 3992.8, hours: [15, 15] }],
  [
    '500 g coffee, 4 L water, 1 day in the cooler',
    { coffeeG: 500, waterG: 3992.8, hours: [24, 24], place: 'fridge' },
  ],
  [
    'Stir, wait 3 minutes, steep 18 h. 500 g coffee, 4 L water.',
    { coffeeG: 500, waterG: 3992.8, hours: [18, 18] },
  ],
  [
    '500 g coffee, 4 L water at 32 °C, counter, 10 h',
    { coffeeG: 500, waterG: 3992.8, hours: [10, 10], place: 'counter' },
  ],
  ['500 g coffee, 4 L of lukewarm water, 10 h', { coffeeG: 500, waterG: 3992.8, place: 'warm' }],
  // Told twice, in agreement.
  ['1 lb (454 g) coffee, 4 L water', { coffeeG: 453.592, waterG: 3992.8, notes: [] }],
  [
    '2 quarts (8 cups) of water, 400 g coffee',
    { coffeeG: 400, waterG: 8 * CUP * WATER, notes: [] },
  ],
  ['1 cup (80 g) coffee, 1 L water', { coffeeG: 80, waterG: 998.2, notes: [] }],
  [
    '1 gallon (3.8 L) water and 500 g coffee',
    { coffeeG: 500, waterG: 16 * CUP * WATER, notes: [] },
  ],
  // With other things in the text.
  ['200 g coffee, 1 L water, then 30 g sugar in each', { coffeeG: 200, waterG: 998.2 }],
  [
    '200 g coffee, 1 L water. Serve with 60 mL milk over 150 g ice.',
    { coffeeG: 200, waterG: 998.2 },
  ],
  ['In a 2 L jar: 200 g coffee, 1.5 L water', { coffeeG: 200, waterG: 1497.3 }],
  ['Makes 3 L. 600 g coffee, 4 L water.', { coffeeG: 600, waterG: 3992.8 }],
  [
    'Diluent a 1 quart jar with cold water over 1 cup of medium ground coffee',
    { coffeeG: CUP * 0.35, waterG: (4 * CUP - 0.77 * CUP * 0.35) * WATER, notes: ['assumed_fill'] },
  ],
  ['200 g dark roast coffee and 1 liter filtered water', { coffeeG: 200, waterG: 998.2 }],
  [
    '350g coffee 2.5L water 20h fridge coarse',
    { coffeeG: 350, waterG: 2495.5, hours: [20, 20], place: 'fridge', grind: 'coarse' },
  ],
  ['MIX 2 LB COFFEE AND 5 QUARTS WATER', { coffeeG: 907.185, waterG: 20 * CUP * WATER }],
];

describe('readRecipe', () => {
  for (const [text, expected] of READ) {
    it(`reads “${text}”`, () => {
      const read = readRecipe(text);
      if (read.status !== 'read') throw new Error(JSON.stringify(read));
      expectNear(read.coffee.massG.value, expected.coffeeG, 1e-3);
      expectNear(read.water.massG.value, expected.waterG, 1e-3);
      expect(read.coffee.massG.value).to.be.within(read.coffee.massG.low, read.coffee.massG.high);
      const { hours, place, grind, form, notes } = expected;
      if (hours) expect([read.steep.hours.low, read.steep.hours.high]).to.deep.equal(hours);
      if (place) expect(read.steep.place).to.equal(place);
      if (grind) expect(read.coffee.grind).to.equal(grind);
      if (form) expect(read.coffee.form).to.equal(form);
      const codes = read.notes.map(({ code }) => code);
      if (notes) expect(codes).to.include.members(notes);
      expect(codes.filter((code) => code.startsWith('disagrees'))).to.deep.equal([]);
    });
  }

  /** Sentences whose own numbers do not agree, or that are not what they are called. */
  const NOTED: readonly [text: string, code: string, part: string][] = [
    [
      'half a cup, ten tablespoons of coffee and 3 cups of water',
      'disagrees_coffee',
      'half a cup, ten tablespoons',
    ],
    ['two litres, eight cups of water, 400 g coffee', 'disagrees_water', 'two litres, eight cups'],
    ['1 cup (150 g) coffee, 1 L water', 'disagrees_coffee', '1 cup (150 g'],
    ['1 L (5 cups) water, 100 g coffee', 'disagrees_water', '1 L (5 cups'],
    ['4 L water, 500 g coffee, ratio 1:5', 'disagrees_ratio', '1:5'],
    ['1 lb coffee, 1 gallon water, 1:4 ratio', 'disagrees_ratio', '1:4'],
    [
      'concentrate: 1 cup coffee to 8 cups water, 12 h on the counter',
      'misnamed_strength',
      'concentrate',
    ],
    ['1:8 concentrate, 18 h in the fridge', 'misnamed_strength', 'concentrate'],
    ['Ready to drink: 1 kg coffee, 5 L water, 16 h', 'misnamed_strength', 'Ready to drink'],
    ['2 scoops coffee, 2 quarts water for a concentrate', 'misnamed_strength', 'concentrate'],
  ];
  for (const [text, code, part] of NOTED)
    it(`notes ${code} in “${text}”, and where`, () => {
      const read = predictRecipe(text);
      if (read.status !== 'read') throw new Error(JSON.stringify(read));
      const note = read.notes.find((one) => one.code === code);
      if (!note) throw new Error(`only ${read.notes.map((one) => one.code).join(', ')}`);
      expect(text.slice(...note.span)).to.equal(part);
    });

  const UNREAD: readonly [text: string, lacks: string][] = [
    ['good morning', 'everything'],
    ['steep overnight in the fridge', 'everything'],
    ['coarse, 18 h', 'everything'],
    ['200 g coffee, 16 h', 'water'],
    ['2 cups coffee in the fridge overnight', 'water'],
    ['1 L water, 16 h', 'coffee'],
    ['a jar of water', 'everything'],
    ['coffee to taste, water to cover', 'everything'],
    ['300 g sugar and 300 g milk', 'everything'],
    ['-200 g', 'everything'],
    ['0 g coffee, 0 L water', 'everything'],
    ['makes 3 L', 'everything'],
    ['coffee : water', 'everything'],
  ];
  for (const [text, lacks] of UNREAD)
    it(`refuses “${text}”: ${lacks} is missing, and what to add`, () => {
      const read = readRecipe(text);
      if (read.status !== 'unread') throw new Error(JSON.stringify(read));
      expect(read.lacks).to.equal(lacks);
      expect(read.message).to.match(/“.+”/);
    });

  it('marks what it used, in order and without overlaps', () => {
    const text = '3 1/2 cups coarse coffee, 2 quarts water, overnight in the fridge';
    const { marks } = readRecipe(text) as ReadRecipe;
    expect(marks.map(({ span, as }) => [text.slice(...span), as])).to.deep.equal([
      ['3 1/2 cups', 'coffee'],
      ['coarse', 'grind'],
      ['2 quarts', 'water'],
      ['overnight', 'steep'],
      ['in the fridge', 'place'],
    ]);
  });
});

describe('predictRecipe', () => {
  it('says what ratio a misnamed concentrate would need, and that ratio makes one', () => {
    const thin = predictRecipe('concentrate: 100 g coffee, 1 L water, 16 h in the fridge');
    if (thin.status !== 'read') throw new Error(JSON.stringify(thin));
    const note = thin.notes.find(({ code }) => code === 'misnamed_strength')!;
    const ratio = /need 1:([\d.]+)/.exec(note.text)![1]!;
    const enough = predictRecipe(`100 g coffee at 1:${ratio}, 16 h in the fridge`);
    if (enough.status !== 'read') throw new Error(JSON.stringify(enough));
    expectNear(enough.strengthFrac.value, 0.03, 0.01);
  });

  it('is surer of a weighed recipe than of a scooped one', () => {
    const width = (text: string) => {
      const read = predictRecipe(text);
      if (read.status !== 'read') throw new Error(JSON.stringify(read));
      return (read.strengthFrac.high - read.strengthFrac.low) / read.strengthFrac.value;
    };
    expect(width('2 cups coarse coffee, 1 L water, 16 h fridge')).to.be.above(
      1.2 * width('151 g coarse coffee, 1 L water, 16 h fridge'),
    );
  });
});
