import { neededStrengthFrac, solveAmounts, type DrinkStatus } from './amounts.ts';
import { drinkOutcome, type DrinkOutcome } from './outcome.ts';
import { drinkSetting, levelOf, type Amounts, type DrinkInput } from './setting.ts';

/** A drink brought to its target, or as near as it goes. */
export type DrinkSolution = DrinkOutcome;

/**
 * Concentrate and diluents that bring a glass to its target, with the ice melting meanwhile:
 * setting, then amounts, then what becomes of them.
 *
 * @param input.concentrate strengthFrac 0–1; tempC 0…100
 * @param input.target strengthFrac 0–1, atMinutes 0 or more; parts both 0 or more, sum above 0;
 *   caffeineMg and concentrateMl 0 or more
 * @returns amounts that hold level and target to 1e-9, or the best that can be reached and why
 */
export function solveDrink(input: DrinkInput): DrinkSolution {
  const setting = drinkSetting(input);
  const solved = solveAmounts(setting);
  const { status } = solved;
  return drinkOutcome(setting, solved, {
    status,
    needsStrengthFrac: status === 'too_weak' ? neededStrengthFrac(setting) : null,
  });
}

/**
 * A drink as somebody poured it, whatever its target was.
 *
 * @returns how it stands; `met` where it stays within the line
 */
export function standDrink(input: DrinkInput, amounts: Amounts): DrinkSolution {
  const setting = drinkSetting(input);
  const isOver = levelOf(setting, amounts) > input.glass.cupMl * (1 + 1e-9);
  const status: DrinkStatus = isOver ? 'no_room' : 'met';
  return drinkOutcome(setting, amounts, { status, needsStrengthFrac: null });
}
