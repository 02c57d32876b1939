import type { Batch, StartBatchRequest, StrainBatchRequest } from '@ratio/core/batch';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { ask } from '../api/client.ts';

/** Batches, as the server keeps them. */
export const useBatches = defineStore('batches', () => {
  const batches = shallowRef<Batch[]>([]);

  async function load(): Promise<void> {
    batches.value = await ask<Batch[]>('/api/batches');
  }

  async function start(request: StartBatchRequest): Promise<Batch> {
    const batch = await ask<Batch>('/api/batches', { method: 'POST', body: request });
    await load();
    return batch;
  }

  async function strain(batch: Batch, request: StrainBatchRequest): Promise<void> {
    const path = `/api/batches/${batch.id}/strain`;
    await ask(path, { method: 'POST', body: request, version: batch.version });
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
