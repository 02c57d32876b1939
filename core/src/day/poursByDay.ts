import { wallMs } from '../calendar/localTime.ts';
import type { DayPours } from './schema.ts';

/** Coffee taken out of a jug for drinks. */
export interface Pour {
  /** ms since 1970 UTC. */
  readonly atMs: number;
  readonly massG: number;
}

/** Quarters of an hour in a day of the wall clock. */
export const QUARTERS = 96;
const QUARTER_MS = 15 * 60_000;

/**
 * Pours by the shop's day and quarter of an hour: what a pace is learned from, however many there were.
 *
 * @param input.pours in any order
 * @param input.zone IANA name; an hour that comes twice counts together
 * @param input.sinceMs earlier ones are left out, ms since 1970 UTC
 * @returns days that had pours, the oldest first
 */
export function poursByDay(input: {
  pours: readonly Pour[];
  zone: string;
  sinceMs?: number;
}): DayPours[] {
  const { pours, zone, sinceMs = -Infinity } = input;
  const sums = new Map<number, DayPours['quarters'][number]>();
  for (const { atMs, massG } of pours) {
    if (atMs < sinceMs) continue;
    const key = Math.floor(wallMs({ atMs, zone }) / QUARTER_MS);
    const sum = sums.get(key);
    if (sum) {
      sum.count += 1;
      sum.massG += massG;
      sum.squaresG2 += massG * massG;
    } else {
      const quarter = ((key % QUARTERS) + QUARTERS) % QUARTERS;
      sums.set(key, { quarter, count: 1, massG, squaresG2: massG * massG });
    }
  }
  const days = new Map<string, DayPours['quarters']>();
  for (const [key, sum] of [...sums].toSorted(([a], [b]) => a - b)) {
    const date = new Date(key * QUARTER_MS).toISOString().slice(0, 10);
    const day = days.get(date);
    if (day) day.push(sum);
    else days.set(date, [sum]);
  }
  return [...days].map(([date, quarters]) => ({ date, quarters }));
}
