import type { SampleSet } from '@ratio/core/batch';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useDocuments } from '../sync/index.ts';

/** A set that is not started stands before every date. */
const NOT_STARTED = '~';

/** Sets of small jars, as the server keeps them, the one started last at the head. */
export const useSamples = defineStore('samples', () => {
  const { all, load, save } = useDocuments<SampleSet>('/api/samples');
  const sets = computed(() =>
    all.value.toSorted((a, b) =>
      (b.startedAt ?? NOT_STARTED).localeCompare(a.startedAt ?? NOT_STARTED),
    ),
  );
  return { sets, load, save };
});
