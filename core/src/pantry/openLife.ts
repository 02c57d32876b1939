import { daysLeft, useBy } from '../calendar/useBy.ts';

/** How long something that stands open is still used. */
export interface OpenLife {
  readonly at: Date;
  /** The last day on which it is used, as 2026-06-19. */
  readonly lastDay: string;
  /** 0 on the last day, negative when past. */
  readonly daysLeft: number;
}

/**
 * @param input.at since when it is open, ISO; undefined where it is not
 * @param input.openedDays days that it keeps once it is open; null where it keeps
 * @param input.today the shop's date, as 2026-06-13
 * @returns null where it is not open, or keeps
 */
export function openLife(input: {
  at: string | undefined;
  openedDays: number | null | undefined;
  today: string;
  zone: string;
}): OpenLife | null {
  const { at, openedDays, today, zone } = input;
  if (at === undefined || !openedDays) return null;
  const fromMs = Date.parse(at);
  const { lastDay } = useBy({ fromMs, days: openedDays, zone });
  return { at: new Date(fromMs), lastDay, daysLeft: daysLeft({ lastDay, today }) };
}
