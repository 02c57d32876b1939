import type { Plan } from '@ratio/core/batch';
import type { Vessel } from '@ratio/core/brew';
import type { Coffee } from '@ratio/core/coffee';
import type { Drink } from '@ratio/core/drink';
import {
  compositionOfPackage,
  INGREDIENTS,
  type HouseRecipe,
  type Opened,
  type PantryItem,
} from '@ratio/core/pantry';
import type { Instrument } from '@ratio/core/instruments';
import type { Shop } from '@ratio/core/shop';

/** The instant at which the demo opens: a Saturday in June, 07:40 at the lido. */
export const LIDO_MORNING = '2026-06-13T06:40:00.000Z';

type Body<T> = Omit<T, 'version'>;

/** An invented café at an invented tidal pool; nobody runs it. */
export const lidoShop: Body<Shop> = {
  id: 'lido',
  name: 'Saltstep Lido café',
  zone: 'Europe/Lisbon',
  currency: 'EUR',
  roomC: 24,
  fridgeC: 4,
  waterC: 12,
  fridgeL: 60,
  openHours: 8,
  closeHours: 20,
  crewFromHours: 6,
  crewToHours: 21,
  clock: '24 h',
  mill: {
    name: 'Bar mill',
    settings: {
      'extra-coarse': '30',
      coarse: '26',
      'medium-coarse': '22',
      medium: '18',
      fine: '9',
    },
    // Set wrong for a week, as the season's log shows.
    setAt: ['2026-05-25T06:00:00.000Z', '2026-06-01T05:30:00.000Z'],
  },
  scoopMl: 60,
  filters: [
    { name: 'Cotton bag, large', kind: 'bag', takesG: 500, count: 3 },
    { name: 'Paper, second pass', kind: 'paper', takesG: 1000, count: 100 },
  ],
  bar: {
    jiggerMl: 5,
    pumpMl: 7.5,
    spoonMl: 5,
    scaleG: 1,
    siphonMl: 1000,
    chargesPerFill: 1,
    chargePrice: 0.75,
    kegMl: 9500,
  },
  brixToStrength: 0.85,
  steps: [],
  checklists: {
    opening: [
      'Fridge read: 5 °C or colder',
      'Jugs tasted',
      'Ice bin filled',
      'Sign out, deck swept',
    ],
    closing: ['Jugs counted', 'Jugs covered and cold', 'Vessels clean', 'Foam thrown away'],
  },
  defaults: {
    grind: 'coarse',
    ratio: 5,
    place: 'fridge',
    hours: 18,
    wetting: 'stages',
    method: 'drain',
  },
};

export const lidoCoffees: readonly Body<Coffee>[] = [
  {
    id: 'lot-14',
    name: 'Lot 14, natural',
    solubleFrac: 0.215,
    robustaFrac: 0,
    decafFrac: 0,
    roast: 'medium',
    roastedOn: '2026-06-04',
    pricePerKg: 31,
    looseDensityGPerMl: null,
  },
  {
    id: 'lot-9',
    name: 'Lot 9, dark',
    solubleFrac: 0.222,
    robustaFrac: 0.2,
    decafFrac: 0,
    roast: 'dark',
    roastedOn: '2026-06-01',
    pricePerKg: 22.5,
    looseDensityGPerMl: null,
  },
  {
    id: 'lot-17',
    name: 'Lot 17, washed',
    solubleFrac: 0.208,
    robustaFrac: 0,
    decafFrac: 0,
    roast: 'light',
    roastedOn: '2026-06-08',
    pricePerKg: 34,
    looseDensityGPerMl: null,
  },
  {
    id: 'lot-5',
    name: 'Lot 5, decaf',
    solubleFrac: 0.21,
    robustaFrac: 0,
    decafFrac: 1,
    roast: 'medium',
    roastedOn: '2026-05-29',
    pricePerKg: 29,
    looseDensityGPerMl: null,
  },
];

const STEEPS = { use: 'steep', tareG: null, markMl: null } as const;
const KEEPS = {
  kind: 'pitcher',
  shaken: false,
  bagHoldsG: null,
  fitsFridge: true,
  use: 'jug',
} as const;

export const lidoVessels: readonly Body<Vessel>[] = [
  {
    id: 'bag-bucket',
    name: 'Bag bucket 12 L',
    brimMl: 12_000,
    heightMm: 330,
    kind: 'bucket',
    shaken: false,
    bagHoldsG: 1600,
    fitsFridge: true,
    ...STEEPS,
  },
  {
    id: 'tall-jar',
    name: 'Tall jar 6 L',
    brimMl: 6100,
    heightMm: 320,
    kind: 'jar',
    shaken: false,
    bagHoldsG: 1000,
    fitsFridge: true,
    ...STEEPS,
  },
  {
    id: 'other-tall-jar',
    name: 'Other tall jar 6 L',
    brimMl: 6100,
    heightMm: 320,
    kind: 'jar',
    shaken: false,
    bagHoldsG: 1000,
    fitsFridge: true,
    ...STEEPS,
  },
  {
    id: 'wide-jar',
    name: 'Wide jar 3 L',
    brimMl: 3100,
    heightMm: 215,
    kind: 'jar',
    shaken: false,
    bagHoldsG: null,
    fitsFridge: true,
    ...STEEPS,
  },
  {
    id: 'pitcher',
    name: 'Pitcher 2 L',
    brimMl: 2100,
    heightMm: 240,
    kind: 'pitcher',
    shaken: false,
    bagHoldsG: 300,
    fitsFridge: true,
    ...STEEPS,
  },
  {
    id: 'small-jar',
    name: 'Small jar 1 L',
    brimMl: 1060,
    heightMm: 175,
    kind: 'jar',
    shaken: true,
    bagHoldsG: null,
    fitsFridge: true,
    ...STEEPS,
  },
  ...[
    { id: 'jug-1', name: 'Jug 1', brimMl: 3200, heightMm: 290, tareG: 1240, markMl: 3000 },
    { id: 'jug-2', name: 'Jug 2', brimMl: 3200, heightMm: 290, tareG: 1255, markMl: 3000 },
    { id: 'jug-3', name: 'Jug 3', brimMl: 1600, heightMm: 240, tareG: 780, markMl: 1500 },
    { id: 'jug-4', name: 'Jug 4', brimMl: 2100, heightMm: 250, tareG: 905, markMl: 2000 },
  ].map((jug) => ({ ...jug, ...KEEPS })),
];

/** What the lido pays, a kilogram. */
const PRICES = {
  'whole-milk': 1.15,
  'half-and-half': 2.9,
  'heavy-cream': 4.8,
  'soy-drink': 1.9,
  'coconut-milk': 4.2,
  'coconut-drink': 2.1,
  'tonic-water': 1.6,
  'granulated-sugar': 1.2,
  'simple-syrup': 0.7,
  'cocoa-powder': 14,
  'cream-liqueur': 17,
  'spirit-40': 19,
  salt: 1,
} as const satisfies Partial<Record<keyof typeof INGREDIENTS, number>>;

export const lidoPantry: readonly Body<PantryItem>[] = [
  ...(Object.keys(PRICES) as (keyof typeof PRICES)[]).map((id) => ({
    ...INGREDIENTS[id],
    allergens: [...INGREDIENTS[id].allergens],
    pricePerKg: PRICES[id],
  })),
  {
    ...INGREDIENTS['oat-drink'],
    id: 'oat-drink',
    name: 'Oat drink, barista',
    per100G: compositionOfPackage({
      per: '100 mL',
      fatG: 3,
      carbohydrateG: 7.1,
      sugarG: 3.4,
      proteinG: 1.1,
      saltG: 0.1,
      alcoholFrac: 0,
    }),
    allergens: ['gluten'],
    pricePerKg: 2.2,
    source: 'table on the package, per 100 mL',
    mark: 'practice',
  },
];

/** What stands open on that morning, and since when; the coconut drink is a day past its last. */
export const lidoOpened: readonly Body<Opened>[] = [
  { id: 'whole-milk', at: '2026-06-12T07:10:00.000Z' },
  { id: 'oat-drink', at: '2026-06-11T06:45:00.000Z' },
  { id: 'heavy-cream', at: '2026-06-10T07:05:00.000Z' },
  { id: 'coconut-drink', at: '2026-06-08T14:20:00.000Z' },
  { id: 'rosemary-syrup', at: '2026-06-09T16:30:00.000Z' },
];

const noLife = { lifeDays: null, note: '' };

export const lidoHouseRecipes: readonly Body<HouseRecipe>[] = [
  {
    ...noLife,
    id: 'rosemary-syrup',
    name: 'Rosemary syrup',
    inputs: [{ ingredient: 'water', amount: { massG: 1000 } }],
    process: {
      method: 'infuse',
      with: '20 g rosemary, 15 min below the boil',
      leftG: null,
      loses: 'steam',
      match: { ingredient: 'granulated-sugar', ratio: 1, by: 'mass' },
    },
  },
  {
    ...noLife,
    id: 'cup-syrup',
    name: 'Syrup, cup for cup',
    inputs: [
      { ingredient: 'granulated-sugar', amount: { volumeMl: 500 } },
      { ingredient: 'water', amount: { volumeMl: 500 } },
    ],
    process: { method: 'mix' },
  },
  {
    ...noLife,
    id: 'salt-foam',
    name: 'Sea salt cream foam',
    inputs: [
      { ingredient: 'heavy-cream', amount: { massG: 200 } },
      { ingredient: 'whole-milk', amount: { massG: 150 } },
      { ingredient: 'simple-syrup', amount: { massG: 50 } },
      { ingredient: 'salt', amount: { massG: 2 } },
    ],
    process: { method: 'whip', overrunFrac: 0.8 },
    note: 'Whip it until it falls from the spoon in a ribbon.',
  },
  {
    ...noLife,
    id: 'reduced-coconut',
    name: 'Coconut, reduced by half',
    inputs: [
      { ingredient: 'coconut-milk', amount: { massG: 800 } },
      { ingredient: 'granulated-sugar', amount: { massG: 160 } },
    ],
    process: { method: 'reduce', toFrac: 0.5 },
  },
  {
    ...noLife,
    id: 'coffee-cubes',
    name: 'Coffee cubes',
    inputs: [{ ingredient: 'water', amount: { massG: 300 } }],
    process: {
      method: 'freeze',
      leftoverG: 700,
      strengthFrac: 0.034,
      caffeineMgPerG: 2.1,
      pricePerKg: 7,
    },
  },
];

const bin = { tempC: -2, coffeeFrac: 0, kind: 'cubes' as const };
const cubes = (massG: number) => ({ ...bin, massG });
const cold = (ingredient: string) => ({ ingredient, tempC: 4, proportion: 1 });
const usual = {
  glass: 'tumbler' as const,
  servings: 1,
  additions: [],
  stirredDown: false,
  chilledToC: null,
  serve: 'built' as const,
  weekCount: 40,
};
const syrup = (ingredient: string, volumeMl: number) => ({ ingredient, volumeMl, tempC: 20 });
const at = (strengthPct: number, atMinutes = 4) => ({
  strengthFrac: Math.round(strengthPct * 100) / 10_000,
  atMinutes,
});

export const lidoDrinks: readonly Body<Drink>[] = [
  {
    ...usual,
    id: 'lido-black',
    name: 'Lido black',
    cupMl: 350,
    ice: cubes(150),
    diluents: [cold('water')],
    target: at(1.45),
    price: 3.4,
    weekCount: 90,
    order: 1,
  },
  {
    ...usual,
    id: 'oat-breakwater',
    name: 'Oat breakwater',
    cupMl: 350,
    ice: cubes(140),
    diluents: [{ ...cold('oat-drink'), proportion: 2 }, cold('water')],
    target: at(1.3),
    price: 4.2,
    weekCount: 70,
    order: 2,
  },
  {
    ...usual,
    id: 'milk-tide',
    name: 'Milk tide',
    cupMl: 350,
    ice: cubes(120),
    additions: [syrup('simple-syrup', 15)],
    diluents: [cold('whole-milk')],
    target: at(1.35),
    price: 4,
    weekCount: 60,
    order: 3,
  },
  {
    ...usual,
    id: 'noon-tonic',
    name: 'Noon tonic',
    glass: 'highball',
    cupMl: 400,
    ice: cubes(160),
    diluents: [cold('tonic-water')],
    target: at(1.05, 3),
    price: 4.6,
    weekCount: 25,
    order: 4,
  },
  {
    ...usual,
    id: 'coconut-cove',
    name: 'Coconut cove',
    cupMl: 300,
    ice: { ...bin, massG: 110, kind: 'crushed' },
    additions: [{ ingredient: 'reduced-coconut', volumeMl: 20, tempC: 4 }],
    diluents: [cold('coconut-drink')],
    target: at(1.25, 5),
    price: 4.4,
    weekCount: 20,
    order: 5,
  },
  {
    ...usual,
    id: 'cream-ladder',
    name: 'Cream ladder, 1 to 1',
    cupMl: 240,
    ice: cubes(90),
    additions: [{ ingredient: 'heavy-cream', volumeMl: 25, tempC: 4 }],
    diluents: [cold('water')],
    target: { parts: { concentrate: 1, fill: 1 } },
    price: 3.9,
    weekCount: 15,
    order: 6,
  },
  {
    ...usual,
    id: 'towel-hot',
    name: 'Warm towel, hot',
    cupMl: 300,
    glass: 'mug',
    ice: null,
    diluents: [{ ingredient: 'water', tempC: 92, proportion: 1 }],
    target: at(1.35),
    price: 3.2,
    weekCount: 20,
    order: 7,
  },
  {
    ...usual,
    id: 'deep-end',
    name: 'Deep end',
    cupMl: 200,
    ice: cubes(90),
    diluents: [cold('water')],
    target: at(3.45, 2),
    price: 3.8,
    weekCount: 5,
    order: 8,
  },
  {
    ...usual,
    id: 'salt-foam-tide',
    name: 'Salt foam tide',
    cupMl: 300,
    ice: cubes(120),
    additions: [syrup('rosemary-syrup', 15), { ingredient: 'salt-foam', volumeMl: 45, tempC: 4 }],
    diluents: [cold('water')],
    target: at(1.6),
    price: 4.8,
    weekCount: 30,
    order: 9,
  },
  {
    ...usual,
    id: 'cube-milk',
    name: 'Coffee cubes over milk',
    cupMl: 300,
    ice: { ...bin, massG: 130, tempC: -18, recipe: 'coffee-cubes' },
    diluents: [{ ...cold('whole-milk'), tempC: 6 }],
    target: at(1, 10),
    price: 4.3,
    weekCount: 15,
    order: 10,
  },
  {
    ...usual,
    id: 'night-swim',
    name: 'Night swim, nitrogen',
    glass: 'highball',
    cupMl: 250,
    ice: null,
    diluents: [cold('water')],
    target: at(1.7, 0),
    serve: 'siphon',
    chilledToC: 3,
    price: 4.5,
    weekCount: 20,
    order: 11,
  },
  {
    ...usual,
    id: 'after-sun',
    name: 'After sun, cream liqueur',
    cupMl: 220,
    ice: { ...bin, massG: 100, kind: 'large' },
    additions: [{ ingredient: 'cream-liqueur', volumeMl: 40, tempC: 18 }],
    diluents: [cold('water')],
    target: at(1.5),
    stirredDown: true,
    price: 6.5,
    weekCount: 10,
    order: 12,
  },
  {
    ...usual,
    id: 'deck-jug',
    name: 'Deck jug for six',
    glass: 'carafe',
    cupMl: 1500,
    servings: 6,
    ice: cubes(500),
    diluents: [cold('water')],
    target: at(1.3, 6),
    price: 15,
    weekCount: 6,
    order: 13,
  },
];

const fridge = (hours: number): Plan['steep'] => [{ place: 'fridge', tempC: 4, hours }];

/** A batch of the demo: its plan, and when it began before the demo opens. */
export interface LidoBatch {
  readonly id: string;
  readonly plan: Plan;
  readonly startedHoursBefore: number;
  /** The jug that it was strained into, once it was. */
  readonly jug?: {
    readonly id: string;
    readonly vesselId: string;
    /** Refractometer reading over the prediction. */
    readonly readOverPredicted: number;
    /** What was already poured from it, g. */
    readonly pouredG: readonly number[];
  };
}

const coarse = {
  grind: 'coarse',
  wetting: 'stages',
  waterC: 12,
  agitationHours: [],
  bed: 'loose' as const,
} satisfies Partial<Plan>;
const drained = { method: 'drain', rinseG: 0 } as const;

export const lidoBatches: readonly LidoBatch[] = [
  {
    id: 'lido-batch-1',
    startedHoursBefore: 5 * 24 + 19,
    plan: {
      ...coarse,
      coffeeId: 'lot-9',
      vesselId: 'tall-jar',
      doseG: 800,
      waterG: 4000,
      steep: fridge(18),
      filtration: drained,
    },
    jug: {
      id: 'lido-jug-1',
      vesselId: 'jug-1',
      readOverPredicted: 0.97,
      pouredG: [620, 540, 430],
    },
  },
  {
    id: 'lido-batch-2',
    startedHoursBefore: 2 * 24 + 18,
    plan: {
      ...coarse,
      coffeeId: 'lot-14',
      vesselId: 'tall-jar',
      doseG: 900,
      waterG: 4500,
      steep: fridge(18),
      filtration: drained,
    },
    jug: {
      id: 'lido-jug-2',
      vesselId: 'jug-2',
      readOverPredicted: 1.03,
      pouredG: [380, 310],
    },
  },
  {
    id: 'lido-batch-3',
    startedHoursBefore: 24 + 16,
    plan: {
      ...coarse,
      coffeeId: 'lot-17',
      vesselId: 'wide-jar',
      doseG: 380,
      waterG: 2050,
      steep: fridge(16),
      filtration: { method: 'paper', rinseG: 0 },
    },
    jug: {
      id: 'lido-jug-3',
      vesselId: 'jug-3',
      readOverPredicted: 0.94,
      pouredG: [],
    },
  },
  {
    id: 'lido-batch-4',
    startedHoursBefore: 17.5,
    plan: {
      ...coarse,
      coffeeId: 'lot-14',
      vesselId: 'tall-jar',
      doseG: 900,
      waterG: 4400,
      steep: fridge(18),
      filtration: drained,
    },
  },
  {
    id: 'lido-batch-5',
    startedHoursBefore: 11,
    plan: {
      ...coarse,
      coffeeId: 'lot-9',
      vesselId: 'bag-bucket',
      doseG: 1400,
      waterG: 7000,
      steep: fridge(22),
      filtration: { method: 'drain', rinseG: 500 },
    },
  },
];

/** Stand-ins for what a bench has: they behave like the real things, and find what nobody told the model. */
export const lidoInstruments: readonly Body<Instrument>[] = [
  {
    id: 'bench-scale',
    name: 'Bench scale',
    kind: 'scale',
    driver: { by: 'simulated', seed: 11 },
    place: null,
    batchId: null,
    calibration: null,
  },
  {
    id: 'refractometer',
    name: 'Refractometer',
    kind: 'refractometer',
    driver: { by: 'simulated', seed: 11 },
    place: null,
    batchId: null,
    calibration: null,
  },
  {
    id: 'fridge-probe',
    name: 'Fridge probe',
    kind: 'probe',
    driver: { by: 'simulated', seed: 12 },
    place: 'fridge',
    batchId: null,
    calibration: null,
  },
  {
    id: 'counter-probe',
    name: 'Counter probe',
    kind: 'probe',
    driver: { by: 'simulated', seed: 13 },
    place: 'counter',
    batchId: null,
    calibration: null,
  },
];
