import { decide, type EventRows, type ShopEvent } from '@ratio/core/events';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { ProblemError } from '../problem.ts';
import { loadContext } from './loadContext.ts';
import { loadState } from './loadState.ts';
import { saveRows } from './saveRows.ts';

/**
 * Carries out a request: loads what it depends on, decides, and saves the rows in one transaction.
 *
 * @throws {ProblemError} with the reason where it is refused
 */
export async function carryOut(
  { db, clock, changes }: { db: Database; clock: Clock; changes: Changes },
  caller: Caller,
  event: ShopEvent,
): Promise<void> {
  const { shopId } = caller;
  const rows = await db.write(async (transaction) => {
    const context = await loadContext(db, { shopId, clock, transaction });
    const before = await loadState({ db, shopId, transaction }, event, context.nowMs);
    const decision = decide(before, event, context);
    if (decision.status === 'refused') {
      const { code, detail, issues, current } = decision;
      throw new ProblemError(code, detail, { ...(issues && { issues: [...issues] }), current });
    }
    await saveRows(db, { caller, rows: decision.rows, before, transaction });
    return decision.rows;
  });
  for (const id of changedIds(
    rows.batches,
    rows.observations?.map(({ batchId }) => batchId),
  ))
    changes.publish(caller, { noun: 'batches', id });
  for (const id of changedIds(rows.jugs)) changes.publish(caller, { noun: 'jugs', id });
  if (rows.startedDraftId !== undefined)
    changes.publish(caller, { noun: 'drafts', id: rows.startedDraftId });
}

const changedIds = (
  documents: EventRows['batches'] | EventRows['jugs'],
  others: readonly string[] = [],
): ReadonlySet<string> => new Set([...(documents ?? []).map(({ id }) => id), ...others]);
