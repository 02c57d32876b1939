import { correctableOf } from '../jug/ledger.ts';
import type { StoredJug } from '../jug/ledgerSchema.ts';
import type { JugEntryRequest } from '../jug/schema.ts';
import { massOfStoredG } from '../matter/properties.ts';
import { refuse } from './decision.ts';
import { entryOf } from './ledgerEntry.ts';
import { storedWaterG } from './ownEntry.ts';
import { recalculated } from './recalculated.ts';
import type { EventRows, EventState } from './state.ts';

/**
 * Corrects a ledger row: it stays, and one more row states what it really was, and why. Refuses where what
 * happened since could not have been with it.
 */
export function correctRows(input: {
  state: EventState;
  jug: StoredJug;
  request: Extract<JugEntryRequest, { kind: 'corrected' }>;
  at: string;
}): EventRows {
  const { state, jug, request, at } = input;
  const { entryId, massG, volumeMl, strengthFrac = null, reason } = request;
  const done = state.entries.find(({ id, jugId }) => id === entryId && jugId === jug.id);
  const parts = done ? correctableOf(done.kind) : [];
  if (!done || parts.length === 0)
    return refuse('not_found', 'This jug has no such entry to correct.');
  const hasAmount = massG !== undefined || volumeMl !== undefined;
  if (
    (hasAmount && !parts.includes('amount')) ||
    (strengthFrac !== null && !parts.includes('strength'))
  )
    refuse('bad_body', `Of this entry the ${parts.join(' or the ')} can be corrected.`);
  const inG = (ml: number): number =>
    done.kind === 'watered'
      ? storedWaterG(ml)
      : massOfStoredG({ volumeMl: ml, strengthFrac: strengthFrac ?? jug.strengthFrac });
  const entry = entryOf({
    jugId: jug.id,
    id: request.id,
    kind: 'corrected',
    massG: 0,
    countedG: massG ?? (volumeMl === undefined ? null : inG(volumeMl)),
    strengthFrac,
    corrects: entryId,
    note: reason,
    request,
    at,
  });
  return recalculated({ state, from: done, entries: [entry], whyNot: 'It cannot have been so' });
}
