import { Temporal } from 'temporal-polyfill';

const HOUR_MS = 3_600_000;
const offsets = new Map<string, number>();

/**
 * Hours since local midnight by the wall clock of a zone.
 *
 * @param input.atMs instant, ms since 1970 UTC
 * @param input.zone IANA name, such as Europe/Lisbon
 * @returns 0…24, without 24
 */
export function localHours(input: { atMs: number; zone: string }): number {
  const { atMs, zone } = input;
  const local = atMs + offsetMs({ atMs, zone });
  const day = 24 * HOUR_MS;
  return (((local % day) + day) % day) / HOUR_MS;
}

/** Zones change their offset at whole quarter hours, so one look-up serves a quarter. */
function offsetMs(input: { atMs: number; zone: string }): number {
  const { atMs, zone } = input;
  const quarter = Math.floor(atMs / (HOUR_MS / 4));
  const key = `${zone} ${quarter}`;
  const known = offsets.get(key);
  if (known !== undefined) return known;
  const found = zoned({ atMs, zone }).offsetNanoseconds / 1e6;
  if (offsets.size > 20_000) offsets.clear();
  offsets.set(key, found);
  return found;
}

/** @returns the instant on the wall clock of a zone */
export const zoned = (input: { atMs: number; zone: string }): Temporal.ZonedDateTime =>
  Temporal.Instant.fromEpochMilliseconds(Math.floor(input.atMs)).toZonedDateTimeISO(input.zone);

/** @returns the date on the wall clock of a zone, as 2026-06-13 */
export const localDate = (input: { atMs: number; zone: string }): string =>
  zoned(input).toPlainDate().toString();

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
