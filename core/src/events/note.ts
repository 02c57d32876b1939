import { NOTHING_NOTED } from '../batch/nothingNoted.ts';
import type { Batch, NoteRequest, Observation } from '../batch/schema.ts';
import { BATCH_LIMITS } from '../brew/limits.ts';
import { isEqual } from '../document/isEqual.ts';
import { decided, refuse, REPEATED, type Decision, type EventContext } from './decision.ts';
import { followedBatch } from './followedBatch.ts';
import { batchIn } from './found.ts';
import { momentOf } from './moment.ts';
import { endOnGrounds } from './onGrounds.ts';
import type { EventRows, EventState } from './state.ts';
import { requireGoesInto } from './goesInto.ts';

const HOUR_MS = 3_600_000;

/**
 * Something is noted of a batch as it really happened: coffee weighed, water poured, a temperature, a
 * move, a reading, or that an earlier note is undone. Repeated it counts once.
 */
export const note = (
  state: EventState,
  input: { readonly batchId: string; readonly request: NoteRequest },
  context: EventContext,
): Decision => decided(state, () => noteRows(state, input, context));

function noteRows(
  state: EventState,
  { batchId, request }: { batchId: string; request: NoteRequest },
  context: EventContext,
): EventRows {
  const batch = batchIn(state, batchId);
  const rows = state.observations.get(batchId) ?? [];
  const before = rows.find(({ id }) => id === request.id);
  const { at, ...seen } = request;
  const isSameTime = before !== undefined && at === undefined;
  const row: Observation = {
    ...NOTHING_NOTED,
    ...seen,
    batchId,
    at: isSameTime ? before.at : momentOf(at, context),
  };
  if (before) {
    if (isEqual(before, row)) return REPEATED;
    refuse('already_exists', 'Something else was written under this id.');
  }
  requireNotable({ state, batch, request, rows, context });
  const followed = followedBatch({ batch, rows: [...rows, row], context });
  const isGivenUp = followed?.status === 'abandoned' && batch.status === 'steeping';
  return {
    observations: [row],
    ...(followed ? { batches: [followed] } : {}),
    ...(isGivenUp ? endOnGrounds(state, batchId, row.at) : {}),
  };
}

function requireNotable(input: {
  state: EventState;
  batch: Batch;
  request: NoteRequest;
  rows: readonly Observation[];
  context: EventContext;
}): void {
  const { state, batch, request, rows, context } = input;
  switch (request.kind) {
    case 'undone':
      if (!rows.some(({ id }) => id === request.undoes))
        refuse('not_found', 'There is no such note of this batch to undo.');
      return;
    case 'abandoned':
      requireSteeping(batch, 'It does not steep any more: it is in its jugs.');
      return;
    case 'strain-moved':
      requireSteeping(batch, 'It does not steep any more: its strain stands.');
      requireWithinWeek(batch, request.until);
      return;
    case 'spilled':
      requireSteeping(batch, 'It does not steep any more: discard it from its jug.');
      requireLessThanWhole(batch, request.massG);
      return;
    case 'decanted':
      requireGoesInto({ state, batch, vesselId: request.vesselId, shareFrac: 1, context });
      return;
    default:
  }
}

function requireSteeping({ status }: Batch, detail: string): void {
  if (status !== 'steeping') refuse('not_possible_now', detail);
}

/** No more is spilled than went in. */
function requireLessThanWhole({ plan }: Batch, massG: number): void {
  const wholeG = plan.doseG + plan.waterG;
  if (massG >= wholeG)
    refuse('out_of_range', 'More was spilled than is in it: give the batch up.', {
      issues: [{ path: 'massG', message: `${wholeG.toFixed(0)} g went in.` }],
    });
}

/** A strain is moved to an hour at which the batch still steeps. */
function requireWithinWeek({ startedAt }: Batch, until: string): void {
  const hours = (Date.parse(until) - Date.parse(startedAt)) / HOUR_MS;
  if (hours > 0 && hours <= BATCH_LIMITS.hours) return;
  refuse('out_of_range', 'A strain comes after the start, and within a week of it.', {
    issues: [{ path: 'until', message: `It began at ${startedAt}.` }],
  });
}
