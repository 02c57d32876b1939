import { DomainError } from '../errors.ts';
import type { SourceMark } from '../sourced.ts';
import { massG, NOTHING, scaled, type Composition } from '../matter/composition.ts';
import { densityGPerMl, energyKcal } from '../matter/properties.ts';
import { compositionOfPackage } from './packageTable.ts';

/** What must be declared when it is in a drink. */
export const ALLERGENS = [
  'milk',
  'soy',
  'nuts',
  'peanut',
  'coconut',
  'gluten',
  'egg',
  'sesame',
] as const;
export type Allergen = (typeof ALLERGENS)[number];

/** How an ingredient behaves in the glass and on the label. */
export const INGREDIENT_KINDS = [
  'water',
  'dairy',
  'plant',
  'syrup',
  'tonic',
  'juice',
  'spirit',
  'powder',
  'paste',
  'foam',
  'coffee',
] as const;
type IngredientKind = (typeof INGREDIENT_KINDS)[number];

export interface Ingredient {
  readonly id: string;
  readonly name: string;
  readonly kind: IngredientKind;
  /** Grams of each component in 100 g. */
  readonly per100G: Composition;
  readonly allergens: readonly Allergen[];
  /** Life in the fridge once opened or made, days; null where it keeps. */
  readonly openedDays: number | null;
  /** Loose density of what is spooned, g/mL; null for what is poured. */
  readonly looseGPerMl: number | null;
  /** Air whipped in, volume of air over volume of liquid; 0 for what is not a foam. */
  readonly overrunFrac: number;
  readonly caffeineMgPerG: number;
  /**
   * Food energy that its composition does not tell, kcal/g: what is digested of instant coffee beyond
   * the little that counts for brewed solids; 0 for all else.
   */
  readonly extraKcalPerG: number;
  /** What the shop pays; null where nobody has said. */
  readonly pricePerKg: number | null;
  readonly source: string;
  readonly mark: SourceMark;
}

type Row = Pick<Ingredient, 'name' | 'kind' | 'per100G' | 'source' | 'mark'> &
  Partial<Omit<Ingredient, 'id'>>;

// What is not listed is water, so that each row adds up to 100 g.
function of100(parts: Partial<Omit<Composition, 'waterG'>>): Composition {
  const rest = { ...NOTHING, ...parts };
  return { ...rest, waterG: 100 - massG(rest) };
}

/** @returns 100 g of what its label says in alcohol by volume, 0–1, the rest of it in grams */
function ofStrength(
  alcoholFrac: number,
  parts: Partial<Record<'sugarG' | 'carbohydrateG' | 'fatG' | 'proteinG' | 'ashG', number>> = {},
): Composition {
  const { sugarG = 0, carbohydrateG = 0, fatG = 0, proteinG = 0, ashG = 0 } = parts;
  return compositionOfPackage({
    per: '100 g',
    fatG,
    carbohydrateG: sugarG + carbohydrateG,
    sugarG,
    proteinG,
    saltG: ashG,
    alcoholFrac,
  });
}

const DAIRY_TABLE = { source: 'USDA FoodData Central, legacy tables', mark: 'memory' } as const;
const FOOD_TABLE = DAIRY_TABLE;
const PACKAGE = {
  source: 'typical nutrition label of an unsweetened or lightly sweet drink',
  mark: 'practice',
} as const;
/** The alcohol is what its name says by volume; volumes are taken to add up, so its mass is up to 3.5 % over. */
const LABELLED = {
  source: 'its label’s alcohol by volume; the rest USDA FoodData Central, legacy tables',
  mark: 'memory',
} as const;
/** What pumps hold: sugar and water with a flavour. */
const BAR_SYRUP = {
  source: 'typical nutrition label of a flavoured bar syrup',
  mark: 'practice',
} as const;
const BY_MASS = { source: 'weighed sugar and water', mark: 'exact' } as const;

const INSTANT_COFFEE = of100({ coffeeG: 96.9 });

/** What goes into a drink or a house recipe beside the coffee, by id. Opened lives are practice. */
const TABLE = {
  water: {
    name: 'Water',
    kind: 'water',
    per100G: of100({}),
    source: 'definition',
    mark: 'exact',
  },
  'whole-milk': {
    name: 'Whole milk',
    kind: 'dairy',
    openedDays: 4,
    per100G: of100({ sugarG: 4.8, fatG: 3.27, proteinG: 3.27, ashG: 0.72 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'low-fat-milk': {
    name: 'Low-fat milk',
    kind: 'dairy',
    openedDays: 4,
    per100G: of100({ sugarG: 4.9, fatG: 1.0, proteinG: 3.37, ashG: 0.75 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'skim-milk': {
    name: 'Skimmed milk',
    kind: 'dairy',
    openedDays: 4,
    per100G: of100({ sugarG: 5.0, fatG: 0.1, proteinG: 3.4, ashG: 0.77 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'half-and-half': {
    name: 'Half and half',
    kind: 'dairy',
    openedDays: 4,
    per100G: of100({ sugarG: 4.3, fatG: 11.5, proteinG: 3.1, ashG: 0.7 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'light-cream': {
    name: 'Light cream',
    kind: 'dairy',
    openedDays: 4,
    per100G: of100({ sugarG: 3.7, fatG: 19.1, proteinG: 2.96, ashG: 0.6 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'heavy-cream': {
    name: 'Heavy cream',
    kind: 'dairy',
    openedDays: 4,
    per100G: of100({ sugarG: 2.9, fatG: 36.1, proteinG: 2.84, ashG: 0.5 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'oat-drink': {
    name: 'Oat drink',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 4.0, carbohydrateG: 3.3, fatG: 1.5, proteinG: 1.0, ashG: 0.5 }),
    allergens: ['gluten'],
    ...PACKAGE,
  },
  'soy-drink': {
    name: 'Soy drink',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 0.5, carbohydrateG: 0.7, fatG: 1.8, proteinG: 3.3, ashG: 0.6 }),
    allergens: ['soy'],
    ...PACKAGE,
  },
  'almond-drink': {
    name: 'Almond drink',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 0.2, carbohydrateG: 0.4, fatG: 1.1, proteinG: 0.5, ashG: 0.4 }),
    allergens: ['nuts'],
    ...PACKAGE,
  },
  'coconut-milk': {
    name: 'Coconut milk, canned',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 2.0, carbohydrateG: 0.8, fatG: 21.3, proteinG: 2.0, ashG: 0.9 }),
    allergens: ['coconut'],
    ...DAIRY_TABLE,
  },
  'coconut-drink': {
    name: 'Coconut drink',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 1.9, carbohydrateG: 0.8, fatG: 0.9, proteinG: 0.1, ashG: 0.3 }),
    allergens: ['coconut'],
    ...PACKAGE,
  },
  'simple-syrup': {
    name: 'Simple syrup, 1:1',
    kind: 'syrup',
    openedDays: 14,
    per100G: of100({ sugarG: 50 }),
    ...BY_MASS,
  },
  'rich-syrup': {
    name: 'Rich syrup, 2:1',
    kind: 'syrup',
    openedDays: 28,
    per100G: of100({ sugarG: 200 / 3 }),
    ...BY_MASS,
  },
  'tonic-water': {
    name: 'Tonic water',
    kind: 'tonic',
    openedDays: 1,
    per100G: of100({ sugarG: 8.6 }),
    ...PACKAGE,
  },
  'granulated-sugar': {
    name: 'Granulated sugar',
    kind: 'powder',
    per100G: of100({ sugarG: 99.9 }),
    looseGPerMl: 0.85,
    source: 'sucrose; a US cup of it weighs 200 g (USDA household measures)',
    mark: 'memory',
  },
  honey: {
    name: 'Honey',
    kind: 'syrup',
    per100G: of100({ sugarG: 82.1, carbohydrateG: 0.3, proteinG: 0.3, ashG: 0.2 }),
    ...FOOD_TABLE,
  },
  'maple-syrup': {
    name: 'Maple syrup',
    kind: 'syrup',
    openedDays: 180,
    per100G: of100({ sugarG: 60.5, carbohydrateG: 6.5, fatG: 0.1, ashG: 0.5 }),
    ...FOOD_TABLE,
  },
  'vanilla-syrup': {
    name: 'Vanilla syrup',
    kind: 'syrup',
    openedDays: 60,
    per100G: of100({ sugarG: 64 }),
    ...BAR_SYRUP,
  },
  'caramel-syrup': {
    name: 'Caramel syrup',
    kind: 'syrup',
    openedDays: 60,
    per100G: of100({ sugarG: 64 }),
    ...BAR_SYRUP,
  },
  'hazelnut-syrup': {
    name: 'Hazelnut syrup',
    kind: 'syrup',
    openedDays: 60,
    per100G: of100({ sugarG: 64 }),
    // Most are flavoured without nuts; the label says so, and not this table.
    allergens: ['nuts'],
    ...BAR_SYRUP,
  },
  'brown-sugar': {
    name: 'Brown sugar',
    kind: 'powder',
    per100G: of100({ sugarG: 97, carbohydrateG: 1.1, proteinG: 0.1, ashG: 0.5 }),
    // A US cup of it, packed, weighs 220 g.
    looseGPerMl: 0.93,
    ...FOOD_TABLE,
  },
  'brown-sugar-syrup': {
    name: 'Brown sugar syrup, 1:1',
    kind: 'syrup',
    openedDays: 14,
    per100G: of100({ sugarG: 48.5, carbohydrateG: 0.5, ashG: 0.3 }),
    source: 'weighed brown sugar and water; the sugar from USDA FoodData Central',
    mark: 'memory',
  },
  'agave-syrup': {
    name: 'Agave syrup',
    kind: 'syrup',
    openedDays: 180,
    per100G: of100({ sugarG: 68, carbohydrateG: 8.4, fatG: 0.5, proteinG: 0.1, ashG: 0.1 }),
    ...FOOD_TABLE,
  },
  'date-syrup': {
    name: 'Date syrup',
    kind: 'syrup',
    openedDays: 60,
    per100G: of100({ sugarG: 66, carbohydrateG: 4, fatG: 0.1, proteinG: 1.2, ashG: 1.5 }),
    source: 'typical package of a date syrup',
    mark: 'practice',
  },
  'vanilla-extract': {
    name: 'Vanilla extract, 35 % vol',
    kind: 'spirit',
    per100G: ofStrength(0.35, { sugarG: 12.6, ashG: 0.3 }),
    ...LABELLED,
  },
  'banana-puree': {
    name: 'Banana purée',
    kind: 'juice',
    openedDays: 2,
    per100G: of100({ sugarG: 12.2, carbohydrateG: 8, fatG: 0.3, proteinG: 1.1, ashG: 0.8 }),
    ...FOOD_TABLE,
  },
  'berry-puree': {
    name: 'Berry purée',
    kind: 'juice',
    openedDays: 3,
    per100G: of100({ sugarG: 6, carbohydrateG: 2.5, fatG: 0.4, proteinG: 0.8, ashG: 0.4 }),
    ...FOOD_TABLE,
  },
  'barista-oat-drink': {
    name: 'Oat drink, barista',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 3.4, carbohydrateG: 3.2, fatG: 3, proteinG: 1, ashG: 0.8 }),
    allergens: ['gluten'],
    ...PACKAGE,
  },
  'barista-soy-drink': {
    name: 'Soy drink, barista',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 2.3, carbohydrateG: 0.7, fatG: 2, proteinG: 3.3, ashG: 0.7 }),
    allergens: ['soy'],
    ...PACKAGE,
  },
  'barista-almond-drink': {
    name: 'Almond drink, barista',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 2.5, carbohydrateG: 1, fatG: 2.2, proteinG: 0.8, ashG: 0.6 }),
    allergens: ['nuts'],
    ...PACKAGE,
  },
  'plant-cream': {
    name: 'Plant cream',
    kind: 'plant',
    openedDays: 5,
    per100G: of100({ sugarG: 1, carbohydrateG: 5, fatG: 15, proteinG: 1, ashG: 0.5 }),
    allergens: ['gluten'],
    source: 'typical nutrition label of an oat cream for cooking and whipping',
    mark: 'practice',
  },
  'sparkling-water': {
    name: 'Sparkling water',
    kind: 'tonic',
    openedDays: 1,
    per100G: of100({}),
    source: 'definition; its carbon dioxide is not counted',
    mark: 'exact',
  },
  'ground-cinnamon': {
    name: 'Cinnamon, ground',
    kind: 'powder',
    // 53 g of it are fibre: half counts as carbohydrate and half as what gives no energy.
    per100G: of100({ sugarG: 2.2, carbohydrateG: 52, fatG: 1.2, proteinG: 4, ashG: 30 }),
    looseGPerMl: 0.53,
    ...FOOD_TABLE,
  },
  'ground-cardamom': {
    name: 'Cardamom, ground',
    kind: 'powder',
    per100G: of100({ carbohydrateG: 54.5, fatG: 6.7, proteinG: 10.8, ashG: 19.7 }),
    looseGPerMl: 0.41,
    ...FOOD_TABLE,
  },
  flavour: {
    name: 'A flavour, no amount worth counting',
    kind: 'powder',
    per100G: of100({}),
    looseGPerMl: 1,
    source: 'a pinch, a twist, a drop: nothing of it is counted',
    mark: 'practice',
  },
  'condensed-milk': {
    name: 'Condensed milk, sweetened',
    kind: 'dairy',
    openedDays: 7,
    per100G: of100({ sugarG: 54.4, fatG: 8.7, proteinG: 7.9, ashG: 1.8 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'cocoa-powder': {
    name: 'Cocoa powder, unsweetened',
    kind: 'powder',
    // 37 g of it are fibre, 2 kcal/g: half counts as carbohydrate and half as what gives no energy.
    per100G: of100({ sugarG: 1.8, carbohydrateG: 37.6, fatG: 13.7, proteinG: 19.6, ashG: 24.3 }),
    looseGPerMl: 0.365,
    caffeineMgPerG: 2.3,
    ...FOOD_TABLE,
  },
  'instant-coffee': {
    name: 'Instant coffee',
    kind: 'coffee',
    per100G: INSTANT_COFFEE,
    // 353 kcal for 100 g: 75.4 g of carbohydrate and 12.2 g of protein are digested.
    extraKcalPerG: (353 - energyKcal(INSTANT_COFFEE)) / 100,
    looseGPerMl: 0.2,
    caffeineMgPerG: 31.4,
    ...FOOD_TABLE,
  },
  'orange-juice': {
    name: 'Orange juice',
    kind: 'juice',
    openedDays: 3,
    per100G: of100({ sugarG: 8.4, carbohydrateG: 2.0, fatG: 0.2, proteinG: 0.7, ashG: 0.4 }),
    ...FOOD_TABLE,
  },
  'spirit-40': {
    name: 'Spirit, 40 % vol',
    kind: 'spirit',
    per100G: ofStrength(0.4),
    ...LABELLED,
  },
  'coffee-liqueur': {
    name: 'Coffee liqueur, 26 % vol',
    kind: 'spirit',
    per100G: ofStrength(0.26, { sugarG: 46.3, carbohydrateG: 0.5, fatG: 0.3, proteinG: 0.1 }),
    caffeineMgPerG: 0.26,
    ...LABELLED,
  },
  'cream-liqueur': {
    name: 'Cream liqueur, 17 % vol',
    kind: 'spirit',
    openedDays: 180,
    per100G: ofStrength(0.17, { sugarG: 20, carbohydrateG: 1, fatG: 13, proteinG: 3, ashG: 0.3 }),
    allergens: ['milk'],
    source: 'typical package of a cream liqueur',
    mark: 'practice',
  },
  'peanut-butter': {
    name: 'Peanut butter',
    kind: 'paste',
    openedDays: 90,
    per100G: of100({ sugarG: 6.5, carbohydrateG: 13, fatG: 50, proteinG: 24, ashG: 3 }),
    allergens: ['peanut'],
    ...FOOD_TABLE,
  },
  'almond-butter': {
    name: 'Almond butter',
    kind: 'paste',
    openedDays: 90,
    per100G: of100({ sugarG: 4.4, carbohydrateG: 14.4, fatG: 55.5, proteinG: 21, ashG: 3.1 }),
    allergens: ['nuts'],
    ...FOOD_TABLE,
  },
  tahini: {
    name: 'Sesame paste',
    kind: 'paste',
    openedDays: 90,
    per100G: of100({ sugarG: 0.5, carbohydrateG: 20.7, fatG: 53.8, proteinG: 17, ashG: 5 }),
    allergens: ['sesame'],
    ...FOOD_TABLE,
  },
  'egg-white': {
    name: 'Egg white',
    kind: 'dairy',
    openedDays: 2,
    per100G: of100({ sugarG: 0.7, fatG: 0.2, proteinG: 10.9, ashG: 0.6 }),
    allergens: ['egg'],
    ...FOOD_TABLE,
  },
  salt: {
    name: 'Salt',
    kind: 'powder',
    per100G: of100({ ashG: 99.8 }),
    looseGPerMl: 1.2,
    ...FOOD_TABLE,
  },
} as const satisfies Record<string, Row>;

/** Ids of the built-in ingredients, in the table's order. */
export type IngredientId = keyof typeof TABLE;
export const INGREDIENT_IDS = Object.keys(TABLE) as [IngredientId, ...IngredientId[]];

const DEFAULTS = Object.freeze({
  allergens: [],
  openedDays: null,
  looseGPerMl: null,
  overrunFrac: 0,
  caffeineMgPerG: 0,
  extraKcalPerG: 0,
  pricePerKg: null,
});

/** The built-in ingredients, by id. */
export const INGREDIENTS = Object.fromEntries(
  INGREDIENT_IDS.map((id) => [id, { ...DEFAULTS, ...TABLE[id], id }]),
) as unknown as Readonly<Record<IngredientId, Ingredient>>;

/** Everything that can be poured or spooned in a shop, by id. */
export type Pantry = Readonly<Record<string, Ingredient>>;

/**
 * An ingredient by its id.
 *
 * @throws {DomainError} unknown_name
 */
export function pick(pantry: Pantry, id: string): Ingredient {
  const found = Object.hasOwn(pantry, id) ? pantry[id] : undefined;
  if (!found) throw new DomainError('unknown_name', { name: 'ingredient', value: id });
  return found;
}

/** @returns the composition of a mass of an ingredient, g, 0 or more */
export function ofMass(input: { ingredient: Ingredient; massG: number }): Composition {
  return scaled({ composition: input.ingredient.per100G, factor: input.massG / 100 });
}

/**
 * Density as it is measured out: loose for what is spooned, with its air for a foam.
 *
 * @param input.tempC 0…110
 * @returns g/mL
 */
export function measuredGPerMl(input: { ingredient: Ingredient; tempC: number }): number {
  const { ingredient, tempC } = input;
  if (ingredient.looseGPerMl !== null) return ingredient.looseGPerMl;
  return densityGPerMl({ composition: ingredient.per100G, tempC }) / (1 + ingredient.overrunFrac);
}

/** @returns food energy of a mass of an ingredient, g, 0 or more; kcal */
export const ingredientKcal = (input: { ingredient: Ingredient; massG: number }): number =>
  energyKcal(ofMass(input)) + input.massG * input.ingredient.extraKcalPerG;

/** Kinds that come out of the fridge; syrups, spirits and powders stand at the bar. */
const COLD_KINDS: readonly IngredientKind[] = [
  'dairy',
  'plant',
  'juice',
  'foam',
  'tonic',
  'coffee',
];

/** @returns how warm an ingredient usually is where it is poured, °C */
export const usualTempC = (
  { kind }: Pick<Ingredient, 'kind'>,
  { fridgeC, roomC }: { fridgeC: number; roomC: number },
): number => (kind === 'water' || COLD_KINDS.includes(kind) ? fridgeC : roomC);

/** Whether an ingredient stands on top of a drink and does not mix with it. */
export const isFoam = ({ kind, overrunFrac }: Ingredient): boolean =>
  kind === 'foam' || overrunFrac > 0;
