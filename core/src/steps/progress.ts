import { countedObservations } from '../batch/countedObservations.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import { steepBeganMs } from '../batch/measuredSteep.ts';
import type { Batch, ObservationRow } from '../batch/schema.ts';
import type { Step } from './stepsOf.ts';

/** How a step stands. */
export interface StepState {
  readonly step: Step;
  /** The row that noted it; null where nobody did. */
  readonly noted: ObservationRow | null;
  /** Done or left out, passed over without a note, the one in hand, or still to come. */
  readonly state: 'noted' | 'passed' | 'now' | 'next';
  /** When it is to be done, or its wait is over, ms since 1970 UTC; null where it has no time. */
  readonly dueMs: number | null;
}

/** Where a batch stands in its steps. */
export interface Progress {
  readonly states: readonly StepState[];
  /** The one in hand; null where all are done. */
  readonly now: StepState | null;
  /** The last one that was noted, which can be taken back; null at the beginning. */
  readonly last: StepState | null;
  /** How many are behind, of how many. */
  readonly behind: number;
}

/** A batch that was begun this long before anything was noted is past its preparations. */
const BEGUN_MS = 3_600_000;

/**
 * Where a batch stands: after the last step that was noted, whatever was passed over before it.
 *
 * @param input.steps in order
 * @param input.observations in the order of writing; rows that come twice or were taken back do not count
 * @param input.nowMs ms since 1970 UTC
 */
export function progressOf(input: {
  batch: Pick<Batch, 'startedAt' | 'status'> & Partial<Pick<Batch, 'endsAt' | 'plan'>>;
  steps: readonly Step[];
  observations: readonly ObservationRow[];
  nowMs: number;
}): Progress {
  const { batch, steps, nowMs } = input;
  const counted = countedObservations(input.observations);
  const noted = new Map(counted.flatMap((row) => (row.step === null ? [] : [[row.step, row]])));
  const beganMs = steepBeganMs({ batch, observations: counted });
  const rowOf = ({ key }: Step): ObservationRow | null => noted.get(key) ?? null;

  let lastIndex = steps.findLastIndex((step) => rowOf(step) !== null);
  const isOld = nowMs - Date.parse(batch.startedAt) > BEGUN_MS;
  if (lastIndex < 0 && isOld) lastIndex = steps.findLastIndex(({ phase }) => phase === 'prepare');
  // Strained beside its steps: what is left is what comes after the jugs.
  const filled = steps.findIndex(({ note }) => note === 'filled');
  if (batch.status === 'strained') lastIndex = Math.max(lastIndex, filled);
  // One that was given up has nothing left to do.
  const nowIndex = batch.status === 'abandoned' ? steps.length : lastIndex + 1;

  let beforeMs: number | null = null;
  const states = steps.map((step, i): StepState => {
    const row = rowOf(step);
    const dueMs = dueOf({ step, beganMs, beforeMs, batch });
    beforeMs = row ? Date.parse(row.at) : null;
    const isFilled = step.note === 'filled' && batch.status === 'strained';
    const state =
      row || isFilled ? 'noted' : i < nowIndex ? 'passed' : i === nowIndex ? 'now' : 'next';
    return { step, noted: row, state, dueMs };
  });
  const latest = counted.findLast(({ step }) => states.some((one) => one.step.key === step));
  return {
    states,
    now: states[nowIndex] ?? null,
    last: states.find(({ step }) => step.key === latest?.step) ?? null,
    behind: Math.min(nowIndex, steps.length),
  };
}

/** By the clock of the steep, or by a wait that began with the step before. */
function dueOf(input: {
  step: Step;
  beganMs: number;
  beforeMs: number | null;
  batch: Partial<Pick<Batch, 'endsAt' | 'plan'>>;
}): number | null {
  const { step, beganMs, beforeMs, batch } = input;
  // The end of the steep may have been moved.
  const isEnd = step.atS !== null && batch.plan && step.atS >= 3600 * steepHoursOf(batch.plan);
  if (isEnd && batch.endsAt) return Date.parse(batch.endsAt);
  if (step.atS !== null) return beganMs + 1000 * step.atS;
  return step.waitS > 0 && beforeMs !== null ? beforeMs + 1000 * step.waitS : null;
}
