import { wallMs, zoneTransitions } from '@ratio/core/calendar';
import type { CalendarEntry } from '@ratio/core/day';
import ICAL from 'ical.js';

/** An entry with whose it is, and how often that was changed. */
export interface FiledEntry extends CalendarEntry {
  readonly batchId: string;
  /** Grows with every change of the batch. */
  readonly sequence: number;
}

// The library counts a folded line without the space that begins it.
ICAL.foldLength = 74;

const MINUTE_MS = 60_000;
const YEAR_MS = 366 * 86_400_000;

/**
 * Entries as a calendar file (RFC 5545) in the shop's zone, whose changes of the clock it carries.
 *
 * @param input.name what calendars call it
 * @param input.linkOf address of the page of a batch; null where it has none
 * @returns lines of at most 75 octets that end in CRLF
 */
export function calendarFile(input: {
  name: string;
  entries: readonly FiledEntry[];
  zone: string;
  nowMs: number;
  linkOf: (batchId: string) => string | null;
}): string {
  const { name, entries, zone, nowMs, linkOf } = input;
  const calendar = new ICAL.Component('vcalendar');
  const said: readonly (readonly [string, string])[] = [
    ['version', '2.0'],
    ['prodid', '-//Ratio//Steeps//EN'],
    ['calscale', 'GREGORIAN'],
    ['method', 'PUBLISH'],
    ['x-wr-calname', name],
    ['x-wr-timezone', zone],
  ];
  for (const [key, value] of said) calendar.addPropertyWithValue(key, value);
  const refresh = new ICAL.Property('refresh-interval');
  refresh.setParameter('value', 'DURATION');
  refresh.setValue('PT15M');
  calendar.addProperty(refresh);
  const moments = [nowMs, ...entries.map(({ startMs }) => startMs)];
  calendar.addSubcomponent(
    zoneOf({
      zone,
      fromMs: Math.min(...moments),
      toMs: Math.max(...moments) + YEAR_MS,
    }),
  );
  for (const entry of entries)
    calendar.addSubcomponent(eventOf({ entry, zone, nowMs, link: linkOf(entry.batchId) }));
  return `${calendar.toString()}\r\n`;
}

function zoneOf(input: { zone: string; fromMs: number; toMs: number }): ICAL.Component {
  const { zone, fromMs } = input;
  const timezone = new ICAL.Component('vtimezone');
  timezone.addPropertyWithValue('tzid', zone);
  const transitions = zoneTransitions(input);
  const offsetMs = wallMs({ atMs: fromMs, zone }) - fromMs;
  // A zone that never changed, or not before the first entry, is as it is from the beginning.
  if (transitions.length === 0 || transitions[0]!.atMs > fromMs)
    transitions.unshift({ atMs: -offsetMs, fromOffsetMs: offsetMs, toOffsetMs: offsetMs });
  for (const { atMs, fromOffsetMs, toOffsetMs } of transitions) {
    const part = new ICAL.Component(toOffsetMs > fromOffsetMs ? 'daylight' : 'standard');
    // Its beginning is told by the clock before the change.
    part.addPropertyWithValue('dtstart', floating(atMs + fromOffsetMs));
    part.addPropertyWithValue('tzoffsetfrom', offset(fromOffsetMs));
    part.addPropertyWithValue('tzoffsetto', offset(toOffsetMs));
    timezone.addSubcomponent(part);
  }
  return timezone;
}

function eventOf(input: {
  entry: FiledEntry;
  zone: string;
  nowMs: number;
  link: string | null;
}): ICAL.Component {
  const { entry, zone, nowMs, link } = input;
  const event = new ICAL.Component('vevent');
  const local = (atMs: number): ICAL.Time => floating(wallMs({ atMs, zone }));
  event.addPropertyWithValue('uid', `${entry.batchId}-${entry.key}@ratio`);
  event.addPropertyWithValue('dtstamp', utc(nowMs));
  event.addPropertyWithValue('sequence', entry.sequence);
  event.addPropertyWithValue('summary', entry.title);
  event.addPropertyWithValue('description', entry.text);
  event.addPropertyWithValue('status', entry.isCancelled ? 'CANCELLED' : 'CONFIRMED');
  event.addPropertyWithValue('transp', 'TRANSPARENT');
  if (link !== null) event.addPropertyWithValue('url', link);
  for (const [key, atMs] of [
    ['dtstart', entry.startMs],
    ['dtend', entry.startMs + entry.minutes * MINUTE_MS],
  ] as const) {
    const property = new ICAL.Property(key);
    property.setParameter('tzid', zone);
    property.setValue(local(atMs));
    event.addProperty(property);
  }
  if (entry.alarmMinutes !== null && !entry.isCancelled) {
    const alarm = new ICAL.Component('valarm');
    alarm.addPropertyWithValue('action', 'DISPLAY');
    alarm.addPropertyWithValue('description', entry.title);
    alarm.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-60 * entry.alarmMinutes));
    event.addSubcomponent(alarm);
  }
  return event;
}

/** A wall-clock time without its zone, given as if it were UTC. */
const floating = (ms: number): ICAL.Time =>
  ICAL.Time.fromDateTimeString(new Date(ms).toISOString().slice(0, 19));
const utc = (ms: number): ICAL.Time => ICAL.Time.fromJSDate(new Date(ms), true);
const offset = (ms: number): ICAL.UtcOffset => ICAL.UtcOffset.fromSeconds(ms / 1000);
