import { derivedId } from '../document/derivedId.ts';
import type { LedgerEntry, StoredJug } from '../jug/ledgerSchema.ts';
import type { JugEntryRequest } from '../jug/schema.ts';
import { refuse } from './decision.ts';
import { entryOf } from './ledgerEntry.ts';
import { recalculated } from './recalculated.ts';
import type { EventRows, EventState } from './state.ts';

const NOT_UNDONE: readonly LedgerEntry['kind'][] = ['filled', 'undone', 'blended-out'];

/**
 * Undoes a ledger row, the other half of a blend with it, and recalculates every jug that it reached.
 * Refuses where what happened since could not have been without it.
 */
export function undoRows(input: {
  state: EventState;
  jug: StoredJug;
  request: Extract<JugEntryRequest, { kind: 'undone' }>;
  at: string;
}): EventRows {
  const { state, jug, request, at } = input;
  const done = state.entries.find(({ id }) => id === request.entryId);
  if (!done || done.jugId !== jug.id || NOT_UNDONE.includes(done.kind))
    return refuse('not_found', 'This jug has no such entry to undo.');
  if (state.entries.some(({ undoes }) => undoes === done.id))
    refuse('already_exists', 'This was undone already.');
  const pair = state.entries.find(({ id }) => id === done.pairId);
  const undo = (id: string, row: LedgerEntry): LedgerEntry =>
    entryOf({ jugId: row.jugId, id, kind: 'undone', massG: -row.massG, undoes: row.id, at });
  const entries = [
    { ...undo(request.id, done), note: request.note || done.note, request },
    ...(pair ? [undo(derivedId(request.id, 'pair'), pair)] : []),
  ];
  return recalculated({ state, from: done, entries, whyNot: 'It cannot be undone' });
}
