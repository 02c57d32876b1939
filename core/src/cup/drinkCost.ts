import { massG } from '../matter/composition.ts';
import { pourOf } from './drink.ts';
import type { DrinkInput } from './drinkSetting.ts';
import type { DrinkSolution } from './solveDrink.ts';

/** What goes into a drink costs. */
export interface DrinkCost {
  /** In the shop's money; what nobody has told a price for is left out. */
  readonly price: number;
  /** Names of the parts whose price is not known. */
  readonly unknown: readonly string[];
}

/**
 * Cost of the parts of one drink; tap water and water ice cost nothing.
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
  const strength = drink.concentrate.strengthFrac;
  const jugIceG = ice && !ice.part && strength > 0 ? (ice.massG * ice.coffeeFrac) / strength : 0;
  const partIce = ice?.part
    ? [{ name: ice.part.name, partG: ice.massG, pricePerKg: ice.part.pricePerKg }]
    : [];
  const parts = [
    {
      name: 'Concentrate',
      partG: solution.concentrateG + jugIceG,
      pricePerKg: concentratePricePerKg,
    },
    ...partIce,
    ...drink.additions.map((one) => ({
      name: one.ingredient.name,
      partG: massG(pourOf(one).composition),
      pricePerKg: priceOf(one.ingredient),
    })),
    ...solution.fills.map(({ ingredient, massG: partG }) => ({
      name: ingredient.name,
      partG,
      pricePerKg: priceOf(ingredient),
    })),
  ].filter(({ partG }) => partG > 0);
  return {
    price: parts.reduce(
      (sum, { partG, pricePerKg }) => sum + (partG * (pricePerKg ?? 0)) / 1000,
      0,
    ),
    unknown: [...new Set(parts.filter((part) => part.pricePerKg === null).map(({ name }) => name))],
  };
}

const priceOf = ({ kind, pricePerKg }: { kind: string; pricePerKg: number | null }) =>
  kind === 'water' ? (pricePerKg ?? 0) : pricePerKg;
