import type { SampleSet } from '@ratio/core/batch';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { ask } from '../api/client.ts';

/** Sets of small jars, as the server keeps them, the one started last at the head. */
export const useSamples = defineStore('samples', () => {
  const sets = shallowRef<SampleSet[]>([]);

  async function load(): Promise<void> {
    const all = await ask<SampleSet[]>('/api/samples');
    sets.value = all.sort((a, b) => (b.startedAt ?? '~').localeCompare(a.startedAt ?? '~'));
  }

  async function save(set: SampleSet): Promise<SampleSet> {
    const { id, version, ...body } = set;
    const saved = await ask<SampleSet>(`/api/samples/${id}`, { method: 'PUT', body, version });
    await load();
    return saved;
  }

  return { sets, load, save };
});
