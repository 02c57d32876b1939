import { CONSTANTS } from '../constants.ts';

/**
 * Caffeine in roasted coffee.
 *
 * @param input.robustaFrac share of robusta by mass, 0–1; the rest is arabica
 * @param input.decafFrac share of decaffeinated coffee by mass, 0–1, of either species
 * @returns mg of caffeine per g of coffee
 * @example caffeineMgPerG({ robustaFrac: 0, decafFrac: 0 }) // 12
 */
export function caffeineMgPerG(input: { robustaFrac: number; decafFrac: number }): number {
  const { robustaFrac, decafFrac } = input;
  const regular =
    (1 - robustaFrac) * CONSTANTS.arabicaCaffeineFrac.value +
    robustaFrac * CONSTANTS.robustaCaffeineFrac.value;
  return 1000 * ((1 - decafFrac) * regular + decafFrac * CONSTANTS.decafCaffeineFrac.value);
}
