import { expect } from 'chai';
import { readRecipe } from '../../src/recipeText/readRecipe.ts';
import { expectNear } from '../near.ts';

// By hand: a litre of water at 20 °C is 998.2 g (Kell 1975), a US cup 236.588 mL (NIST Handbook 44);
// loose coarse coffee 0.32 g/mL, 0.77 mL of a vessel to a gram of grounds (common practice).
const KG = 998.2;
const CUP = 236.588;

type Amount = number | readonly [value: number, low: number, high: number];
interface Tied {
  readonly text: string;
  readonly coffeeG: Amount;
  readonly waterG: Amount;
  readonly ratio: Amount;
  /** Notes on how the amounts were tied, in full. */
  readonly notes?: Readonly<Record<string, string>>;
}

const TIED: readonly Tied[] = [
  { text: '60 g coffee per litre, 3 litres water', coffeeG: 180, waterG: 3 * KG, ratio: KG / 60 },
  {
    text: 'half a cup of coarse coffee per litre, 3 litres of water',
    coffeeG: 3 * 0.5 * CUP * 0.32,
    waterG: 3 * KG,
    ratio: KG / (0.5 * CUP * 0.32),
    notes: { assumed_density: '“half a cup” of coffee is weighed by 0.32 g/mL.' },
  },
  {
    text: '1:4 by volume, 200 g coarse coffee',
    coffeeG: 200,
    waterG: (200 * 4 * 0.9982) / 0.32,
    ratio: (4 * 0.9982) / 0.32,
    notes: { assumed_volume_ratio: '“1:4” is stated by volume: by mass it is 1:12.5.' },
  },
  ...['cup to cup', 'cups to cups', 'as a volume ratio'].map((by) => ({
    text: `1:4 ${by}, 200 g coarse coffee`,
    coffeeG: 200,
    waterG: (200 * 4 * 0.9982) / 0.32,
    ratio: (4 * 0.9982) / 0.32,
    notes: { assumed_volume_ratio: '“1:4” is stated by volume: by mass it is 1:12.5.' },
  })),
  {
    text: '1:3 to 1:5 by volume, 200 g coarse coffee',
    coffeeG: 200,
    waterG: [2495.5, 1871.6, 3119.4],
    ratio: [12.478, 9.358, 15.597],
    notes: { assumed_volume_ratio: '“1:3 to 1:5” is stated by volume: by mass it is 1:12.5.' },
  },
  {
    text: '100 g coarse coffee in a 1 L jar, fill it up with water',
    coffeeG: 100,
    waterG: [921.3, 875.3, 939.8],
    ratio: [9.213, 8.753, 9.398],
    notes: {
      assumed_fill: '“1 L” is taken to be filled up: 921 g of water over the grounds.',
    },
  },
  // What is stated as water or as a ratio goes before what the jar would hold.
  { text: '100 g coffee, 500 g water, 1 L jar', coffeeG: 100, waterG: 500, ratio: 5 },
  { text: '100 g coffee at 1:5, 1 L jar', coffeeG: 100, waterG: 500, ratio: 5 },
  {
    text: '1:5 to 1:8, 100 g coffee',
    coffeeG: 100,
    waterG: [650, 500, 800],
    ratio: [6.5, 5, 8],
  },
  {
    text: '1:5 to 1:8, 1 kg water',
    coffeeG: [1000 / 6.5, 125, 200],
    waterG: 1000,
    ratio: [6.5, 5, 8],
  },
  {
    text: '1:8 overnight',
    coffeeG: 1000,
    waterG: 8000,
    ratio: 8,
    notes: { assumed_batch_size: 'Only a ratio is given; a kilogram of coffee is assumed.' },
  },
  {
    text: '1:8 makes 2 L, overnight',
    coffeeG: (2 * KG) / 8,
    waterG: 2 * KG,
    ratio: 8,
    notes: { assumed_batch_size: '“2 L” is taken for the water.' },
  },
  // Weighed amounts may be off a stated ratio by 5 %.
  { text: '1:5, 100 g coffee, 524 g water', coffeeG: 100, waterG: 524, ratio: 5.24 },
  { text: '1:5, 100 g coffee, 477 g water', coffeeG: 100, waterG: 477, ratio: 4.77 },
  ...[
    [540, '5.4'],
    [460, '4.6'],
  ].map(([waterG, by]) => ({
    text: `1:5, 100 g coffee, ${waterG} g water`,
    coffeeG: 100,
    waterG: Number(waterG),
    ratio: Number(waterG) / 100,
    notes: {
      disagrees_ratio: `“1:5” is not what the amounts give, 1:${by} by mass. The amounts are used.`,
    },
  })),
  // Scooped coffee is known to 10 %, so that a ratio within its range does not disagree.
  ...['1:2.9', '1:3.5'].map((stated) => ({
    text: `${stated}, 1 cup coarse coffee, 1 cup water`,
    coffeeG: [75.71, 68.08, 83.33] as const,
    waterG: 236.16,
    ratio: [3.119, 2.834, 3.469] as const,
  })),
  ...['1:2.6', '1:4'].map((stated) => ({
    text: `${stated}, 1 cup coarse coffee, 1 cup water`,
    coffeeG: [75.71, 68.08, 83.33] as const,
    waterG: 236.16,
    ratio: [3.119, 2.834, 3.469] as const,
    notes: {
      disagrees_ratio: `“${stated}” is not what the amounts give, 1:3.1 by mass. The amounts are used.`,
    },
  })),
];

const OF_TYING =
  /^(?:assumed_(?:volume_ratio|fill|batch_size)|disagrees_ratio)$|weighed by [\d.]+ g/;

function expectAmount(read: { value: number; low: number; high: number }, amount: Amount): void {
  const [value, low, high] = typeof amount === 'number' ? [amount, amount, amount] : amount;
  expectNear(read.value, value, 5e-4);
  expectNear(read.low, low, 5e-4);
  expectNear(read.high, high, 5e-4);
}

describe('tieAmounts', () => {
  for (const { text, coffeeG, waterG, ratio, notes = {} } of TIED)
    it(`ties ${text}`, () => {
      const read = readRecipe(text);
      if (read.status !== 'read') throw new Error(JSON.stringify(read));
      expectAmount(read.coffee.massG, coffeeG);
      expectAmount(read.water.massG, waterG);
      expectAmount(read.ratio, ratio);
      const found = read.notes.filter(
        (note) => OF_TYING.test(note.code) || OF_TYING.test(note.text),
      );
      expect(Object.fromEntries(found.map((note) => [note.code, note.text]))).to.deep.equal(notes);
    });

  const FILL =
    'It is filled up, and how much the vessel holds is missing. Which is it: “a 1 L jar”, “a 2 L jar”, “a 4 L jar”?';
  const JARS = ['a 1 L jar', 'a 2 L jar', 'a 4 L jar', 'a 1 gallon jar'];
  const UNREAD: readonly [text: string, lacks: string, message: string, choices?: string[]][] = [
    [
      '100 g coffee',
      'water',
      'The water is missing. Add how much, as in “1 L water”, or a ratio, as in “1:8”.',
    ],
    [
      '1 L water',
      'coffee',
      'The coffee is missing. Add how much, as in “200 g coffee”, or a ratio, as in “1:8”.',
    ],
    ...[
      '100 g coffee in a jar, fill it up with water',
      '100 g coffee, filled to the top',
      'fill the jar with 100 g coffee, then fill a jug up to the line',
      '100 g coffee, water up to the neck',
      '100 g coffee and water to the brim',
    ].map((text): [string, string, string, string[]] => [text, 'vessel', FILL, JARS]),
    [
      '900 g coarse coffee in a 500 ml jar, fill it up with water',
      'vessel',
      '“500 ml” leaves no room for water over 900 g of coffee.',
    ],
  ];
  for (const [text, lacks, message, choices] of UNREAD)
    it(`asks: ${text}`, () => {
      const read = readRecipe(text);
      const expected = { status: 'unread', lacks, message, ...(choices && { choices }) };
      expect(read).to.deep.include(expected);
      if (!choices) expect(read).not.to.have.property('choices');
    });
});
