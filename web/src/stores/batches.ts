import {
  batchSchema,
  type Batch,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { z } from 'zod';
import { askOrLast } from '../api/askOrLast.ts';
import { useOutbox } from './outbox.ts';

const batchesSchema = z.array(batchSchema);

/** Batches, as the server keeps them. */
export const useBatches = defineStore('batches', () => {
  const outbox = useOutbox();
  const batches = shallowRef<Batch[]>([]);

  async function load(): Promise<void> {
    batches.value = await askOrLast(batchesSchema, '/api/batches');
  }

  /** @returns the batch; null while the start is kept here because the server does not answer */
  async function start(request: StartBatchRequest, what: string): Promise<Batch | null> {
    const write = { method: 'POST' as const, path: '/api/batches', body: request, what };
    const sent = await outbox.write(batchSchema, write);
    if (sent.kept) return null;
    await load();
    return sent.answer;
  }

  async function strain(batch: Batch, request: StrainBatchRequest): Promise<void> {
    const sent = await outbox.write(batchSchema, {
      method: 'POST',
      path: `/api/batches/${batch.id}/strain`,
      body: request,
      version: batch.version,
      what: `${batch.coffeeName}: strained`,
    });
    if (!sent.kept) await load();
  }

  return {
    batches,
    steeping: computed(() => batches.value.filter(({ status }) => status === 'steeping')),
    strained: computed(() =>
      batches.value.filter(({ status }) => status === 'strained').toReversed(),
    ),
    load,
    start,
    strain,
  };
});
