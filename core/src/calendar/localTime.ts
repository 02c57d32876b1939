import { Temporal } from 'temporal-polyfill';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** A stretch of time in which a zone keeps its offset. */
interface Stretch {
  readonly zone: string;
  readonly fromMs: number;
  readonly toMs: number;
  readonly offsetMs: number;
}
const stretches = new Map<string, Stretch[]>();
let last: Stretch = { zone: '', fromMs: 0, toMs: 0, offsetMs: 0 };

/**
 * Hours since local midnight by the wall clock of a zone.
 *
 * @param input.atMs instant, ms since 1970 UTC
 * @param input.zone IANA name, such as Europe/Lisbon
 * @returns 0…24, without 24
 */
export function localHours(input: { atMs: number; zone: string }): number {
  const local = wallMs(input);
  return (((local % DAY_MS) + DAY_MS) % DAY_MS) / HOUR_MS;
}

/** @returns what the wall clock shows, as if it were UTC, ms since 1970 */
export const wallMs = ({ atMs, zone }: { atMs: number; zone: string }): number =>
  atMs + stretchOf(zone, atMs).offsetMs;

/** Most calls are near the one before, and a zone changes its offset twice a year. */
function stretchOf(zone: string, atMs: number): Stretch {
  if (zone === last.zone && atMs >= last.fromMs && atMs < last.toMs) return last;
  const known = stretches.get(zone) ?? [];
  const found = known.find(({ fromMs, toMs }) => atMs >= fromMs && atMs < toMs);
  if (found) return (last = found);
  const local = zoned({ atMs, zone });
  const stretch: Stretch = {
    zone,
    fromMs:
      local.add({ nanoseconds: 1 }).getTimeZoneTransition('previous')?.epochMilliseconds ??
      -Infinity,
    toMs: local.getTimeZoneTransition('next')?.epochMilliseconds ?? Infinity,
    offsetMs: local.offsetNanoseconds / 1e6,
  };
  stretches.set(zone, [...known, stretch]);
  return (last = stretch);
}

/** @returns the instant on the wall clock of a zone */
export const zoned = (input: { atMs: number; zone: string }): Temporal.ZonedDateTime =>
  Temporal.Instant.fromEpochMilliseconds(Math.floor(input.atMs)).toZonedDateTimeISO(input.zone);

/** @returns the date on the wall clock of a zone, as 2026-06-13 */
export const localDate = (input: { atMs: number; zone: string }): string =>
  new Date(wallMs(input)).toISOString().slice(0, 10);

/**
 * @param date as 2026-06-13
 * @param days whole days later; below 0 before
 * @returns the date so many days after another, as 2026-06-14
 */
export const dateAfter = (date: string, days: number): string =>
  Temporal.PlainDate.from(date).add({ days }).toString();

/**
 * The instant of a wall-clock time. A time that a change to summer time skips is moved on by the
 * skipped hour; one that comes twice means the first.
 *
 * @param input.local as 2026-06-13T07:00, without an offset
 * @returns ms since 1970 UTC; null where the text is no date and time
 */
export function instantOf(input: { local: string; zone: string }): number | null {
  try {
    const at = Temporal.PlainDateTime.from(input.local).toZonedDateTime(input.zone);
    return at.epochMilliseconds;
  } catch {
    return null;
  }
}
