import type { FiltrationMethod } from '../brew/filtration.ts';
import type { Wetting } from '../brew/wetting.ts';
import { localHours } from '../calendar/localTime.ts';
import { brewUseBy } from './brewUseBy.ts';
import { isWithin, type DailyHours } from '../shop/dailyHours.ts';

/** What is done to a batch, and when. */
export interface ScheduleEvent {
  readonly kind: 'start' | 'top-up' | 'agitate' | 'strain' | 'filter' | 'ready' | 'use-by';
  readonly atMs: number;
  /** Whether somebody has to be there for it. */
  readonly handsOn: boolean;
  /** Whether the crew is in then. */
  readonly crewIn: boolean;
}

export interface ScheduleInput {
  readonly startMs: number;
  readonly zone: string;
  readonly steepHours: number;
  readonly agitationHours: readonly number[];
  readonly wetting: Wetting;
  readonly method: FiltrationMethod;
  readonly crew: DailyHours;
}

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const TOP_UP_MINUTES = 3;

/** Minutes that each way of straining takes, and the paper pass behind it (common practice). */
const STRAIN_MINUTES: Readonly<Record<FiltrationMethod, { first: number; filter: number }>> = {
  drain: { first: 40, filter: 0 },
  paper: { first: 40, filter: 30 },
  press: { first: 10, filter: 0 },
  squeeze: { first: 15, filter: 0 },
  insert: { first: 10, filter: 0 },
  'on-grounds': { first: 5, filter: 0 },
};

/**
 * A batch on the wall clock: from the first pour to the date it must be used by. A steep lasts its
 * hours by the stopwatch, whatever the clocks are set to meanwhile; the use-by date is counted in
 * days of the calendar.
 *
 * @param input.startMs ms since 1970 UTC
 * @param input.agitationHours those after the end of the steep are left out
 * @returns events in order of time
 */
export function batchSchedule(input: ScheduleInput): ScheduleEvent[] {
  const { startMs, zone, steepHours, agitationHours, wetting, method, crew } = input;
  const event = (kind: ScheduleEvent['kind'], atMs: number, handsOn: boolean): ScheduleEvent => ({
    kind,
    atMs,
    handsOn,
    crewIn: isWithin(localHours({ atMs, zone }), crew),
  });
  const strainMs = startMs + steepHours * HOUR_MS;
  const { first, filter } = STRAIN_MINUTES[method];
  const readyMs = strainMs + (first + filter) * MINUTE_MS;
  return [
    event('start', startMs, true),
    ...(wetting === 'stages' ? [event('top-up', startMs + TOP_UP_MINUTES * MINUTE_MS, true)] : []),
    ...agitationHours
      .filter((hours) => hours < steepHours)
      .map((hours) => event('agitate', startMs + hours * HOUR_MS, true)),
    event('strain', strainMs, true),
    ...(filter > 0 ? [event('filter', strainMs + first * MINUTE_MS, true)] : []),
    event('ready', readyMs, true),
    event('use-by', brewUseBy({ fromMs: readyMs, zone }).atMs, false),
  ].sort((a, b) => a.atMs - b.atMs);
}

/**
 * When to start, to be ready by a time.
 *
 * @param input.readyMs ms since 1970 UTC
 * @returns ms since 1970 UTC
 */
export function startForReadyMs(input: {
  readyMs: number;
  steepHours: number;
  method: FiltrationMethod;
}): number {
  const { first, filter } = STRAIN_MINUTES[input.method];
  return input.readyMs - input.steepHours * HOUR_MS - (first + filter) * MINUTE_MS;
}

/** A start and a length at which somebody is there for all of it. */
export interface ScheduleFit {
  readonly startMs: number;
  readonly steepHours: number;
}

const QUARTER_MS = 15 * MINUTE_MS;
const SEARCH_QUARTERS = 96;
const LENGTH_STEP_HOURS = 0.5;
const LENGTH_SEARCH_HOURS = 8;

/** @returns whether somebody is there for everything that needs hands */
export const isManned = (events: readonly ScheduleEvent[]): boolean =>
  events.every(({ handsOn, crewIn }) => !handsOn || crewIn);

/**
 * The nearest ways to make a plan meet the crew: another start with the same length, another length
 * from the same start, each earlier and later.
 *
 * @param input.notBeforeMs no start before this, ms since 1970 UTC
 * @returns at most four, none where the plan is manned as it is
 */
export function nearestFits(input: ScheduleInput & { notBeforeMs: number }): ScheduleFit[] {
  if (isManned(batchSchedule(input))) return [];
  const manned = (fit: ScheduleFit): boolean => isManned(batchSchedule({ ...input, ...fit }));
  const starts = (way: 1 | -1): ScheduleFit[] =>
    Array.from({ length: SEARCH_QUARTERS }, (_, i) => ({
      startMs: input.startMs + way * (i + 1) * QUARTER_MS,
      steepHours: input.steepHours,
    })).filter(({ startMs }) => startMs >= input.notBeforeMs);
  const lengths = (way: 1 | -1): ScheduleFit[] =>
    Array.from({ length: LENGTH_SEARCH_HOURS / LENGTH_STEP_HOURS }, (_, i) => ({
      startMs: input.startMs,
      steepHours: input.steepHours + way * (i + 1) * LENGTH_STEP_HOURS,
    })).filter(({ steepHours }) => steepHours > 0);
  return [starts(-1), starts(1), lengths(-1), lengths(1)].flatMap(
    (candidates) => candidates.find(manned) ?? [],
  );
}

/**
 * Windows in which the crew is in, as hours from a start: where a steep may end.
 *
 * @param input.horizonHours how far to look, h
 * @returns ascending, each with a beginning and an end inside the horizon, to a quarter hour
 */
export function crewWindows(input: {
  startMs: number;
  zone: string;
  horizonHours: number;
  crew: DailyHours;
}): { fromHours: number; toHours: number }[] {
  const { startMs, zone, horizonHours, crew } = input;
  const windows: { fromHours: number; toHours: number }[] = [];
  let from: number | null = null;
  for (let hours = 0; hours <= horizonHours; hours += 0.25) {
    const inside = isWithin(localHours({ atMs: startMs + hours * HOUR_MS, zone }), crew);
    if (inside && from === null) from = hours;
    if (!inside && from !== null) {
      windows.push({ fromHours: from, toHours: hours - 0.25 });
      from = null;
    }
  }
  if (from !== null) windows.push({ fromHours: from, toHours: horizonHours });
  return windows;
}
