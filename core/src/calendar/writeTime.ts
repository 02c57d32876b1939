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
const two = (value: number): string => String(value).padStart(2, '0');

/** @returns "Sat 08:10" on the wall clock of the zone */
export function dayAndTime(input: Instant): string {
  const wall = new Date(wallMs(input));
  return `${DAYS[wall.getUTCDay()]} ${two(wall.getUTCHours())}:${two(wall.getUTCMinutes())}`;
}

/** @returns "Sat 20 Jun" on the wall clock of the zone */
export function dayAndDate(input: Instant): string {
  const wall = new Date(wallMs(input));
  return `${DAYS[wall.getUTCDay()]} ${wall.getUTCDate()} ${MONTHS[wall.getUTCMonth()]}`;
}
