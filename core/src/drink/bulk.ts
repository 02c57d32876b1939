import { isFoam } from '../pantry/ingredients.ts';
import { CONSTANTS } from '../constants.ts';
import type { DrinkInput } from './setting.ts';
import type { DrinkSolution } from './solve.ts';

/** One ingredient of a drink made for many glasses at once. */
interface BulkIngredient {
  /** What it is; the concentrate has no ingredient. */
  readonly name: string;
  readonly volumeMl: number;
}

/** A drink diluted for many glasses before it is poured: what goes in, and what comes of it. */
export interface Bulk {
  readonly ingredients: readonly BulkIngredient[];
  readonly concentrateG: number;
  readonly volumeMl: number;
  /** Liquid of one glass, without ice and foam, mL. */
  readonly perGlassMl: number;
  readonly glasses: number;
  /** Coffee strength of it, before any ice. */
  readonly strengthFrac: number;
  /** Days that its shortest-lived ingredient keeps once opened, the usual date at most. */
  readonly keepDays: number;
}

/**
 * A drink diluted in a keg, a siphon or a jug: its ingredients in the proportion of one glass, ice and
 * foam left for the glass.
 *
 * @param input.volumeMl how much to make, above 0
 * @returns null for a drink that has no liquid
 */
export function bulkOf(input: {
  drink: DrinkInput;
  solution: DrinkSolution;
  volumeMl: number;
}): Bulk | null {
  const { drink, solution, volumeMl } = input;
  const mixedIn = drink.additions.filter(({ ingredient }) => !isFoam(ingredient));
  const glass = [
    { name: 'Concentrate', volumeMl: solution.concentrateMl },
    ...mixedIn.map(({ ingredient, volumeMl: ml }) => ({ name: ingredient.name, volumeMl: ml })),
    ...solution.diluents.map(({ ingredient, volumeMl: ml }) => ({
      name: ingredient.name,
      volumeMl: ml,
    })),
  ].filter((one) => one.volumeMl > 0);
  const perGlassMl = glass.reduce((sum, one) => sum + one.volumeMl, 0);
  if (perGlassMl === 0) return null;
  const times = volumeMl / perGlassMl;
  const lives = [...mixedIn, ...drink.diluents].map(
    ({ ingredient }) => ingredient.openedDays ?? Infinity,
  );
  return {
    ingredients: glass.map((one) => ({ ...one, volumeMl: one.volumeMl * times })),
    concentrateG: solution.concentrateG * times,
    volumeMl,
    perGlassMl,
    glasses: Math.floor(times + 1e-9),
    strengthFrac: solution.timeline()[0]?.strengthFrac ?? 0,
    keepDays: Math.min(CONSTANTS.keepDays.value, ...lives),
  };
}

/** What it takes to charge a drink with nitrogen in siphons. */
export interface SiphonPlan {
  /** Most liquid that one siphon takes, mL. */
  readonly fillMl: number;
  readonly glassesPerFill: number;
  readonly fills: number;
  readonly charges: number;
  readonly price: number;
}

/**
 * Siphons and chargers for a number of glasses.
 *
 * @param input.siphonMl what the siphon holds to its rim, mL; a litre takes about 0.8 L (practice)
 * @param input.chargesPerFill chargers for one filling, 1 or more
 * @param input.perGlassMl liquid of one glass, mL, above 0
 * @returns nought glasses where one glass does not fit
 */
export function siphonPlan(input: {
  siphonMl: number;
  chargesPerFill: number;
  chargePrice: number;
  perGlassMl: number;
  count: number;
}): SiphonPlan {
  const { siphonMl, chargesPerFill, chargePrice, perGlassMl, count } = input;
  const fillMl = siphonMl * CONSTANTS.siphonFillFrac.value;
  const glassesPerFill = Math.floor(fillMl / perGlassMl + 1e-9);
  const fills = glassesPerFill === 0 ? 0 : Math.ceil(count / glassesPerFill);
  const charges = fills * chargesPerFill;
  return { fillMl, glassesPerFill, fills, charges, price: charges * chargePrice };
}
