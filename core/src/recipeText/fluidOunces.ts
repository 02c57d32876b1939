import { UNITS } from '../units/units.ts';
import type { AmountMention } from './findMentions.ts';

/** @returns an amount of a liquid or a vessel with its ounces read as fluid ones; others as they are */
export function fluidOunces<T extends AmountMention>(amount: T): T {
  if (amount.unit !== 'ounce') return amount;
  const factor = UNITS.fluidOunce.canonical / UNITS.ounce.canonical;
  return {
    ...amount,
    quantity: 'volume',
    unit: 'fluidOunce',
    low: amount.low * factor,
    high: amount.high * factor,
  };
}
