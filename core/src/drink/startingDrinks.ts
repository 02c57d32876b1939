import type { Drink } from './schema.ts';

/** A kind of serve to begin a drink with: common practice, to be changed as the shop has it. */
export interface StartingDrink {
  readonly name: string;
  readonly reason: string;
  readonly drink: Omit<Drink, 'id' | 'version' | 'name' | 'order'>;
}

const cubes = (massG: number): Drink['ice'] => ({ massG, tempC: -2, coffeeFrac: 0, kind: 'cubes' });
const dilutedWith = (ingredient: string, tempC = 4): Drink['diluents'] => [
  { ingredient, tempC, proportion: 1 },
];

const PLAIN: StartingDrink['drink'] = {
  cupMl: 350,
  glass: 'tumbler',
  servings: 1,
  ice: cubes(150),
  additions: [],
  diluents: dilutedWith('water'),
  target: { strengthFrac: 0.014, atMinutes: 4 },
  stirredDown: false,
  chilledToC: null,
  serve: 'built',
  price: 0,
  weekCount: 0,
};

/** What a new drink may begin as; the first is the usual one. All amounts are common practice. */
export const STARTING_DRINKS: readonly StartingDrink[] = [
  { name: 'Over ice', reason: 'water and cubes, the plain one', drink: PLAIN },
  {
    name: 'Straight',
    reason: 'no ice, small and cold',
    drink: { ...PLAIN, cupMl: 150, ice: null, target: { strengthFrac: 0.015, atMinutes: 0 } },
  },
  {
    name: 'With milk',
    reason: 'milk instead of water',
    drink: { ...PLAIN, ice: cubes(120), diluents: dilutedWith('whole-milk') },
  },
  {
    name: 'One to one',
    reason: 'in parts, as much water as concentrate',
    drink: { ...PLAIN, target: { parts: { concentrate: 1, fill: 1 } } },
  },
  {
    name: 'Shaken',
    reason: 'with syrup, shaken down over its ice',
    drink: {
      ...PLAIN,
      additions: [{ ingredient: 'simple-syrup', volumeMl: 15, tempC: 20 }],
      stirredDown: true,
    },
  },
  {
    name: 'Hot',
    reason: 'water near the boil into a mug',
    drink: { ...PLAIN, cupMl: 300, glass: 'mug', ice: null, diluents: dilutedWith('water', 92) },
  },
  {
    name: 'With tonic',
    reason: 'coffee over tonic in a tall glass; contains quinine',
    drink: {
      ...PLAIN,
      glass: 'highball',
      diluents: dilutedWith('tonic-water'),
      target: { strengthFrac: 0.0105, atMinutes: 4 },
    },
  },
  {
    name: 'Nitrogen',
    reason: 'diluted first, charged in a siphon',
    drink: {
      ...PLAIN,
      cupMl: 250,
      ice: null,
      serve: 'siphon',
      target: { strengthFrac: 0.016, atMinutes: 0 },
    },
  },
  {
    name: 'With a liqueur',
    reason: '40 mL of coffee liqueur; takes a licence',
    drink: {
      ...PLAIN,
      cupMl: 200,
      ice: cubes(100),
      additions: [{ ingredient: 'coffee-liqueur', volumeMl: 40, tempC: 18 }],
    },
  },
  {
    name: 'From a keg',
    reason: 'diluted for all, drawn over the ice',
    drink: { ...PLAIN, serve: 'keg' },
  },
  {
    name: 'A jug for six',
    reason: 'one carafe, six glasses',
    drink: {
      ...PLAIN,
      cupMl: 1800,
      glass: 'carafe',
      servings: 6,
      ice: cubes(600),
      target: { strengthFrac: 0.013, atMinutes: 8 },
    },
  },
];

const USUAL = 'usual-';
/** Kinds that a bar without a menu most likely pours. */
const USUAL_NAMES: readonly string[] = [
  'Over ice',
  'With milk',
  'Straight',
  'One to one',
  'Hot',
  'With tonic',
];

/** A short menu to begin with where a shop has none: usual glasses, to keep, to change or to drop. */
export const USUAL_MENU: readonly Drink[] = STARTING_DRINKS.filter(({ name }) =>
  USUAL_NAMES.includes(name),
).map(({ name, drink }, order) => ({
  ...drink,
  id: `${USUAL}${name.toLowerCase().replaceAll(' ', '-')}`,
  version: 0,
  name,
  order,
}));

/** @returns whether a drink is one of the usual menu, kept or not */
export const isUsualDrink = ({ id }: Pick<Drink, 'id'>): boolean => id.startsWith(USUAL);
