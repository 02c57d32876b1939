import type { Caution } from '../caution.ts';
import { houseRecipeCautions } from './cautions.ts';
import { CONSTANTS } from '../constants.ts';
import { DomainError } from '../errors.ts';
import { coffeeOf, massG, mix, NOTHING, scaled, type Composition } from '../matter/composition.ts';
import { measuredGPerMl, ofMass, pick, type Ingredient, type Pantry } from './ingredients.ts';
import { volumeMl } from '../matter/properties.ts';
import type { HouseRecipe, IngredientAmount } from './houseRecipeSchema.ts';
import { usualShelfLifeDays } from './shelfLife.ts';

/** An input of a house recipe, weighed out. */
export interface WeighedInput {
  readonly ingredient: Ingredient;
  readonly massG: number;
  readonly volumeMl: number;
}

/** What a house recipe gives. */
export interface MadeRecipe {
  /** It as something to pour. */
  readonly ingredient: Ingredient;
  /** The inputs in the recipe's order; what is matched to an infusion comes last. */
  readonly inputs: readonly WeighedInput[];
  readonly yieldG: number;
  /** With its air for a foam, at kitchen temperature. */
  readonly yieldMl: number;
  /** Water that left as steam or stayed behind with what was strained out, g. */
  readonly lostG: number;
  /** Of everything that went in, in the shop's money; null where a price is not known. */
  readonly price: number | null;
  readonly sugarFrac: number;
  readonly strengthFrac: number;
  readonly lifeDays: number;
  readonly cautions: readonly Caution[];
}

/** Kitchen temperature at which house recipes are measured, °C. */
const KITCHEN_C = 20;
const SWEET_FRAC = 0.3;

/**
 * Makes a house recipe: composition, yield, cost, life and allergens.
 *
 * @param recipe a checked recipe
 * @param pantry everything that it may use
 * @throws {DomainError} unknown_name for an input that is not in the pantry; out_of_range where it is
 *   reduced below its dry matter, or nothing goes in
 */
export function makeHouseRecipe(recipe: HouseRecipe, pantry: Pantry): MadeRecipe {
  const weighed = recipe.inputs.map(({ ingredient, amount }) =>
    weigh({ ingredient: pick(pantry, ingredient), amount }),
  );
  const { process } = recipe;
  const poured = mix(weighed.map(({ ingredient, massG: g }) => ofMass({ ingredient, massG: g })));
  const leftover =
    process.method === 'freeze'
      ? coffeeOf({ massG: process.leftoverG, strengthFrac: process.strengthFrac })
      : NOTHING;
  const inputs = [...weighed];
  let made: Composition = mix([poured, leftover]);
  if (massG(made) === 0)
    throw new DomainError('out_of_range', { name: 'inputs', value: 0, min: 0.001 });
  const startG = massG(made);
  let lostG = 0;
  if (process.method === 'infuse') {
    const leftG = process.leftG ?? startG * CONSTANTS.infusionLeftFrac.value;
    lostG = startG - leftG;
    const left = scaled({ composition: made, factor: leftG / startG });
    const matched = matchedTo(left, process.match, pantry);
    inputs.push(matched);
    made = mix([left, ofMass(matched)]);
  }
  if (process.method === 'reduce') {
    lostG = steamG(made, process.toFrac);
    made = { ...made, waterG: made.waterG - lostG };
  }
  const yieldG = massG(made);
  const overrunFrac = process.method === 'whip' ? process.overrunFrac : 0;
  const sugarFrac = made.sugarG / yieldG;
  const caffeineMg =
    inputs.reduce((sum, one) => sum + one.massG * one.ingredient.caffeineMgPerG, 0) +
    (process.method === 'freeze' ? process.leftoverG * process.caffeineMgPerG : 0);
  const price = priceOf(inputs, process);
  const usual = usualShelfLifeDays({ method: process.method, inputs, sugarFrac });
  const lifeDays = recipe.lifeDays ?? usual;
  const allergens = [...new Set(inputs.flatMap(({ ingredient }) => [...ingredient.allergens]))];
  const ingredient: Ingredient = {
    id: recipe.id,
    name: recipe.name,
    kind: kindOf({ process, sugarFrac, inputs }),
    per100G: scaled({ composition: made, factor: 100 / yieldG }),
    allergens,
    openedDays: lifeDays,
    looseGPerMl: null,
    overrunFrac,
    caffeineMgPerG: caffeineMg / yieldG,
    pricePerKg: price === null ? null : (1000 * price) / yieldG,
    source: 'made by the house from its recipe',
    mark: 'ours',
  };
  return {
    ingredient,
    inputs,
    yieldG,
    yieldMl: yieldG / measuredGPerMl({ ingredient, tempC: KITCHEN_C }),
    lostG,
    price,
    sugarFrac,
    strengthFrac: made.coffeeG / yieldG,
    lifeDays,
    cautions: houseRecipeCautions({
      recipe,
      ingredient,
      inputs,
      sugarFrac,
      usualDays: usual,
      lifeDays,
    }),
  };
}

/** @returns an amount by mass and as it is measured out at kitchen temperature */
export function weigh(input: { ingredient: Ingredient; amount: IngredientAmount }): WeighedInput {
  const { ingredient, amount } = input;
  const gPerMl = measuredGPerMl({ ingredient, tempC: KITCHEN_C });
  const grams = 'massG' in amount ? amount.massG : amount.volumeMl * gPerMl;
  return { ingredient, massG: grams, volumeMl: grams / gPerMl };
}

/** Measure what is left, then match it: so much for each share of it, by mass or by volume. */
function matchedTo(
  left: Composition,
  match: { ingredient: string; ratio: number; by: 'mass' | 'volume' },
  pantry: Pantry,
): WeighedInput {
  const ingredient = pick(pantry, match.ingredient);
  const amount =
    match.by === 'mass'
      ? { massG: match.ratio * massG(left) }
      : { volumeMl: match.ratio * volumeMl({ composition: left, tempC: KITCHEN_C }) };
  return weigh({ ingredient, amount });
}

/** Water that must boil off until a share of the volume is left, g. */
function steamG(composition: Composition, toFrac: number): number {
  const wholeMl = volumeMl({ composition, tempC: KITCHEN_C });
  const waterMl = volumeMl({ composition: { ...NOTHING, waterG: 1 }, tempC: KITCHEN_C });
  const lostG = ((1 - toFrac) * wholeMl) / waterMl;
  if (lostG > composition.waterG)
    throw new DomainError('out_of_range', {
      name: 'toFrac',
      value: toFrac,
      min: 1 - (composition.waterG * waterMl) / wholeMl,
    });
  return lostG;
}

function priceOf(inputs: readonly WeighedInput[], process: HouseRecipe['process']): number | null {
  let sum = 0;
  for (const { ingredient, massG: grams } of inputs) {
    const perKg =
      ingredient.kind === 'water' ? (ingredient.pricePerKg ?? 0) : ingredient.pricePerKg;
    if (perKg === null) return null;
    sum += (grams * perKg) / 1000;
  }
  if (process.method !== 'freeze' || process.leftoverG === 0) return sum;
  return process.pricePerKg === null ? null : sum + (process.leftoverG * process.pricePerKg) / 1000;
}

function kindOf(input: {
  process: HouseRecipe['process'];
  sugarFrac: number;
  inputs: readonly WeighedInput[];
}): Ingredient['kind'] {
  const { process, sugarFrac, inputs } = input;
  if (process.method === 'whip') return 'foam';
  if (process.method === 'freeze') return 'coffee';
  if (sugarFrac >= SWEET_FRAC) return 'syrup';
  const [first] = [...inputs].sort((a, b) => b.massG - a.massG);
  return first?.ingredient.kind ?? 'water';
}
