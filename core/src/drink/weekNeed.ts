import { massOfAdditionG } from './glass.ts';
import type { DrinkInput } from './setting.ts';
import type { DrinkSolution } from './solve.ts';
import type { MadeRecipe } from '../pantry/makeHouseRecipe.ts';

/** A drink of the menu, solved, and how many of it a week asks for. */
export interface ExpectedDrink {
  readonly input: DrinkInput;
  readonly solution: DrinkSolution;
  /** The house recipe that its ice is frozen from, if it is one. */
  readonly iceRecipe: string | undefined;
  readonly weekCount: number;
}

/** @returns how much of an ingredient one solved drink takes, as an addition, a filler or its ice, g */
export function pouredG(id: string, drink: Omit<ExpectedDrink, 'weekCount'>): number {
  const { input, solution, iceRecipe } = drink;
  const added = input.additions
    .filter(({ ingredient }) => ingredient.id === id)
    .reduce((sum, one) => sum + massOfAdditionG(one), 0);
  const filled = solution.diluents
    .filter(({ ingredient }) => ingredient.id === id)
    .reduce((sum, one) => sum + one.massG, 0);
  return added + filled + (iceRecipe === id ? solution.iceG : 0);
}

/**
 * How much of an ingredient or a house recipe a week's drinks ask for, what goes into other house
 * recipes included.
 *
 * @returns g
 */
export function weekNeedG(input: {
  id: string;
  drinks: readonly ExpectedDrink[];
  made: Readonly<Record<string, MadeRecipe>>;
}): number {
  const { id, drinks, made } = input;
  const direct = drinks.reduce((sum, drink) => sum + drink.weekCount * pouredG(id, drink), 0);
  const within = Object.values(made)
    .filter((recipe) => recipe.ingredient.id !== id)
    .map((recipe) => {
      const inputG = recipe.inputs
        .filter(({ ingredient }) => ingredient.id === id)
        .reduce((sum, one) => sum + one.massG, 0);
      if (inputG === 0) return 0;
      return (weekNeedG({ id: recipe.ingredient.id, drinks, made }) * inputG) / recipe.yieldG;
    });
  return within.reduce((sum, need) => sum + need, direct);
}
