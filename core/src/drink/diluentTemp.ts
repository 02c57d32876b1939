import { findRoot } from '../numeric/findRoot.ts';
import type { DrinkInput } from './setting.ts';
import { solveDrink } from './solve.ts';

const BOILING_C = 100;

/**
 * How hot the diluent must be for the cup to come out at a temperature: the heat balance ΣmcT/Σmc
 * turned round. The mug itself takes heat too, unless it is warmed.
 *
 * @param input.drink a drink without ice
 * @param input.cupC wanted temperature of the mixed drink, °C
 * @returns °C; null where even boiling it does not do, or the ingredients are warmer already
 */
export function diluentTempC(input: { drink: DrinkInput; cupC: number }): number | null {
  const { drink, cupC } = input;
  const over = (tempC: number): number =>
    solveDrink({ ...drink, diluents: drink.diluents.map((fill) => ({ ...fill, tempC })) }).mixed
      .tempC - cupC;
  if (over(BOILING_C) < 0 || over(0) > 0) return null;
  return findRoot({ f: over, low: 0, high: BOILING_C, tolerance: 1e-6 });
}
