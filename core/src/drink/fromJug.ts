import type { MeasuredDrink } from './measured.ts';
import type { DrinkInput } from './setting.ts';
import type { DrinkSolution } from './solve.ts';

/**
 * What a drink takes out of the jug: its concentrate, and the coffee that its cubes were frozen from
 * where they are no house recipe of their own.
 *
 * @returns g
 */
export function fromJugG(input: {
  drink: Pick<DrinkInput, 'glass' | 'concentrate'>;
  solution: Pick<DrinkSolution, 'concentrateG'>;
}): number {
  const { ice } = input.drink.glass;
  const { strengthFrac } = input.drink.concentrate;
  const cubesG =
    ice && !ice.recipe && strengthFrac > 0 ? (ice.massG * ice.coffeeFrac) / strengthFrac : 0;
  return input.solution.concentrateG + cubesG;
}

/** @returns what one solved drink takes of the jug, g; null where it cannot be made so */
export const drawnG = (solved: {
  readonly input: Pick<DrinkInput, 'glass' | 'concentrate'>;
  readonly solution: Pick<DrinkSolution, 'concentrateG' | 'status'>;
}): number | null =>
  solved.solution.status === 'met'
    ? fromJugG({ drink: solved.input, solution: solved.solution })
    : null;

/**
 * What one drink takes of the jug as it is poured.
 *
 * @param input.measured as the bar's tools give it; null where nothing is rounded
 * @returns concentrate, mL; and with the coffee that its cubes were frozen from, g
 */
export function pouredFromJug(input: {
  solved: {
    readonly input: Pick<DrinkInput, 'glass' | 'concentrate'>;
    readonly solution: Pick<DrinkSolution, 'concentrateG' | 'concentrateMl'>;
  };
  measured: Pick<MeasuredDrink, 'solution' | 'concentrate' | 'iceG'> | null;
}): { readonly massG: number; readonly concentrateMl: number } {
  const { solved, measured } = input;
  const { glass, concentrate } = solved.input;
  if (!measured)
    return {
      massG: fromJugG({ drink: solved.input, solution: solved.solution }),
      concentrateMl: solved.solution.concentrateMl,
    };
  const ice = glass.ice ? { ...glass.ice, massG: measured.iceG } : null;
  return {
    massG: fromJugG({
      drink: { glass: { ...glass, ice }, concentrate },
      solution: measured.solution,
    }),
    concentrateMl: measured.concentrate.volumeMl,
  };
}

/**
 * How many of a drink a jug still holds.
 *
 * @param input.eachG what one takes, g; null where it cannot be made so
 * @param input.onHandG in the jug, g, 0 or more
 * @returns whole drinks; 0 where it cannot be made; Infinity where it takes nothing from the jug
 */
export function drinksLeft(input: { eachG: number | null; onHandG: number }): number {
  const { eachG, onHandG } = input;
  if (eachG === null) return 0;
  // A scale does not tell a thousandth of a drink that is missing.
  return eachG > 0 ? Math.floor(onHandG / eachG + 1e-6) : Infinity;
}
