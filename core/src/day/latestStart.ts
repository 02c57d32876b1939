import { batchSchedule, isManned, startForReadyMs, type ScheduleInput } from '../batch/schedule.ts';

/** The latest start of a batch that is ready by a time. */
export interface LatestStart {
  /** ms since 1970 UTC. */
  readonly startMs: number;
  readonly readyMs: number;
  /** Whether it is still to come. */
  readonly isInTime: boolean;
}

const QUARTER_MS = 15 * 60_000;
/** How far before the latest possible start somebody is looked for, in quarters of an hour. */
const SEARCH_QUARTERS = 4 * 48;

/**
 * The latest hour at which a batch can start, so that it is ready by a time and somebody is there for all
 * of it.
 *
 * @param input.readyByMs when it must be ready, ms since 1970 UTC
 * @param input.nowMs ms since 1970 UTC
 * @returns a start at a full quarter of an hour; null where the crew's hours never fit
 */
export function latestStart(
  input: Omit<ScheduleInput, 'startMs'> & { readyByMs: number; nowMs: number },
): LatestStart | null {
  const { readyByMs, nowMs, ...plan } = input;
  const latestMs = startForReadyMs({ ...plan, readyMs: readyByMs });
  const fromMs = Math.floor(latestMs / QUARTER_MS) * QUARTER_MS;
  for (let i = 0; i < SEARCH_QUARTERS; i++) {
    const startMs = fromMs - i * QUARTER_MS;
    const events = batchSchedule({ ...plan, startMs });
    if (!isManned(events)) continue;
    const readyMs = events.find(({ kind }) => kind === 'ready')!.atMs;
    return { startMs, readyMs, isInTime: startMs >= nowMs };
  }
  return null;
}
