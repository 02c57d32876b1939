import type { Drink, Plan, ShelfCoffee, Shop, Vessel } from '@ratio/core';

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
  openHours: 8,
  closeHours: 20,
  crewFromHours: 6,
  crewToHours: 21,
  mill: {
    name: 'Bar mill',
    settings: {
      'extra-coarse': '30',
      coarse: '26',
      'medium-coarse': '22',
      medium: '18',
      fine: '9',
    },
  },
  scoopMl: 60,
  filters: [
    { name: 'Cotton bag, large', kind: 'bag', takesG: 500 },
    { name: 'Paper, second pass', kind: 'paper', takesG: 1000 },
  ],
  defaults: {
    grind: 'coarse',
    ratio: 5,
    place: 'fridge',
    hours: 18,
    wetting: 'stages',
    method: 'drain',
  },
};

export const lidoCoffees: readonly Body<ShelfCoffee>[] = [
  {
    id: 'slack-tide',
    name: 'Slack Tide, natural',
    solubleFrac: 0.215,
    robustaFrac: 0,
    decafFrac: 0,
    roast: 'medium',
    roastedOn: '2026-06-04',
    pricePerKg: 31,
    looseDensityGPerMl: null,
  },
  {
    id: 'harbour-wall',
    name: 'Harbour Wall, dark',
    solubleFrac: 0.222,
    robustaFrac: 0.2,
    decafFrac: 0,
    roast: 'dark',
    roastedOn: '2026-06-01',
    pricePerKg: 22.5,
    looseDensityGPerMl: null,
  },
  {
    id: 'north-groyne',
    name: 'North Groyne, washed',
    solubleFrac: 0.208,
    robustaFrac: 0,
    decafFrac: 0,
    roast: 'light',
    roastedOn: '2026-06-08',
    pricePerKg: 34,
    looseDensityGPerMl: null,
  },
  {
    id: 'lantern-decaf',
    name: 'Lantern, decaf',
    solubleFrac: 0.21,
    robustaFrac: 0,
    decafFrac: 1,
    roast: 'medium',
    roastedOn: '2026-05-29',
    pricePerKg: 29,
    looseDensityGPerMl: null,
  },
];

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
  },
];

const cubes = (massG: number) => ({ massG, tempC: -2, coffeeFrac: 0, kind: 'cubes' as const });
const cold = (ingredient: Drink['fillWith']['ingredient']) => ({ ingredient, tempC: 4 });
const tumbler = { glass: 'tumbler' as const, stirredDown: false, additions: [] };

export const lidoDrinks: readonly Body<Drink>[] = [
  {
    ...tumbler,
    id: 'lido-black',
    name: 'Lido black',
    cupMl: 350,
    ice: cubes(150),
    fillWith: cold('water'),
    target: { strengthFrac: 0.0145, atMinutes: 4 },
    price: 3.4,
    order: 1,
  },
  {
    ...tumbler,
    id: 'oat-breakwater',
    name: 'Oat breakwater',
    cupMl: 350,
    ice: cubes(140),
    additions: [{ ingredient: 'water', volumeMl: 40, tempC: 4 }],
    fillWith: cold('oat-drink'),
    target: { strengthFrac: 0.013, atMinutes: 4 },
    price: 4.2,
    order: 2,
  },
  {
    ...tumbler,
    id: 'milk-tide',
    name: 'Milk tide',
    cupMl: 350,
    ice: cubes(120),
    additions: [{ ingredient: 'simple-syrup', volumeMl: 15, tempC: 20 }],
    fillWith: cold('whole-milk'),
    target: { strengthFrac: 0.0135, atMinutes: 4 },
    price: 4,
    order: 3,
  },
  {
    ...tumbler,
    id: 'noon-tonic',
    name: 'Noon tonic',
    cupMl: 400,
    ice: cubes(160),
    fillWith: cold('tonic-water'),
    target: { strengthFrac: 0.0105, atMinutes: 3 },
    price: 4.6,
    order: 4,
  },
  {
    ...tumbler,
    id: 'coconut-cove',
    name: 'Coconut cove',
    cupMl: 300,
    ice: { massG: 130, tempC: -2, coffeeFrac: 0, kind: 'crushed' },
    additions: [{ ingredient: 'simple-syrup', volumeMl: 10, tempC: 20 }],
    fillWith: cold('coconut-drink'),
    target: { strengthFrac: 0.0125, atMinutes: 5 },
    price: 4.4,
    order: 5,
  },
  {
    ...tumbler,
    id: 'cream-ladder',
    name: 'Cream ladder, 1 to 1',
    cupMl: 240,
    ice: cubes(90),
    additions: [{ ingredient: 'heavy-cream', volumeMl: 25, tempC: 4 }],
    fillWith: cold('water'),
    target: { parts: { concentrate: 1, fill: 1 } },
    price: 3.9,
    order: 6,
  },
  {
    id: 'towel-hot',
    name: 'Warm towel, hot',
    cupMl: 300,
    glass: 'mug',
    ice: null,
    additions: [],
    fillWith: { ingredient: 'water', tempC: 92 },
    target: { strengthFrac: 0.0135, atMinutes: 4 },
    stirredDown: false,
    price: 3.2,
    order: 7,
  },
  {
    ...tumbler,
    id: 'deep-end',
    name: 'Deep end',
    cupMl: 200,
    ice: cubes(90),
    fillWith: cold('water'),
    target: { strengthFrac: 0.0345, atMinutes: 2 },
    price: 3.8,
    order: 8,
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
    readonly label: string;
    readonly capacityMl: number;
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
} satisfies Partial<Plan>;
const drained = { method: 'drain', rinseG: 0 } as const;

export const lidoBatches: readonly LidoBatch[] = [
  {
    id: 'lido-batch-1',
    startedHoursBefore: 5 * 24 + 19,
    plan: {
      ...coarse,
      coffeeId: 'harbour-wall',
      vesselId: 'tall-jar',
      doseG: 800,
      waterG: 4000,
      steep: fridge(18),
      separation: drained,
    },
    jug: {
      id: 'lido-jug-1',
      label: 'Jug 1',
      capacityMl: 3000,
      readOverPredicted: 0.97,
      pouredG: [620, 540, 430],
    },
  },
  {
    id: 'lido-batch-2',
    startedHoursBefore: 2 * 24 + 18,
    plan: {
      ...coarse,
      coffeeId: 'slack-tide',
      vesselId: 'tall-jar',
      doseG: 900,
      waterG: 4500,
      steep: fridge(18),
      separation: drained,
    },
    jug: {
      id: 'lido-jug-2',
      label: 'Jug 2',
      capacityMl: 3000,
      readOverPredicted: 1.03,
      pouredG: [380, 310],
    },
  },
  {
    id: 'lido-batch-3',
    startedHoursBefore: 24 + 16,
    plan: {
      ...coarse,
      coffeeId: 'north-groyne',
      vesselId: 'wide-jar',
      doseG: 380,
      waterG: 2050,
      steep: fridge(16),
      separation: { method: 'paper', rinseG: 0 },
    },
    jug: {
      id: 'lido-jug-3',
      label: 'Jug 3',
      capacityMl: 1500,
      readOverPredicted: 0.94,
      pouredG: [],
    },
  },
  {
    id: 'lido-batch-4',
    startedHoursBefore: 17.5,
    plan: {
      ...coarse,
      coffeeId: 'slack-tide',
      vesselId: 'tall-jar',
      doseG: 900,
      waterG: 4400,
      steep: fridge(18),
      separation: drained,
    },
  },
  {
    id: 'lido-batch-5',
    startedHoursBefore: 11,
    plan: {
      ...coarse,
      coffeeId: 'harbour-wall',
      vesselId: 'bag-bucket',
      doseG: 1400,
      waterG: 7000,
      steep: fridge(22),
      separation: { method: 'drain', rinseG: 500 },
    },
  },
];
