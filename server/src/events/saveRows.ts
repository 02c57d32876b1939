import type { EventRows, EventState } from '@ratio/core/events';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Database } from '../database/database.ts';

/**
 * Writes what a decision leads to.
 *
 * @param input.before the state that it was made on
 */
export async function saveRows(
  db: Database,
  input: {
    readonly caller: Caller;
    readonly rows: EventRows;
    readonly before: Pick<EventState, 'jugs'>;
    readonly transaction: Transaction;
  },
): Promise<void> {
  const { caller, rows, before, transaction } = input;
  const { shopId } = caller;
  for (const { id, version, ...body } of rows.batches ?? [])
    await db.batches.save(caller, { id, seenVersion: version - 1, body }, transaction);
  for (const { id, version: _, ...body } of rows.jugs ?? [])
    if (before.jugs.has(id)) await db.jugs.update(caller, { id, body }, transaction);
    else await db.jugs.save(caller, { id, seenVersion: 0, body }, transaction);
  for (const row of rows.observations ?? []) await db.observations.add(caller, row, transaction);
  for (const row of rows.entries ?? []) await db.jugEntries.add(caller, row, transaction);
  for (const row of rows.recalculated ?? []) {
    const { id, strengthFrac, caffeineMgPerG, pricePerKg, useBy } = row;
    const content = { id, strengthFrac, caffeineMgPerG, pricePerKg, useBy };
    await db.jugEntries.update(shopId, content, transaction);
  }
  if (rows.startedDraftId === undefined) return;
  const draft = await db.drafts.find(shopId, rows.startedDraftId, transaction);
  if (draft)
    await db.drafts.remove(caller, { id: draft.id, seenVersion: draft.version }, transaction);
}
