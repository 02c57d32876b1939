import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue';
import { whenIdle } from './whenIdle.ts';

/** So many rows fill a laptop's page, or nearly. */
const PIECE = 12;

/** @returns the first rows of a list at once, and the rest piece by piece whenever the page is idle */
export function useInPieces<T>(all: () => readonly T[]): ComputedRef<readonly T[]> {
  const most = ref(PIECE);
  let stop = (): void => undefined;
  watch(
    [() => all().length, most],
    ([length, shown]) => {
      stop();
      if (length > shown) stop = whenIdle(() => (most.value += PIECE));
    },
    { immediate: true },
  );
  onScopeDispose(() => stop());
  return computed(() => all().slice(0, most.value));
}
