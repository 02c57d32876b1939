import { Temporal } from 'temporal-polyfill';
import { zoned } from '../clock/localTime.ts';

/** How what stands open is doing. */
export interface OpenLife {
  /** The last day on which it is used, as 2026-06-19. */
  readonly lastDay: string;
  /** Days after today on which it may still be used; 0 on the last day, negative when past. */
  readonly daysLeft: number;
}

/**
 * How long what was opened or made is still used. The day of opening counts as the first one, and days
 * are the calendar's, so that a change of the clock takes none away.
 *
 * @param input.openedAtMs ms since 1970 UTC
 * @param input.days how many days it keeps, whole, 1 or more
 * @param input.today the shop's date, as 2026-06-13
 * @see FDA Food Code 3-501.17: the day of opening or making counts as day 1
 */
export function openLife(input: {
  openedAtMs: number;
  days: number;
  today: string;
  zone: string;
}): OpenLife {
  const { openedAtMs, days, today, zone } = input;
  const last = zoned({ atMs: openedAtMs, zone })
    .toPlainDate()
    .add({ days: days - 1 });
  return {
    lastDay: last.toString(),
    daysLeft: Temporal.PlainDate.from(today).until(last, { largestUnit: 'days' }).days,
  };
}
