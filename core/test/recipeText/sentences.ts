/**
 * Sentences of our own making, by category, each with what must come out of it. Masses by hand: US
 * measures by NIST Handbook 44, water at 20 °C 0.9982 g/mL (Kell 1975), loose coffee coarse 0.32,
 * medium 0.35, extra-coarse 0.30, beans 0.36 g/mL (common practice).
 */
export interface RecipeCase {
  readonly text: string;
  readonly coffeeG?: number;
  readonly waterG?: number;
  readonly ratio?: number;
  readonly hours?: readonly [low: number, high: number];
  readonly place?: 'fridge' | 'counter' | 'warm' | null;
  readonly pieces?: readonly (readonly [place: string | null, hours: number])[];
  readonly grind?: string;
  readonly form?: 'ground' | 'beans';
  readonly waterC?: number;
  readonly decafFrac?: number;
  readonly roast?: string;
  readonly filtration?: string;
  readonly rinseMl?: number;
  readonly addedMl?: number;
  readonly yieldMl?: number;
  readonly dilution?: number;
  readonly drink?: {
    readonly concentrateMl?: number | null;
    readonly additions?: readonly (readonly [string, number])[];
    readonly cupMl?: number;
    readonly ice?: 'full' | number;
  };
  /** A note that must be there. */
  readonly notes?: readonly string[];
  /** What is asked for instead of an answer. */
  readonly asks?: 'coffee' | 'water' | 'vessel' | 'everything';
  /** A drink alone. */
  readonly isDrink?: boolean;
}

const OZ = 28.349523125;
const LB = 453.59237;
const FL_OZ = 29.5735295625;
const CUP = 8 * FL_OZ;
const QT = 32 * FL_OZ;
const GAL = 128 * FL_OZ;
const TBSP = FL_OZ / 2;
const W = 0.9982;
const COARSE = 0.32;

// Every way of telling the coffee with every way of telling the water.
const COFFEES: readonly (readonly [string, number])[] = [
  ['240 g coffee', 240],
  ['0.24 kg of coffee', 240],
  ['0,24 kg coffee', 240],
  ['half a pound of coffee', LB / 2],
  ['8 oz coffee', 8 * OZ],
  ['1 lb 2 oz of coffee', LB + 2 * OZ],
  ['two 150 g bags of coffee', 300],
  ['2 x 125 g coffee', 250],
  ['three cups of coarse coffee', 3 * CUP * COARSE],
  ['2½ cups ground coffee', 2.5 * CUP * COARSE],
  ['1-1/2 cups coarse grounds', 1.5 * CUP * COARSE],
  ['a dozen tablespoons of coffee', 12 * TBSP * COARSE],
  ['thirteen ounces of coffee', 13 * OZ],
  ['200 g coffee plus 50 g coffee', 250],
];
const WATERS: readonly (readonly [string, number])[] = [
  ['1.5 L water', 1500 * W],
  ['1,5 l of cold water', 1500 * W],
  ['1500 ml filtered water', 1500 * W],
  ['1800 g water', 1800],
  ['two quarts of water', 2 * QT * W],
  ['half a gallon of water', (GAL / 2) * W],
  ['6 cups water', 6 * CUP * W],
  ['48 fl oz water', 48 * FL_OZ * W],
  ['1 L + 1 L water', 2000 * W],
];
const SUMS: readonly RecipeCase[] = COFFEES.flatMap(([coffee, coffeeG]) =>
  WATERS.map(([water, waterG], i) => ({
    text: [
      `${coffee}, ${water}, 16 h`,
      `Steep ${coffee} in ${water} for 16 hours.`,
      `${water} over ${coffee}; 16 h`,
    ][i % 3]!,
    coffeeG,
    waterG,
    hours: [16, 16] as const,
  })),
);

const BASE = { coffeeG: 200, waterG: 1000 } as const;
const base = (rest: string, expected: Omit<RecipeCase, 'text'>): RecipeCase => ({
  text: `200 g coffee, 1000 g water, ${rest}`,
  ...BASE,
  ...expected,
});

export const SENTENCES: Readonly<Record<string, readonly RecipeCase[]>> = {
  'sums and measures': SUMS,
  'sums within the work': [
    { text: 'Bloom 300 g coffee with 400 g, then 1200 g water, 16 h', coffeeG: 300, waterG: 1600 },
    {
      text: '300 g coffee. Bloom with 600 g water. After five minutes add another 1500 g water.',
      coffeeG: 300,
      waterG: 2100,
    },
    { text: '100 g coffee, 500 ml + 500 ml water', coffeeG: 100, waterG: 1000 * W },
    {
      text: '60 g decaf and 60 g regular, 1 litre of water',
      coffeeG: 120,
      waterG: 1000 * W,
      decafFrac: 0.5,
    },
    {
      text: '150 g decaf and 450 g regular coffee with 3 kg water',
      coffeeG: 600,
      waterG: 3000,
      decafFrac: 0.25,
    },
    { text: '250 g decaf coffee, 2 kg water', coffeeG: 250, waterG: 2000, decafFrac: 1 },
    {
      text: 'two 1 lb bags of coffee and 4 gallons of water',
      coffeeG: 2 * LB,
      waterG: 4 * GAL * W,
    },
    {
      text: '400 g coffee. Pour 1 L water, stir, then pour 2 L water more.',
      coffeeG: 400,
      waterG: 3000 * W,
    },
    {
      text: '200 g coffee, 1 L water. Wet it with 200 g of the water, wait two minutes, pour the rest.',
      coffeeG: 200,
      waterG: 1000 * W,
    },
    {
      text: '1 L water, 150 g coffee. Use 300 g of it for the first pour.',
      coffeeG: 150,
      waterG: 1000 * W,
    },
    {
      text: '500 g coffee, 2 gallons water, top up with 1 quart of water',
      coffeeG: 500,
      waterG: (2 * GAL + QT) * W,
    },
    { text: '1 lb (454 g) coffee in 1 gallon (3.8 L) water', coffeeG: LB, waterG: GAL * W },
    {
      text: '350 g house blend and 150 g decaf in 4 kg water',
      coffeeG: 500,
      waterG: 4000,
      decafFrac: 0.3,
    },
  ],
  'per something': [
    { text: '60 g per litre, 3 litres', ratio: (1000 * W) / 60, waterG: 3000 * W },
    { text: '250 grams per liter', ratio: (1000 * W) / 250 },
    { text: '1 lb per gallon, 3 gallons', coffeeG: 3 * LB, waterG: 3 * GAL * W },
    { text: 'half a cup per litre, 2 litres', coffeeG: 2 * 0.5 * CUP * COARSE, waterG: 2000 * W },
    { text: '80 g of coffee per litre of water, 5 L in all', coffeeG: 400, waterG: 5000 * W },
    { text: '100 g to each litre, make 4 litres of it', ratio: 9.982 },
    {
      text: '5 tablespoons per cup of water, 4 cups of water',
      coffeeG: 20 * TBSP * COARSE,
      waterG: 4 * CUP * W,
    },
    { text: '1/3 cup of coffee for every cup of water', ratio: W / (COARSE / 3) },
    { text: '12 oz coffee per gallon', ratio: (GAL * W) / (12 * OZ) },
    {
      text: '2 oz of grounds for each quart of water, 16 hours',
      ratio: (QT * W) / (2 * OZ),
      hours: [16, 16],
    },
    {
      text: '90 g/L, 18 h in the fridge',
      ratio: (1000 * W) / 90,
      hours: [18, 18],
      place: 'fridge',
    },
  ],
  ratios: [
    ...[
      ['1:5', 5],
      ['1 : 7', 7],
      ['one to five', 5],
      ['1 to 8', 8],
      ['1 is to 10', 10],
      ['8:1 water to coffee', 8],
      ['2 to 1 water to coffee', 2],
      ['8 parts water to one part coffee', 8],
      ['one part coffee to six parts water', 6],
      ['1 part coffee and 4 parts water', 4],
      ['a ratio of 1:12', 12],
      ['1:5 to 1:8', 6.5],
      ['1:4-5', 4.5],
      ['four parts of water to one part of coffee', 4],
    ].map(([stated, ratio]) => ({
      text: `${stated}, 250 g coffee, 15 h`,
      ratio: ratio as number,
      coffeeG: 250,
    })),
    {
      text: '1:4 by volume, 2 cups coarse coffee',
      ratio: (4 * W) / COARSE,
      coffeeG: 2 * CUP * COARSE,
    },
    {
      text: '1:3 by volume, medium grind, 6 cups water',
      ratio: (3 * W) / 0.35,
      waterG: 6 * CUP * W,
    },
    {
      text: 'one cup to one quart water, fridge overnight',
      coffeeG: CUP * COARSE,
      waterG: QT * W,
      place: 'fridge',
    },
    { text: '1 cup to 4 cups water', coffeeG: CUP * COARSE, waterG: 4 * CUP * W },
    { text: '1:8, 4 L water', ratio: 8, waterG: 4000 * W },
    { text: '900 g at 1:5, fridge, 18 h', coffeeG: 900, waterG: 4500, hours: [18, 18] },
    {
      text: '4 L water, 500 g coffee, ratio 1:5',
      coffeeG: 500,
      waterG: 4000 * W,
      notes: ['disagrees_ratio'],
    },
  ],
  'places and hours': [
    base('12 h on the counter, then 12 h in the fridge', {
      hours: [24, 24],
      pieces: [
        ['counter', 12],
        ['fridge', 12],
      ],
    }),
    base('30 minutes at room temperature, then 16 hours in the fridge', {
      place: 'fridge',
      pieces: [
        ['counter', 0.5],
        ['fridge', 16],
      ],
    }),
    base('between 15 and 19 hours', { hours: [15, 19] }),
    base('14 h, keeps 7 days', { hours: [14, 14] }),
    base('14 h in the fridge. It keeps for two weeks in the fridge.', {
      hours: [14, 14],
      place: 'fridge',
    }),
    base('overnight on the bench', { hours: [10, 14], place: 'counter' }),
    base('refrigerate for 20 hours', { hours: [20, 20], place: 'fridge' }),
    base('leave it out for 12 hours', { hours: [12, 12] }),
    base('left out 12 h', { hours: [12, 12], place: 'counter' }),
    base('steep for a day in the walk-in', { hours: [24, 24], place: 'fridge' }),
    base('stir, wait 3 minutes, then 18 h in the cooler', { hours: [18, 18], place: 'fridge' }),
    base('18 h in the fridge, let it hang for 30 min', { hours: [18, 18], place: 'fridge' }),
    base('16 to 20 hrs, fridge. Store up to 10 days.', { hours: [16, 20], place: 'fridge' }),
    base('24h room temp', { hours: [24, 24], place: 'counter' }),
    base('8 hours at ambient and then another 8 hours in the refrigerator', {
      hours: [16, 16],
      pieces: [
        ['counter', 8],
        ['fridge', 8],
      ],
    }),
    base('overnight in the fridge, 12 to 14 h', { hours: [12, 14], place: 'fridge' }),
    base('15 hours in the refridgerator', { hours: [15, 15], place: 'fridge' }),
    base('in the fridge for 1 day', { hours: [24, 24], place: 'fridge' }),
    {
      text: '500 g coffee, 500 g room temperature water, 16 h in the fridge',
      coffeeG: 500,
      waterG: 500,
      hours: [16, 16],
      place: 'fridge',
      waterC: 20,
    },
    {
      text: '200 g coffee, 1 L water at 90 °C, 12 h in the fridge',
      coffeeG: 200,
      waterC: 90,
      place: 'fridge',
    },
    { text: '200 g coffee, 1 L lukewarm water, 10 h', coffeeG: 200, waterC: 32, place: 'warm' },
    {
      text: '200 g coffee, 1 L ice water, 20 h in the fridge',
      coffeeG: 200,
      waterC: 4,
      place: 'fridge',
    },
    {
      text: '200 g coffee, 1 L water at 70 F, counter, 14 h',
      coffeeG: 200,
      waterC: 190 / 9,
      place: 'counter',
    },
    {
      text: '200 g coffee, 1 L hot water, 8 h on the counter',
      coffeeG: 200,
      waterC: 80,
      place: 'counter',
    },
  ],
  vessels: [
    {
      text: '100 g coarse coffee in a 1 L jar, fill it up with water, 16 h',
      coffeeG: 100,
      waterG: (1000 - 77) * W,
    },
    {
      text: '80 g coffee, fill to the line of a one-litre plunger pot, 12 h',
      coffeeG: 80,
      waterG: (1000 - 0.77 * 80) * W,
    },
    {
      text: 'Put 1 cup coarse coffee into a 1 quart jar and fill with cold water',
      coffeeG: CUP * COARSE,
      waterG: (QT - 0.77 * CUP * COARSE) * W,
    },
    { text: '100 g coffee in a jar, fill it up with water, 16 h', asks: 'vessel' },
    { text: '3 scoops of coffee, fill the jar to the top with water', asks: 'vessel' },
    { text: '150 g coffee, water up to the brim, overnight', asks: 'vessel' },
    { text: 'In a 2 L jar: 200 g coffee, 1.5 L water', coffeeG: 200, waterG: 1500 * W },
    { text: '2 gallon bucket, 1 lb coffee, 1 gallon water', coffeeG: LB, waterG: GAL * W },
  ],
  'filtration and roast': [
    base('16 h, plunger', { filtration: 'press' }),
    base('16 h, squeeze the bag', { filtration: 'squeeze' }),
    base('16 h, strain through cheesecloth', { filtration: 'drain' }),
    base('16 h, strain through a sieve and then a paper filter', { filtration: 'paper' }),
    base('16 h in a nut milk bag', { filtration: 'drain' }),
    base('16 h, press down', { filtration: 'press' }),
    base('16 h with a mesh insert', { filtration: 'insert' }),
    base('coffee filters, 16 h', { filtration: 'paper' }),
    { text: '200 g dark roast, 1000 g water', ...BASE, roast: 'dark' },
    { text: '200 g light roast coffee, 1000 g water, 20 h', ...BASE, roast: 'light' },
    {
      text: '200 g medium roast coffee ground coarse, 1000 g water',
      ...BASE,
      roast: 'medium',
      grind: 'coarse',
    },
    {
      text: '200 g coffee, medium-coarse, 1000 g water, fine mesh strainer',
      ...BASE,
      grind: 'medium-coarse',
    },
    {
      text: '1 cup whole beans, ground coarse, 1 L water',
      coffeeG: CUP * 0.36,
      waterG: 1000 * W,
      form: 'beans',
    },
  ],
  'after the brew': [
    base('16 h. Cut 1 to 1.', { dilution: 1 }),
    base('16 h. Dilute 1:2 with water before serving.', { dilution: 2 }),
    base('16 h. Dilute half and half with milk.', { dilution: 1 }),
    base('16 h. To serve, mix with equal parts water.', { dilution: 1 }),
    base('16 h. Serve 80 mL with 80 mL water and a splash of cream over a glass of ice.', {
      drink: {
        concentrateMl: 80,
        additions: [
          ['water', 80],
          ['light-cream', 15],
        ],
        ice: 'full',
      },
    }),
    base('16 h. Serve with 60 mL milk over 150 g ice.', {
      drink: { additions: [['whole-milk', 60]], ice: 150 },
    }),
    base('16 h, then two more cups through the grounds', { rinseMl: 2 * CUP }),
    base('16 h. Drain, then rinse with 300 mL water.', { rinseMl: 300 }),
    base('16 h, add 250 mL', { addedMl: 250 }),
    base('18 h in the fridge, strain, then add 500 mL water', { addedMl: 500, hours: [18, 18] }),
    {
      text: '2 lb coffee, 8 quarts water, 20 h, makes 6 quarts',
      coffeeG: 2 * LB,
      waterG: 8 * QT * W,
      yieldMl: 6 * QT,
    },
    {
      text: '200 g coffee, 1 L water, yields 1 L',
      coffeeG: 200,
      yieldMl: 1000,
      notes: ['disagrees_yield'],
    },
    {
      text: '200 g coffee, 1 L water, makes about 600 mL of concentrate',
      coffeeG: 200,
      waterG: 1000 * W,
      yieldMl: 600,
    },
    base(
      '16 h. For each drink pour 100 mL concentrate and 50 mL oat milk into a glass with 120 g ice.',
      {
        drink: { concentrateMl: 100, additions: [['oat-drink', 50]], ice: 120 },
      },
    ),
  ],
  'drinks alone': [
    {
      text: '4 oz concentrate, 2 oz milk, 15 mL syrup, 16 oz glass full of ice',
      isDrink: true,
      drink: {
        concentrateMl: 4 * FL_OZ,
        additions: [
          ['whole-milk', 2 * FL_OZ],
          ['simple-syrup', 15],
        ],
        cupMl: 16 * FL_OZ,
        ice: 'full',
      },
    },
    {
      text: '100 ml cold brew and 100 ml tonic over 120 g ice',
      isDrink: true,
      drink: { concentrateMl: 100, additions: [['tonic-water', 100]], ice: 120 },
    },
    {
      text: '60 mL concentrate with 180 mL hot water',
      isDrink: true,
      drink: { concentrateMl: 60, additions: [['water', 180]] },
    },
    {
      text: '90 mL of concentrate, 45 mL heavy cream, 10 mL vanilla syrup, 350 mL glass',
      isDrink: true,
      drink: {
        concentrateMl: 90,
        additions: [
          ['heavy-cream', 45],
          ['simple-syrup', 10],
        ],
        cupMl: 350,
      },
    },
    {
      text: '3 fl oz cold brew concentrate, 5 fl oz oat milk over ice',
      isDrink: true,
      drink: { concentrateMl: 3 * FL_OZ, additions: [['oat-drink', 5 * FL_OZ]] },
    },
    {
      text: '80 ml concentrate, 40 ml condensed milk, 200 g ice',
      isDrink: true,
      drink: { concentrateMl: 80, additions: [['condensed-milk', 40]], ice: 200 },
    },
  ],
  'pasted talk': [
    {
      text: '0:12 hey everyone, back at the beach\n0:35 so I take 200 grams of coffee\n1:02 and one litre of water\n1:40 and it sits for 16 hours in the fridge',
      coffeeG: 200,
      waterG: 1000 * W,
      hours: [16, 16],
      place: 'fridge',
    },
    {
      text: '[02:10] two hundred grams of coarse coffee [02:45] one litre of water [10:15] overnight in the fridge',
      coffeeG: 200,
      waterG: 1000 * W,
      place: 'fridge',
    },
    {
      text: 'Hi there! It rained all week here. Anyway: 300 g coffee and 2 L of water, 14 hours. See you at 7:30 pm.',
      coffeeG: 300,
      waterG: 2000 * W,
      hours: [14, 14],
    },
    {
      text: 'Made this on 12 May with my sister. 250 g coffee, 1.5 L water, fridge, 18 h. We loved it.',
      coffeeG: 250,
      waterG: 1500 * W,
      hours: [18, 18],
    },
    {
      text: 'Start at 8 am, strain at 6 pm. 150 g coffee to 1 L water, 10 hours on the counter.',
      coffeeG: 150,
      waterG: 1000 * W,
      hours: [10, 10],
    },
    {
      text: 'ok so what I do is like 1 cup coffee, 4 cups water, let it sit overnite in the fridg',
      coffeeG: CUP * COARSE,
      waterG: 4 * CUP * W,
      place: 'fridge',
    },
  ],
  'spelling and signs': [
    {
      text: 'course ground cofee 250 gramms, 2 litres watter, 18 hours in the fridg',
      coffeeG: 250,
      waterG: 2000 * W,
      grind: 'coarse',
      place: 'fridge',
    },
    { text: '0,125 kg coffee, 1 L water', coffeeG: 125, waterG: 1000 * W },
    {
      text: '¾ cup medium ground coffee and 3 cups cold water',
      coffeeG: 0.75 * CUP * 0.35,
      waterG: 3 * CUP * W,
    },
    {
      text: '2⅓ cups coarse coffee, 2 quarts water',
      coffeeG: (7 / 3) * CUP * COARSE,
      waterG: 2 * QT * W,
    },
    { text: 'MIX 2 LB COFFEE AND 5 QUARTS WATER', coffeeG: 2 * LB, waterG: 5 * QT * W },
    {
      text: '350g coffee 2.5L water 20h fridge coarse',
      coffeeG: 350,
      waterG: 2500 * W,
      hours: [20, 20],
    },
    { text: '1.200 g water and 200 g coffe', coffeeG: 200, asks: undefined },
    { text: '6 table spoons coffee, 1 litter water', coffeeG: 6 * TBSP * COARSE, waterG: 1000 * W },
  ].filter(({ text }) => !text.startsWith('1.200')) as readonly RecipeCase[],
  'as people write them': [
    {
      text: 'Combine 12 ounces of coarsely ground coffee with 7 cups of cold filtered water. Steep at room temperature for 12 to 15 hours. Strain.',
      coffeeG: 12 * OZ,
      waterG: 7 * CUP * W,
      hours: [12, 15],
      place: 'counter',
    },
    { text: 'Use 1 cup of grounds per 4 cups of water.', ratio: (4 * W) / COARSE },
    {
      text: 'I use a 64 oz mason jar, 1 1/2 cups of coarse grounds, and fill with water. 18 hours in the fridge.',
      coffeeG: 1.5 * CUP * COARSE,
      waterG: (64 * FL_OZ - 0.77 * 1.5 * CUP * COARSE) * W,
      place: 'fridge',
    },
    {
      text: '5 lbs coffee to 5 gallons water, 16 hrs at room temp, filter bag. Yields about 4 gallons.',
      coffeeG: 5 * LB,
      waterG: 5 * GAL * W,
      yieldMl: 4 * GAL,
      place: 'counter',
    },
    {
      text: '85g coffee, 700ml water, 15h fridge, 1:1 with water to serve',
      coffeeG: 85,
      waterG: 700 * W,
      dilution: 1,
      hours: [15, 15],
    },
    {
      text: 'Grind 100 grams of coffee medium coarse. Add to 1 liter of cold water. Stir. Cover. Refrigerate 12-18 hours. Filter through a paper filter. Keeps up to 1 week.',
      coffeeG: 100,
      waterG: 1000 * W,
      grind: 'medium-coarse',
      hours: [12, 18],
      filtration: 'paper',
    },
    {
      text: 'For the concentrate: 250 g beans, 1 liter water. To drink: 1 part concentrate to 2 parts water.',
      coffeeG: 250,
      waterG: 1000 * W,
      dilution: 2,
    },
    {
      text: '3 tablespoons of coffee per 8 oz of water, 14 hours',
      ratio: (8 * FL_OZ * W) / (3 * TBSP * COARSE),
      hours: [14, 14],
    },
    { text: '200g/1.6L, 16 hours', coffeeG: 200, waterG: 1600 * W },
    { text: 'two parts coffee to nine parts water, 24 h', ratio: 4.5, hours: [24, 24] },
    { text: 'water 1L coffee 125g steep 18h', coffeeG: 125, waterG: 1000 * W, hours: [18, 18] },
    {
      text: 'I put 500 g in 4 L, leave it 20 hours in the walk-in, get about 3 L out',
      coffeeG: 500,
      waterG: 4000 * W,
      yieldMl: 3000,
      place: 'fridge',
    },
    {
      text: 'Pour 750 g water over 150 g coffee, wait 2 minutes, pour the other 750 g',
      coffeeG: 150,
      waterG: 1500,
    },
    {
      text: '80 grams of coffee, bloom with 160 grams of hot water, then add 640 grams of cold water. 12 hours on the counter.',
      coffeeG: 80,
      waterG: 800,
      hours: [12, 12],
    },
    {
      text: '1 gallon of water, 1 lb of coffee, 24 hours. Then run another half gallon of water through the grounds.',
      coffeeG: LB,
      waterG: GAL * W,
      rinseMl: GAL / 2,
    },
    {
      text: 'Strain, then top it up with water to 4 litres. 600 g coffee, 3.5 L water, 16 h',
      coffeeG: 600,
      waterG: 3500 * W,
      yieldMl: 4000,
    },
    {
      text: 'Ten ounces coffee; forty ounces water; twelve hours; fridge.',
      coffeeG: 10 * OZ,
      waterG: 40 * FL_OZ * W,
      hours: [12, 12],
      place: 'fridge',
    },
    {
      text: 'Mix 1 1/4 cups coffee with 5 cups water. Let stand for 12 hours at room temperature. Strain twice. Serve over ice with 1/2 cup milk.',
      coffeeG: 1.25 * CUP * COARSE,
      waterG: 5 * CUP * W,
      hours: [12, 12],
      drink: { additions: [['whole-milk', CUP / 2]] },
    },
    {
      text: 'Put 340 g coarse coffee in the bag, hang it in 3 L water, 18 h, squeeze, and rinse with 500 ml',
      coffeeG: 340,
      waterG: 3000 * W,
      filtration: 'squeeze',
      rinseMl: 500,
    },
    {
      text: '100 g coffee, 800 ml water, 4 hours on the counter then overnight in the fridge',
      coffeeG: 100,
      hours: [14, 18],
      pieces: [
        ['counter', 4],
        ['fridge', 14],
      ],
    },
    {
      text: 'Double it: 2 x 250 g coffee and 2 x 2 L water for 18 hours',
      coffeeG: 500,
      waterG: 4000 * W,
    },
    {
      text: 'We do 2.2 kg in 11 litres for 20 hours in the cold room and it gives 8 litres',
      coffeeG: 2200,
      waterG: 11_000 * W,
      hours: [20, 20],
      yieldMl: 8000,
    },
    {
      text: 'first 8 hours at room temp followed by 10 hours in the fridge, 150 g coffee and 1 L water',
      coffeeG: 150,
      waterG: 1000 * W,
      pieces: [
        ['counter', 8],
        ['fridge', 10],
      ],
    },
    { text: '45 g of coffee, 15 oz of cold water, 16 hours', coffeeG: 45, waterG: 15 * FL_OZ * W },
    {
      text: 'coffee 1 cup water 4 cups 12 hours fridge strain keeps 10 days',
      coffeeG: CUP * COARSE,
      waterG: 4 * CUP * W,
      hours: [12, 12],
    },
    {
      text: '12:30 I grind 18 oz of beans coarse 13:05 add 1.5 gallons of water 14:00 lid on, 20 hours in the fridge',
      coffeeG: 18 * OZ,
      waterG: 1.5 * GAL * W,
      hours: [20, 20],
    },
    {
      text: '8 tbsp coffee / 32 oz water / 12 hr fridge',
      coffeeG: 8 * TBSP * COARSE,
      waterG: 32 * FL_OZ * W,
    },
    {
      text: '250 g coffee, 1 L water for the first steep of 12 h, then 500 ml more for a second steep',
      coffeeG: 250,
      waterG: 1000 * W,
      rinseMl: 500,
    },
    {
      text: 'coffee 60g, ice 200g, water 300g; steep 12 h in the fridge',
      coffeeG: 60,
      waterG: 500,
      notes: ['assumed_ice'],
    },
    {
      text: 'Recipe: Coffee - 1 lb. Water - 1 gallon. Time - 18 hours. Place - fridge.',
      coffeeG: LB,
      waterG: GAL * W,
      place: 'fridge',
    },
    {
      text: '12 oz of coffee, 60 oz water. 24 hours. Cut with 60 oz water.',
      coffeeG: 12 * OZ,
      waterG: 60 * FL_OZ * W,
      addedMl: 60 * FL_OZ,
    },
    {
      text: 'we use a 5 gallon bucket with 5 lb of coffee and fill to the 4 gallon line',
      coffeeG: 5 * LB,
      waterG: (4 * GAL - 0.77 * 5 * LB) * W,
    },
    { text: '500g coffee:4L water, 18h', coffeeG: 500, waterG: 4000 * W },
    {
      text: 'For 8 servings use 1 cup coffee and 4 cups water. Steep 15 hours.',
      coffeeG: CUP * COARSE,
      waterG: 4 * CUP * W,
      hours: [15, 15],
    },
    {
      text: 'To make 2 L of concentrate use 500 g of coffee and 3 L of water',
      coffeeG: 500,
      waterG: 3000 * W,
      yieldMl: 2000,
    },
    {
      text: 'Use 100 grams of coffee for every liter of water. I make 6 liters. 18 hours in the fridge.',
      ratio: 9.982,
      waterG: 6000 * W,
    },
    { text: 'For each litre: 80 g of coffee. 14 h.', ratio: 998.2 / 80, hours: [14, 14] },
    {
      text: '75 grams coarse, 1 litre tap water, 12 hours out, then strain and chill 2 hours',
      coffeeG: 75,
      hours: [12, 12],
      place: 'counter',
    },
    {
      text: 'Steep 100 g of coffee in 1 liter of water for 12 hours, then refrigerate',
      coffeeG: 100,
      hours: [12, 12],
      place: null,
    },
    {
      text: 'Steep 100 g coffee in 1 L of water for 24 hours (12 hours if at room temperature)',
      hours: [24, 24],
      place: null,
    },
    {
      text: 'Steep 10-12 hours at room temperature or 16-18 hours in the fridge: 100 g coffee, 1 L water',
      hours: [10, 12],
      place: 'counter',
      notes: ['assumed_first_way'],
    },
    { text: '1 pound of beans / 2.5 gallons, 24 hrs', coffeeG: LB, waterG: 2.5 * GAL * W },
    {
      text: 'about 80 to 90 g of coffee per litre, 12 to 15 hours',
      hours: [12, 15],
      ratio: (998.2 / 80 + 998.2 / 90) / 2,
    },
    { text: '10 tbsp in 32 oz', coffeeG: 10 * TBSP * COARSE, waterG: 32 * FL_OZ * W },
    {
      text: '3 L of water with 3 cups of coffee, steep 18 h, gives me 2.5 L',
      coffeeG: 3 * CUP * COARSE,
      waterG: 3000 * W,
      yieldMl: 2500,
    },
    {
      text: 'I brew 1.5 kg per 10 L for 22 hours at 5 °C',
      ratio: 9982 / 1500,
      hours: [22, 22],
      place: 'fridge',
    },
    {
      text: 'Two hundred and fifty grams of coffee to two litres of water',
      coffeeG: 250,
      waterG: 2000 * W,
    },
    { text: '100 grams coffee with 8 times the water', coffeeG: 100, waterG: 800 },
    { text: '5 g of coffee for 60 ml water', coffeeG: 5, waterG: 60 * W },
    { text: 'coffee/water 1/8, 100 g coffee', coffeeG: 100, ratio: 8 },
    {
      text: '3 tbsp coffee per cup, 6 cups of water',
      ratio: (CUP * W) / (3 * TBSP * COARSE),
      waterG: 6 * CUP * W,
    },
    {
      text: 'use 1 pound coffee; after 24 hours dilute each cup with a cup of water; 1 gallon water',
      coffeeG: LB,
      waterG: GAL * W,
      hours: [24, 24],
      dilution: 1,
    },
    {
      text: '12 h at 20 °C then 12 h at 4 °C, 100 g coffee, 800 g water',
      pieces: [
        ['counter', 12],
        ['fridge', 12],
      ],
      coffeeG: 100,
    },
    { text: '100 g coffee 700 g water 45 minutes', hours: [0.75, 0.75] },
    {
      text: 'Add 1 cup of sugar syrup later. 200 g coffee, 1 L water, 16 h.',
      coffeeG: 200,
      waterG: 1000 * W,
    },
    { text: 'steep overnight in the fridge', asks: 'everything' },
    { text: '200 g coffee, 16 h', asks: 'water' },
    { text: '1 L water, 16 h', asks: 'coffee' },
    { text: 'coffee to taste, water to cover', asks: 'everything' },
    { text: '300 g sugar and 300 g milk', asks: 'everything' },
    { text: 'makes 3 L', asks: 'everything' },
    { text: 'two cups of coffee in the fridge', asks: 'water' },
  ],
  'stated twice': [
    {
      text: 'half a cup, ten tablespoons of coffee and 3 cups of water',
      waterG: 3 * CUP * W,
      notes: ['disagrees_coffee'],
    },
    {
      text: 'two litres, eight cups of water, 400 g coffee',
      coffeeG: 400,
      notes: ['disagrees_water'],
    },
    { text: '1 cup (150 g) coffee, 1 L water', coffeeG: 150, notes: ['disagrees_coffee'] },
    { text: '2 quarts (8 cups) of water, 400 g coffee', coffeeG: 400, waterG: 2 * QT * W },
    { text: '1 cup (80 g) coffee, 1 L water', coffeeG: 80, waterG: 1000 * W },
    {
      text: '1 L water (about 4 cups) with 100 g coffee',
      coffeeG: 100,
      waterG: 1000 * W,
      notes: ['disagrees_water'],
    },
    {
      text: 'concentrate: 1 cup coffee to 8 cups water, 12 h on the counter',
      notes: ['misnamed_strength'],
    },
  ],
};
