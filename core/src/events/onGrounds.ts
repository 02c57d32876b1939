import type { Batch } from '../batch/schema.ts';
import { brewAt } from '../batch/strain.ts';
import type { Coffee } from '../coffee/schema.ts';
import { derivedId } from '../document/derivedId.ts';
import type { StoredJug } from '../jug/ledgerSchema.ts';
import { pricePerKgOfBrew } from '../batch/pricePerKgOfBrew.ts';
import type { EventContext } from './decision.ts';
import { filledJug } from './filledJug.ts';
import { entryOf } from './ledgerEntry.ts';
import type { EventRows, EventState } from './state.ts';

/** Identity of the jug that a batch is while it is left on its grounds. */
export const onGroundsId = (batchId: string): string => derivedId(batchId, 'on-grounds');

/** @returns rows by which a batch that is left on its grounds can be poured from at once */
export function fillOnGrounds(
  batch: Batch,
  { coffee, context }: { coffee: Coffee; context: EventContext },
): EventRows {
  const { vesselName, coffeeName, predicted, plan, startedAt } = batch;
  const { strengthFrac, caffeineMgPerG, brewG } = predicted;
  if (brewG <= 0) return {};
  return filledJug({
    id: onGroundsId(batch.id),
    massG: brewG,
    context,
    jug: {
      label: `${vesselName}, on its grounds`,
      coffeeName,
      batchId: batch.id,
      onGrounds: true,
      vesselId: null,
      capacityMl: null,
      filledRange: null,
      strengthFrac,
      readBy: 'prediction',
      caffeineMgPerG,
      pricePerKg: pricePerKgOfBrew({ pricePerKg: coffee.pricePerKg, doseG: plan.doseG, brewG }),
      madeAt: startedAt,
    },
  });
}

/** @returns a jug as it is at an instant: one on its grounds grows stronger by the hour */
export function jugAt(state: EventState, jug: StoredJug, atMs: number): StoredJug {
  if (!jug.onGrounds || jug.batchId === null) return jug;
  const batch = state.batches.get(jug.batchId);
  return batch?.status === 'steeping' ? { ...jug, ...brewAt({ batch, atMs }) } : jug;
}

/** @returns what was poured off a batch while it stood on its grounds, g, 0 or more */
export function drawnOffG(state: EventState, batch: Pick<Batch, 'id' | 'predicted'>): number {
  const jug = state.jugs.get(onGroundsId(batch.id));
  return jug ? Math.max(0, batch.predicted.brewG - jug.onHandG) : 0;
}

/** @returns rows that empty the jug on the grounds: the batch was strained, or given up */
export function endOnGrounds(state: EventState, batchId: string, at: string): EventRows {
  const jug = state.jugs.get(onGroundsId(batchId));
  if (!jug) return {};
  const entry = entryOf({
    jugId: jug.id,
    id: derivedId(batchId, 'off-grounds'),
    kind: 'counted',
    massG: -jug.onHandG,
    countedG: 0,
    note: 'strained',
    at,
  });
  return { jugs: [{ ...jug, onHandG: 0 }], entries: [entry] };
}
