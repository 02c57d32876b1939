import { bisectLeft } from 'd3-array';
import { Temporal } from 'temporal-polyfill';
import { instantOf, localDate, localHours } from '../calendar/localTime.ts';

import { paceOf } from './pace.ts';
import { QUARTERS } from './poursByDay.ts';
import type { DayPours } from './schema.ts';

/** When something runs out; null for what is further off than the forecast looks. */
export interface RunOut {
  /** As early as in 5 of 100 days, in the middle, and as late as in 5 of 100; ms since 1970 UTC. */
  readonly lowMs: number | null;
  readonly atMs: number | null;
  readonly highMs: number | null;
}

/** A number of pours, and the 5th and 95th of 100 such days. */
interface DrinkCount {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What a shop will pour, by its own ledger. */
export interface Forecast {
  /** How many days of this weekday it was learned from. */
  readonly days: number;
  /** Pours of the whole day of now, those of today so far counted. */
  readonly today: DrinkCount;
  /** Pours of a whole day that is still to come, as 2026-06-14. */
  readonly onDate: (date: string) => DrinkCount;
  /** When so much coffee will have been poured from now on. */
  readonly runOut: (onHandG: number) => RunOut;
  /** Coffee that will be poured between two instants, g. */
  readonly neededG: (span: { fromMs: number; toMs: number }) => number;
}

/** How far it looks. */
const HORIZON_DAYS = 14;
/** 95 of 100 of a normal distribution lie below so many standard deviations. */
const Z = 1.645;
/** A day may turn after it was looked at, relative to what is expected of its rest (ours). */
const TURN_CV = 0.08;

/** Where the forecast stands after a quarter of an hour. */
interface Point {
  readonly date: string;
  /** End of the quarter, counted from midnight; the first one ends inside the hour of now. */
  readonly quarters: number;
  readonly meanG: number;
  readonly varianceG2: number;
}

/**
 * What will be poured: the expectation of each quarter of an hour by the same weekday's last weeks, moved
 * by how today went so far. A day's level is taken as gamma distributed around what is expected, so that
 * today's pours correct it in proportion to what they are worth (conjugate to the chance of single pours);
 * what is poured until a moment then is about gamma distributed, with quantiles by Wilson and Hilferty.
 *
 * @param input.days that had pours, today's among them
 * @param input.nowMs ms since 1970 UTC
 * @returns null where nothing was poured before today
 */
export function createForecast(input: {
  days: readonly DayPours[];
  zone: string;
  nowMs: number;
}): Forecast | null {
  const { days, zone, nowMs } = input;
  const today = localDate({ atMs: nowMs, zone });
  const pace = paceOf({ days, today });
  if (!pace) return null;
  const { pourG, pourG2, dayCv } = pace;
  const nowQuarter = 4 * localHours({ atMs: nowMs, zone });
  const so =
    days.find(({ date }) => date === today)?.quarters.reduce((sum, { count }) => sum + count, 0) ??
    0;
  const points: Point[] = [{ date: today, quarters: nowQuarter, meanG: 0, varianceG2: 0 }];
  const first = pace.ofDate(today);
  let [beforeG, beforeG2] = [0, 0];
  let restCount = 0;
  for (let ahead = 0; ahead < HORIZON_DAYS; ahead++) {
    const date = Temporal.PlainDate.from(today).add({ days: ahead }).toString();
    const { counts, noise, levelNoise } = pace.ofDate(date);
    const level =
      ahead === 0
        ? levelOf({ dayCv, counts: first.counts, nowQuarter, so })
        : { mean: 1, noise: dayCv ** 2 };
    const relative = level.noise + dayCv ** 2 * levelNoise + (ahead === 0 ? TURN_CV ** 2 : 0);
    let [expected, unsure] = [0, 0];
    for (let quarter = ahead === 0 ? Math.floor(nowQuarter) : 0; quarter < QUARTERS; quarter++) {
      const share = ahead === 0 ? Math.min(1, quarter + 1 - nowQuarter) : 1;
      expected += share * counts[quarter]!;
      unsure += share * noise[quarter]!;
      const count = level.mean * expected;
      points.push({
        date,
        quarters: quarter + 1,
        meanG: beforeG + count * pourG,
        varianceG2:
          beforeG2 +
          count * pourG2 +
          pourG ** 2 * (level.mean ** 2 * unsure + relative * count ** 2),
      });
    }
    ({ meanG: beforeG, varianceG2: beforeG2 } = points.at(-1)!);
    if (ahead === 0) restCount = beforeG / pourG;
  }
  const endOfToday = points.findLast(({ date }) => date === today)!;
  // Asked for every jug and every batch to come: each of the three is worked out once, the most so far,
  // so that where it is reached first can be found by halving.
  const pouredBy = new Map(
    [Z, 0, -Z].map((z) => [z, mostSoFar(points.map((one) => quantileG(one, z)))]),
  );
  const momentOf = (z: number, onHandG: number): number | null => {
    const poured = pouredBy.get(z)!;
    const i = bisectLeft(poured, onHandG);
    if (i === poured.length) return null;
    const [from, to] = [points[i - 1] ?? points[i]!, points[i]!];
    const [low, high] = [poured[i - 1] ?? poured[i]!, poured[i]!];
    const part = high > low ? (onHandG - low) / (high - low) : 1;
    const begins = from.date === to.date ? from.quarters : 0;
    return atQuarter(to.date, begins + part * (to.quarters - begins), zone);
  };
  return {
    days: first.days,
    today: {
      value: so + restCount,
      low: so + quantileG(endOfToday, -Z) / pourG,
      high: so + quantileG(endOfToday, Z) / pourG,
    },
    onDate: (date) => {
      const { counts, noise, levelNoise } = pace.ofDate(date);
      const sum = (values: Float64Array): number => values.reduce((all, one) => all + one, 0);
      const value = sum(counts);
      const variance = value + sum(noise) + dayCv ** 2 * (1 + levelNoise) * value ** 2;
      const whole = { date, quarters: QUARTERS, meanG: value, varianceG2: variance };
      return { value, low: quantileG(whole, -Z), high: quantileG(whole, Z) };
    },
    runOut: (onHandG) => ({
      lowMs: momentOf(Z, onHandG),
      atMs: momentOf(0, onHandG),
      highMs: momentOf(-Z, onHandG),
    }),
    neededG: ({ fromMs, toMs }) => meanUntil(points, toMs, zone) - meanUntil(points, fromMs, zone),
  };
}

/** How the level of today stands beside what was expected, by its pours so far. */
function levelOf(input: { dayCv: number; counts: Float64Array; nowQuarter: number; so: number }) {
  const { dayCv, counts, nowQuarter, so } = input;
  const shape = 1 / Math.max(dayCv, 1e-3) ** 2;
  const whole = Math.floor(nowQuarter);
  const expected =
    counts.subarray(0, whole).reduce((sum, one) => sum + one, 0) +
    (nowQuarter - whole) * (counts[whole] ?? 0);
  return { mean: (shape + so) / (shape + expected), noise: 1 / (shape + so) };
}

/**
 * A quantile of a gamma distribution of a mean and a variance.
 *
 * @param z of the normal distribution
 * @see Wilson and Hilferty 1931: the cube root of a chi-squared variable is about normal
 */
function quantileG({ meanG, varianceG2 }: Point, z: number): number {
  if (meanG === 0) return 0;
  const ninth = varianceG2 / (9 * meanG * meanG);
  return meanG * Math.max(0, 1 - ninth + z * Math.sqrt(ninth)) ** 3;
}

function mostSoFar(values: readonly number[]): number[] {
  let most = -Infinity;
  return values.map((value) => (most = Math.max(most, value)));
}

const atQuarter = (date: string, quarters: number, zone: string): number => {
  const minutes = Math.min(Math.round(15 * quarters), 24 * 60 - 1);
  const time = new Temporal.PlainTime(Math.floor(minutes / 60), minutes % 60);
  return instantOf({ local: `${date}T${time.toString()}`, zone })!;
};

function meanUntil(points: readonly Point[], atMs: number, zone: string): number {
  const date = localDate({ atMs, zone });
  const quarters = 4 * localHours({ atMs, zone });
  const i = points.findIndex(
    (point) => point.date > date || (point.date === date && point.quarters >= quarters),
  );
  if (i < 0) return points.at(-1)!.meanG;
  const [from, to] = [points[i - 1] ?? points[0]!, points[i]!];
  if (to.date > date) return from.meanG;
  const begins = from.date === to.date ? from.quarters : 0;
  const part = to.quarters > begins ? Math.max(0, (quarters - begins) / (to.quarters - begins)) : 1;
  return from.meanG + part * (to.meanG - from.meanG);
}
