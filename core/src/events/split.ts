import { NOTHING_NOTED } from '../batch/nothingNoted.ts';
import { scalePlan } from '../batch/plan.ts';
import type { Batch, Observation, SplitBatchRequest } from '../batch/schema.ts';
import { derivedId } from '../document/derivedId.ts';
import { decided, refuse, REPEATED, type Decision, type EventContext } from './decision.ts';
import { batchIn } from './found.ts';
import { requireGoesInto } from './goesInto.ts';
import { momentOf } from './moment.ts';
import type { EventRows, EventState } from './state.ts';

/** What happened to the slurry before it was split happened to both parts. */
const SHARED_KINDS: readonly Observation['kind'][] = ['temperature', 'agitated', 'moved', 'read'];

/**
 * A running batch is split: a share of it steeps on in another vessel as a batch of its own, with the same
 * clock and the same history. Repeated it is split once.
 */
export const split = (
  state: EventState,
  input: { readonly batchId: string; readonly request: SplitBatchRequest },
  context: EventContext,
): Decision => decided(state, () => splitRows(state, input, context));

function splitRows(
  state: EventState,
  { batchId, request }: { batchId: string; request: SplitBatchRequest },
  context: EventContext,
): EventRows {
  const { shareFrac } = request;
  const rows = state.observations.get(batchId) ?? [];
  const rowId = derivedId(request.id, 'split-off');
  if (state.batches.has(request.id)) {
    if (rows.some((row) => row.id === rowId && row.shareFrac === shareFrac)) return REPEATED;
    refuse('already_exists', 'There is another batch with this id.');
  }
  const batch = batchIn(state, batchId);
  const vessel = requireGoesInto({
    state,
    batch,
    vesselId: request.vesselId,
    shareFrac,
    context,
  });
  const { plan, predicted } = batch;
  const part: Batch = {
    ...batch,
    id: request.id,
    version: 1,
    plan: { ...scalePlan(plan, shareFrac), vesselId: vessel.id },
    predicted: {
      ...predicted,
      brewG: shareFrac * predicted.brewG,
      brewMl: shareFrac * predicted.brewMl,
      retainedG: shareFrac * predicted.retainedG,
    },
    vesselName: vessel.name,
    startedAt: batch.pouredAt ?? batch.startedAt,
    pouredAt: null,
    movedTo: null,
  };
  const shared = rows
    .filter(({ kind }) => SHARED_KINDS.includes(kind))
    .map((row) => ({
      ...row,
      id: derivedId(`${request.id} ${row.id}`, 'shared'),
      batchId: part.id,
      step: null,
    }));
  const splitOff: Observation = {
    ...NOTHING_NOTED,
    id: rowId,
    kind: 'split-off',
    batchId,
    at: momentOf(request.at, context),
    shareFrac,
    vesselId: vessel.id,
    note: request.note,
  };
  return { batches: [part], observations: [...shared, splitOff] };
}
