import type { Caution } from '../caution.ts';
import { houseRecipeCautions } from './cautions.ts';
import { CONSTANTS } from '../constants.ts';
import { DomainError } from '../errors.ts';
import { coffeeOf, massG, mix, NOTHING, scaled, type Composition } from '../matter/composition.ts';
import { findRoot } from '../numeric/findRoot.ts';
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
  /** Of what goes in, before anything is matched to it, 0–1. */
  readonly inputSugarFrac: number;
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
 *   reduced below its dry matter, more is left than went in, or nothing goes in
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
  const inputSugarFrac = made.sugarG / startG;
  let lostG = 0;
  let keptFrac = 1;
  if (process.method === 'infuse') {
    const usualG = startG * CONSTANTS.infusionLeftFrac.value;
    const leftG =
      process.leftG ?? (process.loses === 'steam' ? Math.max(usualG, dryG(made)) : usualG);
    if (leftG > startG)
      throw new DomainError('out_of_range', { name: 'leftG', value: leftG, max: startG });
    const left =
      process.loses === 'steam'
        ? simmeredTo(made, (composition) => massG(composition) - leftG)
        : scaled({ composition: made, factor: leftG / startG });
    if (left === null)
      throw new DomainError('out_of_range', { name: 'leftG', value: leftG, min: dryG(made) });
    lostG = startG - leftG;
    // Steam takes no caffeine along; what stays in the strained out takes its share.
    keptFrac = process.loses === 'steam' ? 1 : leftG / startG;
    const matched = matchedTo(left, process.match, pantry);
    inputs.push(matched);
    made = mix([left, ofMass(matched)]);
  }
  if (process.method === 'reduce') {
    made = reducedTo(made, process.toFrac);
    lostG = startG - massG(made);
  }
  const yieldG = massG(made);
  const overrunFrac = process.method === 'whip' ? process.overrunFrac : 0;
  const sugarFrac = made.sugarG / yieldG;
  // What is matched comes after the loss, so that it keeps all of its own.
  const carried = (perG: 'caffeineMgPerG' | 'extraKcalPerG'): number =>
    inputs.reduce(
      (sum, { ingredient, massG: grams }, i) =>
        sum + grams * ingredient[perG] * (i < weighed.length ? keptFrac : 1),
      0,
    );
  const caffeineMg =
    carried('caffeineMgPerG') +
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
    extraKcalPerG: carried('extraKcalPerG') / yieldG,
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
    inputSugarFrac,
    strengthFrac: made.coffeeG / yieldG,
    lifeDays,
    cautions: houseRecipeCautions({
      recipe,
      ingredient,
      inputs,
      made,
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

/** What is left when all that can leave as steam has left, g. */
const dryG = (composition: Composition): number =>
  massG(composition) - composition.waterG - composition.ethanolG;

/**
 * Boils water off until what is left is no longer too much. Alcohol leaves faster than water: of a
 * thin mixture each falls by its own power of the water that is left (Rayleigh's law of simple
 * distillation).
 *
 * @param over how much too much is left, falling as water leaves
 * @returns null where it is too much even without any water
 */
function simmeredTo(
  composition: Composition,
  over: (left: Composition) => number,
): Composition | null {
  const leftAt = (waterFrac: number): Composition => ({
    ...composition,
    waterG: composition.waterG * waterFrac,
    ethanolG: composition.ethanolG * waterFrac ** CONSTANTS.ethanolVolatility.value,
  });
  if (over(leftAt(1)) <= 0) return composition;
  const atDry = over(leftAt(0));
  if (atDry > 1e-9 * massG(composition)) return null;
  if (atDry >= 0) return leftAt(0);
  return leftAt(findRoot({ f: (waterFrac) => over(leftAt(waterFrac)), low: 0, high: 1 }));
}

/** What is left when it is simmered down to a share of its volume. */
function reducedTo(composition: Composition, toFrac: number): Composition {
  const volumeOf = (one: Composition): number => volumeMl({ composition: one, tempC: KITCHEN_C });
  const wholeMl = volumeOf(composition);
  const left = simmeredTo(composition, (one) => volumeOf(one) - toFrac * wholeMl);
  if (left === null) {
    const dry = { ...composition, waterG: 0, ethanolG: 0 };
    throw new DomainError('out_of_range', {
      name: 'toFrac',
      value: toFrac,
      min: volumeOf(dry) / wholeMl,
    });
  }
  return left;
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
