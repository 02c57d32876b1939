import {
  isUncleaned,
  MOST_LISTED,
  type Batch,
  type BatchInFull,
  type NoteRequest,
  type SplitBatchRequest,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import type { ShopEvent } from '@ratio/core/events';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { carryOut } from '../events/carryOut.ts';
import { probesOf } from '../instruments/probeHistory.ts';

export interface BatchService {
  /** The ones that ended first at the head. */
  readonly list: (caller: Caller, query: { readonly count: number }) => Promise<Batch[]>;
  /** Those that steep, each as `get` has it. */
  readonly running: (caller: Caller) => Promise<BatchInFull[]>;
  readonly get: (caller: Caller, id: string) => Promise<BatchInFull>;
  readonly start: (caller: Caller, request: StartBatchRequest) => Promise<Batch>;
  readonly note: (
    caller: Caller,
    input: { id: string; request: NoteRequest },
  ) => Promise<BatchInFull>;
  /** @returns the new batch */
  readonly split: (
    caller: Caller,
    input: { id: string; request: SplitBatchRequest },
  ) => Promise<Batch>;
  readonly strain: (
    caller: Caller,
    input: { id: string; seenVersion: number | null; request: StrainBatchRequest },
  ) => Promise<Batch>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

/** @returns the use cases of a batch; what may happen is decided by the core */
export function createBatchService(needs: Needs): BatchService {
  const { db, clock } = needs;
  const { batches } = db;
  const happened = (caller: Caller, event: ShopEvent) => carryOut(needs, caller, event);

  async function inFull({ shopId }: Caller, id: string): Promise<BatchInFull> {
    const batch = await batches.get(shopId, id);
    const actuals = await db.observations.about(shopId, id);
    const untilMs = batch.strainedAt ? Date.parse(batch.strainedAt) : clock.now().getTime();
    const probes = await probesOf(db, { shopId, batch, untilMs });
    const photos = await db.batchPhotos.briefly(shopId, id);
    return { ...batch, actuals: actuals.map(answered), photos, probes };
  }

  return {
    list: async ({ shopId }, { count }) => {
      const [latest, steeping] = await Promise.all([
        batches.list(shopId, { last: MOST_LISTED }),
        batches.list(shopId, { is: { status: 'steeping' } }),
      ]);
      const known = new Set(latest.map(({ id }) => id));
      const lastFrom = latest.length - count;
      return [
        ...steeping.filter(({ id }) => !known.has(id)),
        ...latest.filter(
          (batch, i) => i >= lastFrom || batch.status === 'steeping' || isUncleaned(batch),
        ),
      ];
    },
    running: async (caller) => {
      const steeping = await batches.list(caller.shopId, { is: { status: 'steeping' } });
      return Promise.all(steeping.map(({ id }) => inFull(caller, id)));
    },
    get: inFull,
    start: async (caller, request) => {
      await happened(caller, { kind: 'start', request });
      return batches.get(caller.shopId, request.id);
    },
    note: async (caller, { id, request }) => {
      await happened(caller, { kind: 'note', batchId: id, request });
      return inFull(caller, id);
    },
    split: async (caller, { id, request }) => {
      await happened(caller, { kind: 'split', batchId: id, request });
      return batches.get(caller.shopId, request.id);
    },
    strain: async (caller, { id, seenVersion, request }) => {
      await happened(caller, { kind: 'strain', batchId: id, seenVersion, request });
      return batches.get(caller.shopId, id);
    },
  };
}
