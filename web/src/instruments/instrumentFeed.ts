import { createEventHook } from '@vueuse/core';
import { defineStore } from 'pinia';
import { onScopeDispose, ref } from 'vue';

/** Between the one stream of changes and whoever watches instruments: pages that do not, hear nothing of them. */
export const useInstrumentFeed = defineStore('instrumentFeed', () => {
  const watching = ref(0);
  const said = createEventHook<string>();
  const changed = createEventHook();
  return {
    /** How many parts of the page watch. */
    watching,
    /** What an instrument said, as JSON. */
    said,
    /** The list of them changed. */
    changed,
    /** Watches as long as whoever asks is there. */
    watchHere(): void {
      watching.value += 1;
      onScopeDispose(() => (watching.value -= 1));
    },
  };
});
