import { Temporal } from 'temporal-polyfill';
import { zoned } from './localTime.ts';

/** Until when something is used. */
export interface UseBy {
  /** The same time of day on the last day, ms since 1970 UTC. */
  readonly atMs: number;
  /** The last day on which it is used, as 2026-06-19. */
  readonly lastDay: string;
}

/**
 * Until when something that was made or opened is used: the one rule for batches, jugs, packages and
 * house recipes. The day of making counts as the first one, and days are the calendar's of the shop, so
 * that a change of the clock takes none away.
 *
 * @param input.fromMs made or opened, ms since 1970 UTC
 * @param input.days how many days it keeps, whole, 1 or more
 * @see FDA Food Code 3-501.17: the day of opening or making counts as day 1
 */
export function useBy(input: { fromMs: number; days: number; zone: string }): UseBy {
  const { fromMs, days, zone } = input;
  const from = zoned({ atMs: fromMs, zone });
  const later = { days: days - 1 };
  return {
    atMs: from.add(later).epochMilliseconds,
    lastDay: from.toPlainDate().add(later).toString(),
  };
}

/**
 * @param input.today the shop's date, as 2026-06-13
 * @returns days after today on which it may still be used; 0 on the last day, negative when past
 */
export const daysLeft = (input: { lastDay: string; today: string }): number =>
  Temporal.PlainDate.from(input.today).until(input.lastDay, { largestUnit: 'days' }).days;
