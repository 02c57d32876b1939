import type { Fit } from '@ratio/core/learn';

/** Half of 90 % of a normal distribution, in standard deviations. */
export const Z90 = 1.6449;

type Known = Fit['learned']['anyCoffee'];
/** What the log teaches of a coffee, over the handbook's values. */
export interface Taught extends Known {
  readonly key: string;
  readonly name: string;
  readonly readings: number;
  readonly weighings: number;
  /** By how much its strengths were off, before it was learned and after; null where none was read. */
  readonly offFrac: { readonly before: number; readonly after: number } | null;
}

/** @returns a row for each coffee that was read, and one for a coffee that nobody has */
export function taughtBy(fit: Fit | undefined): readonly Taught[] {
  if (!fit) return [];
  return [
    ...fit.counts.map(({ coffeeId, coffeeName, readings, weighings, beforeFrac, afterFrac }) => ({
      ...fit.learned.coffees[coffeeId]!,
      key: coffeeId,
      name: coffeeName,
      readings,
      weighings,
      offFrac: { before: beforeFrac, after: afterFrac },
    })),
    {
      ...fit.learned.anyCoffee,
      key: 'any',
      name: 'A coffee nobody has read',
      readings: 0,
      weighings: 0,
      offFrac: null,
    },
  ];
}

/** @returns a factor that is known by its logarithm, with its 90 % range */
export const times = ({ value, sigma }: Known['yieldLog']): string => {
  const [at, from, to] = [0, -Z90, Z90].map((by) => Math.exp(value + by * sigma).toFixed(2));
  return `${at} (${from} to ${to})`;
};
