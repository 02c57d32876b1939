import { NOTHING_NOTED, scalePlan, type Batch, type SplitBatchRequest } from '@ratio/core/batch';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { derivedId } from '../derivedId.ts';
import { ProblemError } from '../problem.ts';
import { requireGoesInto } from './notes.ts';

/** What happened to the slurry before it was split happened to both. */
const SHARED_KINDS = ['temperature', 'agitated', 'moved', 'read'];

/**
 * Splits a running batch: a share of it steeps on in another vessel as a batch of its own, with the same
 * clock and the same history.
 *
 * @returns the new batch; the one that was made before where the request comes again
 * @throws {ProblemError} already_exists, not_found, not_possible_now, out_of_range
 */
export async function splitBatch(of: {
  db: Database;
  clock: Clock;
  caller: Caller;
  transaction: Transaction;
  id: string;
  request: SplitBatchRequest;
}): Promise<Batch> {
  const { db, clock, caller, transaction, id, request } = of;
  const { shopId } = caller;
  const { shareFrac, note } = request;
  const rowId = derivedId(request.id, 'split-off');
  const made = await db.batches.find(shopId, request.id, transaction);
  if (made) {
    const row = await db.batchActuals.find(shopId, rowId, transaction);
    if (row?.batchId === id && row.shareFrac === shareFrac) return made;
    throw new ProblemError('already_exists', 'There is another batch with this id.');
  }
  const batch = await db.batches.get(shopId, id, transaction);
  const noting = { db, clock, caller, batch, transaction };
  const vessel = await requireGoesInto({ ...noting, vesselId: request.vesselId, shareFrac });
  const rows = await db.batchActuals.about(shopId, id, transaction);
  const at = clock.momentOf(request.at).toISOString();
  const { plan, predicted } = batch;
  const { id: _, version: __, ...same } = batch;
  const body: Omit<Batch, 'id' | 'version'> = {
    ...same,
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
  const split = await db.batches.save(
    caller,
    { id: request.id, seenVersion: 0, body },
    transaction,
  );
  for (const row of rows.map(answered).filter(({ kind }) => SHARED_KINDS.includes(kind))) {
    const { author: ___, ...seen } = row;
    const own = { ...seen, id: derivedId(`${request.id} ${row.id}`, 'shared'), batchId: split.id };
    await db.batchActuals.add(caller, { ...own, step: null }, transaction);
  }
  const parted = { ...NOTHING_NOTED, id: rowId, batchId: id, at, shareFrac, note };
  await db.batchActuals.add(
    caller,
    { ...parted, kind: 'split-off', vesselId: vessel.id },
    transaction,
  );
  return split;
}
