import { wallMs } from './localTime.ts';

// Not by Intl: a page's first use of it reads tables for 50 ms before anything is shown.
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sept Oct Nov Dec'.split(' ');

interface Instant {
  /** ms since 1970 UTC. */
  readonly atMs: number;
  /** IANA name. */
  readonly zone: string;
}

/** How a shop reads its clock. */
export const CLOCKS = ['24 h', '12 h'] as const;
export type ClockStyle = (typeof CLOCKS)[number];

const two = (value: number): string => String(value).padStart(2, '0');

/**
 * @param input.hours since midnight, 0…24
 * @returns "08:10"; "8:10 am" of twelve hours, with a narrow space that does not break
 */
export function timeText(input: {
  hours: number;
  minutes: number;
  clock?: ClockStyle | undefined;
}): string {
  const { hours, minutes, clock } = input;
  if (clock !== '12 h') return `${two(hours)}:${two(minutes)}`;
  return `${hours % 12 || 12}:${two(minutes)}\u202f${hours % 24 < 12 ? 'am' : 'pm'}`;
}

/** @returns "Sat 08:10" on the wall clock of the zone; "Sat 8:10 am" of twelve hours */
export function dayAndTime(input: Instant & { readonly clock?: ClockStyle }): string {
  const wall = new Date(wallMs(input));
  const [hours, minutes] = [wall.getUTCHours(), wall.getUTCMinutes()];
  return `${DAYS[wall.getUTCDay()]} ${timeText({ hours, minutes, clock: input.clock })}`;
}

/** @returns "Sat 20 Jun" on the wall clock of the zone */
export function dayAndDate(input: Instant): string {
  const wall = new Date(wallMs(input));
  return `${DAYS[wall.getUTCDay()]} ${wall.getUTCDate()} ${MONTHS[wall.getUTCMonth()]}`;
}
