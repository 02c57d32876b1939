import {
  batchSchema,
  type Batch,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { z } from 'zod';
import { ask } from '../api/client.ts';

const batchesSchema = z.array(batchSchema);

/** Batches, as the server keeps them. */
export const useBatches = defineStore('batches', () => {
  const batches = shallowRef<Batch[]>([]);

  async function load(): Promise<void> {
    batches.value = await ask(batchesSchema, '/api/batches');
  }

  async function start(request: StartBatchRequest): Promise<Batch> {
    const batch = await ask(batchSchema, '/api/batches', { method: 'POST', body: request });
    await load();
    return batch;
  }

  async function strain(batch: Batch, request: StrainBatchRequest): Promise<void> {
    const path = `/api/batches/${batch.id}/strain`;
    await ask(batchSchema, path, { method: 'POST', body: request, version: batch.version });
    await load();
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
