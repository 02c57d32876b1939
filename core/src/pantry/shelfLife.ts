import { CONSTANTS } from '../constants.ts';
import type { HouseRecipeMethod } from './houseRecipeSchema.ts';
import type { Ingredient } from './ingredients.ts';

/** Most days that a method's result keeps in the fridge, whatever goes in (practice). */
const METHOD_DAYS = {
  mix: Infinity,
  infuse: 7,
  reduce: 4,
  whip: 1,
  freeze: 30,
} as const satisfies Record<HouseRecipeMethod, number>;

/** Syrups by their share of sugar: the sweeter, the longer (practice). */
const SYRUP_DAYS = [
  { fromFrac: 0.6, days: 28 },
  { fromFrac: 0.45, days: 14 },
  { fromFrac: 0, days: 7 },
] as const;

const DAIRY_MIX_DAYS = 4;

/**
 * How long what is made from a house recipe usually keeps: the shortest of its method, its sugar, its dairy, and
 * what goes in. What is frozen stands still.
 *
 * @returns whole days, 1 or more
 * @see common practice; dairy mixes 3–4 days, foam the same day
 */
export function usualShelfLifeDays(input: {
  method: HouseRecipeMethod;
  inputs: readonly { ingredient: Ingredient }[];
  sugarFrac: number;
}): number {
  const { method, inputs, sugarFrac } = input;
  if (method === 'freeze') return METHOD_DAYS.freeze;
  const kinds = inputs.map(({ ingredient }) => ingredient.kind);
  const sugary = SYRUP_DAYS.find(({ fromFrac }) => sugarFrac >= fromFrac)!.days;
  const opened = inputs.map(({ ingredient }) => ingredient.openedDays ?? Infinity);
  return Math.max(
    1,
    Math.min(
      METHOD_DAYS[method],
      sugary,
      kinds.includes('dairy') ? DAIRY_MIX_DAYS : Infinity,
      kinds.includes('plant') ? CONSTANTS.keepDays.value : Infinity,
      ...opened,
    ),
  );
}
