import type { LocationQuery } from 'vue-router';
import { addressReader, numberFrom, oneOf } from '../format/index.ts';

/** What can be filled up with. */
export const FILLS = [
  { value: 'water', text: 'Water' },
  { value: 'whole-milk', text: 'Milk' },
  { value: 'oat-drink', text: 'Oat' },
] as const;

/** The sum that is asked for: per cent, mL and g. */
export interface Quick {
  readonly way: 'strength' | 'amounts';
  readonly from: number;
  readonly cup: number;
  readonly ice: number;
  readonly to: number;
  readonly with: (typeof FILLS)[number]['value'];
  readonly coffee: number;
  readonly fill: number;
}

/**
 * The sum as it stands in an address, so that a link tells all of it.
 *
 * @returns the sum, and what of the address cannot be: that is as it usually is
 */
export function readQuickAddress(address: LocationQuery): {
  quick: Quick;
  wrong: readonly string[];
} {
  const { said, wrong } = addressReader(address);
  const quick: Quick = {
    way: said('way', oneOf(['strength', 'amounts']), 'strength'),
    from: said('from', numberFrom(0.1, 20), 3.5),
    cup: said('cup', numberFrom(30, 2000), 350),
    ice: said('ice', numberFrom(0, 1000), 150),
    to: said('to', numberFrom(0.1, 10), 1.4),
    with: said('with', oneOf(FILLS.map(({ value }) => value)), 'water'),
    coffee: said('coffee', numberFrom(0, 2000), 120),
    fill: said('fill', numberFrom(0, 2000), 120),
  };
  return { quick, wrong };
}
