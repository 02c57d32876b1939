import { Temporal } from 'temporal-polyfill';
import { readAmount } from '../units/readAmount.ts';
import { zoned } from './localTime.ts';

/** An instant that was understood, or a sentence that says what would do. */
export type ReadTime =
  { readonly ok: true; readonly atMs: number } | { readonly ok: false; readonly message: string };

const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
const MONTHS = [
  'jan',
  'feb',
  'mar',
  'apr',
  'may',
  'jun',
  'jul',
  'aug',
  'sep',
  'oct',
  'nov',
  'dec',
] as const;
const EXAMPLES = 'yesterday 17:30, Sat 6:10 or 2 h ago';
/** What people call an hour. */
const HOURS_BY_NAME: Readonly<Record<string, number>> = { noon: 12, midday: 12, midnight: 0 };

/**
 * Reads a time as somebody would say it: `now`, `2 h ago`, `in 40 min`, `17:30`, `6 pm`, `yesterday 17:30`,
 * `last night 9 pm`, `Sat 6:10`, `12 June 17:30`, `2026-06-12 17:30`.
 *
 * @param input.nowMs ms since 1970 UTC
 * @param input.zone of the shop, an IANA name
 * @param input.looks `back` where it has happened: a time or a weekday without a date is the last one;
 *   `ahead` where it is still to come
 * @returns ms since 1970 UTC; a time that a change to summer time skips is moved on by the skipped hour,
 *   one that comes twice means the first
 */
export function readTime(input: {
  text: string;
  nowMs: number;
  zone: string;
  looks: 'back' | 'ahead';
}): ReadTime {
  const { nowMs, zone, looks } = input;
  const text = input.text.trim().toLowerCase().replaceAll(/\s+/g, ' ');
  const wrong: ReadTime = {
    ok: false,
    message: `“${input.text.trim()}” is no time. Try ${EXAMPLES}.`,
  };
  if (text === '') return { ok: false, message: `Nothing is entered. Try ${EXAMPLES}.` };
  if (text === 'now') return { ok: true, atMs: nowMs };

  const span = /^(?:in (?<ahead>.+)|(?<back>.+) ago)$/.exec(text);
  if (span) {
    const { ahead, back } = span.groups ?? {};
    const amount = readAmount({ text: ahead ?? back!, accepts: ['time'], plainUnit: 'hour' });
    if (!amount.ok) return wrong;
    return { ok: true, atMs: nowMs + (ahead === undefined ? -1000 : 1000) * amount.value };
  }

  const now = zoned({ atMs: nowMs, zone });
  const clock = scanClock(text);
  if (!clock) return wrong;
  const day = dayOf({ text: clock.rest, now, looks, time: clock.time });
  if (!day) return wrong;
  return {
    ok: true,
    atMs: day.toZonedDateTime({ timeZone: zone, plainTime: clock.time }).epochMilliseconds,
  };
}

/** The time of day at the end of a text, and what stands before it. */
function scanClock(text: string): { time: Temporal.PlainTime; rest: string } | null {
  const named = /^(?<rest>.*?)\b(?<name>noon|midday|midnight)$/.exec(text);
  if (named) {
    const { rest = '', name = '' } = named.groups ?? {};
    return { time: new Temporal.PlainTime(HOURS_BY_NAME[name]), rest: tidy(rest) };
  }
  const found =
    /^(?<rest>.*?)(?<![\d:.])(?<hour>\d{1,2})(?:[:.h](?<minute>\d{2}))? ?(?<half>[ap])?\.?m?\.?$/.exec(
      text,
    );
  if (!found) return null;
  const { rest = '', hour = '', minute, half } = found.groups ?? {};
  // A bare number is no time of day: it could be a date, or so many hours.
  if (minute === undefined && half === undefined && !/\bat $/.test(rest)) return null;
  const [hours, minutes] = [Number(hour), Number(minute ?? 0)];
  if (minutes > 59 || hours > 24 || (half && (hours < 1 || hours > 12))) return null;
  const inDay = half ? (hours % 12) + (half === 'p' ? 12 : 0) : hours;
  if (inDay > 23) return null;
  return { time: new Temporal.PlainTime(inDay, minutes), rest: tidy(rest) };
}

const tidy = (text: string): string =>
  text
    .replace(/\bat $/, '')
    .replace(/(?:,|(?<=\d)t)\s*$/, '')
    .trim();

function dayOf(input: {
  text: string;
  now: Temporal.ZonedDateTime;
  looks: 'back' | 'ahead';
  time: Temporal.PlainTime;
}): Temporal.PlainDate | null {
  const { text, now, looks, time } = input;
  const today = now.toPlainDate();
  const back = looks === 'back';
  // Whether the time of day is on the wrong side of now, today.
  const order = Temporal.PlainTime.compare(time, now.toPlainTime());
  const isMissed = back ? order > 0 : order < 0;
  if (text === '') return isMissed ? today.add({ days: back ? -1 : 1 }) : today;
  if (/^(?:today|this (?:morning|afternoon|evening))$/.test(text)) return today;
  if (/^(?:yesterday(?: (?:morning|afternoon|evening|night))?|last (?:night|evening))$/.test(text))
    return today.subtract({ days: 1 });
  if (/^tomorrow(?: (?:morning|afternoon|evening))?$/.test(text)) return today.add({ days: 1 });
  if (/^tonight$/.test(text)) return today;
  const weekday = DAYS.findIndex((day) =>
    new RegExp(`^(?:last |next |on )?${day}[a-z]*$`).test(text),
  );
  if (weekday >= 0) {
    const ahead = (weekday + 1 - today.dayOfWeek + 7) % 7;
    if (back) return today.add({ days: ahead === 0 && !isMissed ? 0 : ahead - 7 });
    return today.add({ days: ahead === 0 && isMissed ? 7 : ahead });
  }
  return dateOf({ text, today, back });
}

/** `12 June`, `June 12th`, `12.6.`, `2026-06-12`; without a year the nearest one on the right side. */
function dateOf(input: {
  text: string;
  today: Temporal.PlainDate;
  back: boolean;
}): Temporal.PlainDate | null {
  const { text, today, back } = input;
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (iso) return plainDate(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const words =
    /^(?:(?:mon|tue|wed|thu|fri|sat|sun)[a-z]* )?(?:(\d{1,2})(?:st|nd|rd|th|\.)? ([a-z]{3,})|([a-z]{3,}) (\d{1,2})(?:st|nd|rd|th)?)(?: (\d{4}))?$/.exec(
      text,
    );
  if (!words) return null;
  const name = words[2] ?? words[3]!;
  const month = MONTHS.findIndex((one) => name.startsWith(one)) + 1;
  const day = Number(words[1] ?? words[4]);
  if (month === 0) return null;
  if (words[5] !== undefined) return plainDate(Number(words[5]), month, day);
  const thisYear = plainDate(today.year, month, day);
  if (!thisYear) return null;
  const order = Temporal.PlainDate.compare(thisYear, today);
  if (back && order > 0) return plainDate(today.year - 1, month, day);
  if (!back && order < 0) return plainDate(today.year + 1, month, day);
  return thisYear;
}

function plainDate(year: number, month: number, day: number): Temporal.PlainDate | null {
  try {
    return Temporal.PlainDate.from({ year, month, day }, { overflow: 'reject' });
  } catch {
    return null;
  }
}
