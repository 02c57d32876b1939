import type { Serving } from '@ratio/core/tasting';

/** @returns the place of the odd cup of a triangle, or of another one */
export function placeOf({ cups }: Serving, right: boolean): number {
  const isOdd = (side: string): boolean => cups.filter((cup) => cup.side === side).length === 1;
  return cups.findIndex(({ side }) => isOdd(side) === right);
}
