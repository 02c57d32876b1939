import type { SourceMark } from '../sourced.ts';
import { massG, NOTHING, scaled, type Composition } from './composition.ts';

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
export type IngredientKind = 'water' | 'dairy' | 'plant' | 'syrup' | 'tonic';

export interface Ingredient {
  readonly name: string;
  readonly kind: IngredientKind;
  /** Grams of each component in 100 g. */
  readonly per100G: Composition;
  readonly allergens: readonly Allergen[];
  readonly source: string;
  readonly mark: SourceMark;
}

// What is not listed is water, so that each row adds up to 100 g.
function of100(parts: Partial<Omit<Composition, 'waterG' | 'coffeeG'>>): Composition {
  const rest = { ...NOTHING, ...parts };
  return { ...rest, waterG: 100 - massG(rest) };
}

const DAIRY_TABLE = { source: 'USDA FoodData Central, legacy tables', mark: 'memory' } as const;
const PACKAGE = {
  source: 'typical nutrition label of an unsweetened or lightly sweet drink',
  mark: 'practice',
} as const;
const BY_MASS = { source: 'weighed sugar and water', mark: 'exact' } as const;

/** Liquids that go into a drink beside the coffee, by id. */
export const INGREDIENTS = {
  water: {
    name: 'Water',
    kind: 'water',
    per100G: of100({}),
    allergens: [],
    source: 'definition',
    mark: 'exact',
  },
  'whole-milk': {
    name: 'Whole milk',
    kind: 'dairy',
    per100G: of100({ sugarG: 4.8, fatG: 3.27, proteinG: 3.27, ashG: 0.72 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'low-fat-milk': {
    name: 'Low-fat milk',
    kind: 'dairy',
    per100G: of100({ sugarG: 4.9, fatG: 1.0, proteinG: 3.37, ashG: 0.75 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'skim-milk': {
    name: 'Skimmed milk',
    kind: 'dairy',
    per100G: of100({ sugarG: 5.0, fatG: 0.1, proteinG: 3.4, ashG: 0.77 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'half-and-half': {
    name: 'Half and half',
    kind: 'dairy',
    per100G: of100({ sugarG: 4.3, fatG: 11.5, proteinG: 3.1, ashG: 0.7 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'light-cream': {
    name: 'Light cream',
    kind: 'dairy',
    per100G: of100({ sugarG: 3.7, fatG: 19.1, proteinG: 2.96, ashG: 0.6 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'heavy-cream': {
    name: 'Heavy cream',
    kind: 'dairy',
    per100G: of100({ sugarG: 2.9, fatG: 36.1, proteinG: 2.84, ashG: 0.5 }),
    allergens: ['milk'],
    ...DAIRY_TABLE,
  },
  'oat-drink': {
    name: 'Oat drink',
    kind: 'plant',
    per100G: of100({ sugarG: 4.0, carbohydrateG: 3.3, fatG: 1.5, proteinG: 1.0, ashG: 0.5 }),
    allergens: ['gluten'],
    ...PACKAGE,
  },
  'soy-drink': {
    name: 'Soy drink',
    kind: 'plant',
    per100G: of100({ sugarG: 0.5, carbohydrateG: 0.7, fatG: 1.8, proteinG: 3.3, ashG: 0.6 }),
    allergens: ['soy'],
    ...PACKAGE,
  },
  'almond-drink': {
    name: 'Almond drink',
    kind: 'plant',
    per100G: of100({ sugarG: 0.2, carbohydrateG: 0.4, fatG: 1.1, proteinG: 0.5, ashG: 0.4 }),
    allergens: ['nuts'],
    ...PACKAGE,
  },
  'coconut-milk': {
    name: 'Coconut milk, canned',
    kind: 'plant',
    per100G: of100({ sugarG: 2.0, carbohydrateG: 0.8, fatG: 21.3, proteinG: 2.0, ashG: 0.9 }),
    allergens: ['coconut'],
    ...DAIRY_TABLE,
  },
  'coconut-drink': {
    name: 'Coconut drink',
    kind: 'plant',
    per100G: of100({ sugarG: 1.9, carbohydrateG: 0.8, fatG: 0.9, proteinG: 0.1, ashG: 0.3 }),
    allergens: ['coconut'],
    ...PACKAGE,
  },
  'simple-syrup': {
    name: 'Simple syrup, 1:1',
    kind: 'syrup',
    per100G: of100({ sugarG: 50 }),
    allergens: [],
    ...BY_MASS,
  },
  'rich-syrup': {
    name: 'Rich syrup, 2:1',
    kind: 'syrup',
    per100G: of100({ sugarG: 200 / 3 }),
    allergens: [],
    ...BY_MASS,
  },
  'tonic-water': {
    name: 'Tonic water',
    kind: 'tonic',
    per100G: of100({ sugarG: 8.6 }),
    allergens: [],
    ...PACKAGE,
  },
} as const satisfies Record<string, Ingredient>;

export type IngredientId = keyof typeof INGREDIENTS;

/** Ids of all ingredients, in the table's order. */
export const INGREDIENT_IDS = Object.keys(INGREDIENTS) as [IngredientId, ...IngredientId[]];

/** @returns the composition of a mass of an ingredient, g, 0 or more */
export function ingredientOf(input: { ingredient: IngredientId; massG: number }): Composition {
  return scaled({
    composition: INGREDIENTS[input.ingredient].per100G,
    factor: input.massG / 100,
  });
}
