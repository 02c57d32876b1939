import type { Batch, Observation } from '../batch/schema.ts';
import type { ProbeHistory } from '../batch/places.ts';
import type { LedgerEntry, StoredJug } from '../jug/ledgerSchema.ts';

/**
 * What decisions about batches and jugs depend on. It may be a part of the shop's history, as long as it
 * holds every batch that steeps, every jug that is not empty, and what the request names.
 */
export interface EventState {
  readonly batches: ReadonlyMap<string, Batch>;
  /** By batch, in the order of writing. */
  readonly observations: ReadonlyMap<string, readonly Observation[]>;
  /** Temperatures that probes measured, by batch. */
  readonly probes: ReadonlyMap<string, readonly ProbeHistory[]>;
  /** As their ledgers have them; one on its grounds as it was when the steep began. */
  readonly jugs: ReadonlyMap<string, StoredJug>;
  /** Ledger rows of all those jugs, in the order of writing. */
  readonly entries: readonly LedgerEntry[];
}

export const EMPTY_STATE: EventState = Object.freeze({
  batches: new Map(),
  observations: new Map(),
  probes: new Map(),
  jugs: new Map(),
  entries: [],
});

/** What a decision writes. */
export interface EventRows {
  /** New ones in version 1, changed ones one version later than they were. */
  readonly batches?: readonly Batch[];
  /** Added. */
  readonly observations?: readonly Observation[];
  /** New ones, and those whose content follows from their ledger; their versions stay. */
  readonly jugs?: readonly StoredJug[];
  /** Added. */
  readonly entries?: readonly LedgerEntry[];
  /** Rows from before whose resulting content is recalculated. */
  readonly recalculated?: readonly LedgerEntry[];
  /** A draft that is a batch from now on. */
  readonly startedDraftId?: string;
}

/** @returns the state after rows were written */
export function withRows(state: EventState, rows: EventRows): EventState {
  const { batches = [], observations = [], jugs = [], entries = [], recalculated = [] } = rows;
  const byBatch = new Map(state.observations);
  // Of a new batch everything that was observed is known.
  for (const { id } of batches) if (!state.batches.has(id)) byBatch.set(id, []);
  for (const one of observations)
    byBatch.set(one.batchId, [...(byBatch.get(one.batchId) ?? []), one]);
  const changed = new Map(recalculated.map((row) => [row.id, row]));
  return {
    ...state,
    batches: new Map([...state.batches, ...batches.map((batch) => [batch.id, batch] as const)]),
    observations: byBatch,
    jugs: new Map([...state.jugs, ...jugs.map((jug) => [jug.id, jug] as const)]),
    entries: [...state.entries.map((row) => changed.get(row.id) ?? row), ...entries],
  };
}
