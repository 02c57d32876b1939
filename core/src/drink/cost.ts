import { massOfAdditionG } from './glass.ts';
import { fromJugG } from './fromJug.ts';
import type { DrinkInput } from './setting.ts';
import type { DrinkSolution } from './solve.ts';

/** What goes into a drink costs. */
export interface DrinkCost {
  /** In the shop's money; what has no price on the shelf is left out. */
  readonly price: number;
  /** Names of the ingredients whose price is not known. */
  readonly unknown: readonly string[];
}

/**
 * Cost of the ingredients of one drink; tap water and water ice cost nothing.
 *
 * @param input.concentratePricePerKg what a kilogram of the concentrate cost; null if unknown
 */
export function drinkCost(input: {
  drink: DrinkInput;
  solution: DrinkSolution;
  concentratePricePerKg: number | null;
}): DrinkCost {
  const { drink, solution, concentratePricePerKg } = input;
  const ice = drink.glass.ice;
  const recipeIce = ice?.recipe
    ? [{ name: ice.recipe.name, eachG: ice.massG, pricePerKg: ice.recipe.pricePerKg }]
    : [];
  const ingredients = [
    {
      name: 'Concentrate',
      eachG: fromJugG(input),
      pricePerKg: concentratePricePerKg,
    },
    ...recipeIce,
    ...drink.additions.map((one) => ({
      name: one.ingredient.name,
      eachG: massOfAdditionG(one),
      pricePerKg: priceOf(one.ingredient),
    })),
    ...solution.diluents.map(({ ingredient, massG: eachG }) => ({
      name: ingredient.name,
      eachG,
      pricePerKg: priceOf(ingredient),
    })),
  ].filter(({ eachG }) => eachG > 0);
  return {
    price: ingredients.reduce(
      (sum, { eachG, pricePerKg }) => sum + (eachG * (pricePerKg ?? 0)) / 1000,
      0,
    ),
    unknown: [
      ...new Set(
        ingredients.filter(({ pricePerKg }) => pricePerKg === null).map(({ name }) => name),
      ),
    ],
  };
}

const priceOf = ({ kind, pricePerKg }: { kind: string; pricePerKg: number | null }) =>
  kind === 'water' ? (pricePerKg ?? 0) : pricePerKg;
