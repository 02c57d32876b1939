import { Temporal } from 'temporal-polyfill';
import { QUARTERS } from './poursByDay.ts';
import type { DayPours } from './schema.ts';

/** A weekday as its last weeks were: how many drinks are expected in each quarter of an hour. */
interface WeekdayPace {
  /** Expected pours, 96 of them. */
  readonly counts: Float64Array;
  /** Variance of each of them, as it is known from so few weeks. */
  readonly noise: Float64Array;
  /** Variance of the whole day's level, relative to its square, for the same reason. */
  readonly levelNoise: number;
  /** How many days it was learned from. */
  readonly days: number;
}

/** How a shop pours, learned from its own ledger. */
export interface Pace {
  readonly ofDate: (date: string) => WeekdayPace;
  /** Standard deviation of a day's level around what is expected, relative to it. */
  readonly dayCv: number;
  /** Mean mass of a pour, g, and mean of its square, g². */
  readonly pourG: number;
  readonly pourG2: number;
}

/** Weeks that are looked back, and what a week counts beside the one after it (ours). */
const PACE_WEEKS = 8;
/** The same in days, and the day of now. */
export const PACE_DAYS = 7 * PACE_WEEKS + 1;
const WEEK_COUNTS = 0.8;
/** How much days differ where the ledger is too short to tell, and how many days that is worth (ours). */
const USUAL_CV = 0.2;
const USUAL_DAYS = 4;

interface PastDay {
  readonly weekday: number;
  readonly weight: number;
  readonly day: DayPours;
  readonly count: number;
}

/**
 * The pace of a shop: each weekday's last weeks, exponentially smoothed. Days without a pour are days on
 * which it was shut; a weekday that never had one is shut.
 *
 * @param input.days before today, those that had pours
 * @param input.today as 2026-06-13
 * @returns null where nothing was poured yet
 */
export function paceOf(input: { days: readonly DayPours[]; today: string }): Pace | null {
  const today = Temporal.PlainDate.from(input.today);
  const past = input.days.flatMap((day): PastDay[] => {
    const date = Temporal.PlainDate.from(day.date);
    const ago = date.until(today, { largestUnit: 'days' }).days;
    const weeks = Math.ceil(ago / 7) - 1;
    if (ago <= 0 || weeks >= PACE_WEEKS) return [];
    const count = day.quarters.reduce((sum, one) => sum + one.count, 0);
    return [{ weekday: date.dayOfWeek, weight: WEEK_COUNTS ** weeks, day, count }];
  });
  if (past.length === 0) return null;
  const all = smoothed(past);
  const isLong = past.some(({ weight }) => weight < WEEK_COUNTS);
  const byWeekday = Array.from({ length: 8 }, (_, weekday) => {
    const same = past.filter((one) => one.weekday === weekday);
    if (same.length === 0) return isLong ? SHUT : all;
    // One day is no pace: every day says as much again.
    return same.length === 1 ? smoothed([...same, ...evened(past, same[0]!)]) : smoothed(same);
  });
  const pours = past.flatMap(({ day }) => day.quarters);
  const count = pours.reduce((sum, one) => sum + one.count, 0);
  return {
    ofDate: (date) => byWeekday[Temporal.PlainDate.from(date).dayOfWeek]!,
    dayCv: dayCvOf(past, byWeekday),
    pourG: pours.reduce((sum, { massG }) => sum + massG, 0) / count,
    pourG2: pours.reduce((sum, { squaresG2 }) => sum + squaresG2, 0) / count,
  };
}

const SHUT: WeekdayPace = {
  counts: new Float64Array(QUARTERS),
  noise: new Float64Array(QUARTERS),
  levelNoise: 0,
  days: 0,
};

/** Every other day, together as heavy as one. */
const evened = (past: readonly PastDay[], one: PastDay): PastDay[] => {
  const rest = past.filter((other) => other !== one);
  const weight = rest.reduce((sum, other) => sum + other.weight, 0);
  return rest.map((other) => ({ ...other, weight: (one.weight * other.weight) / weight }));
};

function smoothed(days: readonly PastDay[]): WeekdayPace {
  const counts = new Float64Array(QUARTERS);
  const noise = new Float64Array(QUARTERS);
  const whole = days.reduce((sum, { weight }) => sum + weight, 0);
  for (const { day, weight } of days) {
    const share = weight / whole;
    for (const { quarter, count } of day.quarters) {
      counts[quarter]! += share * count;
      noise[quarter]! += share * share * count;
    }
  }
  const squares = days.reduce((sum, { weight }) => sum + (weight / whole) ** 2, 0);
  return { counts, noise, levelNoise: squares, days: days.length };
}

/**
 * How much days differ from their weekday beyond the chance of single pours, as a moment estimate that a
 * short ledger is drawn to the usual.
 */
function dayCvOf(past: readonly PastDay[], byWeekday: readonly WeekdayPace[]): number {
  let [over, square] = [0, 0];
  for (const { weekday, count, weight } of past) {
    const { counts, levelNoise, days } = byWeekday[weekday]!;
    if (days < 2) continue;
    const expected = counts.reduce((sum, one) => sum + one, 0);
    // Each day drew its own expectation towards itself.
    const own =
      weight / past.reduce((sum, one) => sum + (one.weekday === weekday ? one.weight : 0), 0);
    const free = 1 - 2 * own + levelNoise;
    over += (count - expected) ** 2 / free - expected;
    square += expected ** 2;
  }
  const usual = (USUAL_DAYS * square) / Math.max(1, past.length) || 1;
  return Math.sqrt(Math.max(0, over + USUAL_CV ** 2 * usual) / (square + usual));
}
