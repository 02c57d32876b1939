import { CLEAN_STEP, leavesToClean } from '../batch/cleaning.ts';
import { countedObservations } from '../batch/countedObservations.ts';
import { pouredAt } from '../batch/measuredSteep.ts';
import type { Batch, Observation } from '../batch/schema.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import { isEqual } from '../document/isEqual.ts';
import type { EventContext } from './decision.ts';

const HOUR_MS = 3_600_000;

/**
 * A batch with what follows from its observations: when it is due, where it stands, whether it still
 * steeps and whether its vessel is clean.
 *
 * @param input.rows all of its observations, in the order of writing
 * @returns the batch one version later; null where nothing changes
 */
export function followedBatch(input: {
  batch: Batch;
  rows: readonly Observation[];
  context: EventContext;
}): Batch | null {
  const { batch, rows, context } = input;
  const counted = countedObservations(rows);
  const poured = pouredAt({ batch, observations: counted });
  const movedUntil = counted.findLast(({ kind }) => kind === 'strain-moved')?.until ?? null;
  const steepsFromMs = Date.parse(poured ?? batch.startedAt);
  const plannedEnd = new Date(steepsFromMs + steepHoursOf(batch.plan) * HOUR_MS).toISOString();
  const cleaned = counted.findLast(({ step, kind }) => step === CLEAN_STEP && kind === 'done');
  const followed: Batch = {
    ...batch,
    endsAt: movedUntil ?? plannedEnd,
    // A pour at the start itself changes nothing: the clock runs from there anyway.
    pouredAt: poured === batch.startedAt ? null : poured,
    movedTo: movedToOf(counted, context),
    ...statusOf(batch, counted),
    cleanedAt: cleaned?.at ?? null,
  };
  const next = { ...followed, needsCleaning: needsCleaningOf(batch, followed, context) };
  return isEqual(next, batch) ? null : { ...next, version: batch.version + 1 };
}

/** Its vessel has to be cleaned once it steeps no more. */
function needsCleaningOf(batch: Batch, followed: Batch, { shop }: EventContext): boolean {
  if (followed.status === 'steeping') return false;
  return followed.status === 'abandoned' && batch.status === 'steeping'
    ? leavesToClean({ batch: followed, shopSteps: shop.steps })
    : batch.needsCleaning;
}

/** A batch that was given up steeps again where that is undone. */
function statusOf(
  { status }: Batch,
  counted: readonly Observation[],
): Pick<Batch, 'status' | 'abandonedFor'> {
  if (status === 'strained') return { status, abandonedFor: null };
  const abandoned = counted.findLast(({ kind }) => kind === 'abandoned');
  return abandoned
    ? { status: 'abandoned', abandonedFor: abandoned.note }
    : { status: 'steeping', abandonedFor: null };
}

function movedToOf(counted: readonly Observation[], { vessels }: EventContext): Batch['movedTo'] {
  const vesselId = counted.findLast(({ kind }) => kind === 'decanted')?.vesselId;
  if (!vesselId) return null;
  const vessel = vessels.find(({ id }) => id === vesselId);
  return { vesselId, vesselName: vessel?.name ?? vesselId };
}
