import { massG } from '../matter/composition.ts';
import { pourOf } from '../cup/drink.ts';
import type { DrinkInput } from '../cup/drinkSetting.ts';
import type { DrinkSolution } from '../cup/solveDrink.ts';
import type { MadePart } from './makePart.ts';

/** A drink of the menu, solved, and how many of it a week asks for. */
export interface ExpectedDrink {
  readonly input: DrinkInput;
  readonly solution: DrinkSolution;
  /** The house-made part that its ice is, if it is one. */
  readonly icePart: string | undefined;
  readonly weekCount: number;
}

/** @returns how much of an ingredient one solved drink takes, as an addition, a filler or its ice, g */
export function pouredG(id: string, drink: Omit<ExpectedDrink, 'weekCount'>): number {
  const { input, solution, icePart } = drink;
  const added = input.additions
    .filter(({ ingredient }) => ingredient.id === id)
    .reduce((sum, one) => sum + massG(pourOf(one).composition), 0);
  const filled = solution.fills
    .filter(({ ingredient }) => ingredient.id === id)
    .reduce((sum, one) => sum + one.massG, 0);
  return added + filled + (icePart === id ? solution.iceG : 0);
}

/**
 * How much of an ingredient or a house-made part a week's drinks ask for, what goes into other
 * parts of the house included.
 *
 * @returns g
 */
export function weekNeedG(input: {
  id: string;
  drinks: readonly ExpectedDrink[];
  made: Readonly<Record<string, MadePart>>;
}): number {
  const { id, drinks, made } = input;
  const direct = drinks.reduce((sum, drink) => sum + drink.weekCount * pouredG(id, drink), 0);
  const within = Object.values(made)
    .filter((part) => part.ingredient.id !== id)
    .map((part) => {
      const inputG = part.inputs
        .filter(({ ingredient }) => ingredient.id === id)
        .reduce((sum, one) => sum + one.massG, 0);
      if (inputG === 0) return 0;
      return (weekNeedG({ id: part.ingredient.id, drinks, made }) * inputG) / part.yieldG;
    });
  return within.reduce((sum, need) => sum + need, direct);
}
