import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue';
import { whenIdle } from './whenIdle.ts';

/** So many rows are one short task. */
const PIECE = 6;

/**
 * The first rows of a list at once, and the rest piece by piece whenever the page is idle.
 *
 * @param piece rows that are put up in one go, above 0
 */
export function useInPieces<T>(all: () => readonly T[], piece = PIECE): ComputedRef<readonly T[]> {
  const most = ref(piece);
  let stop = (): void => undefined;
  watch(
    [() => all().length, most],
    ([length, shown]) => {
      stop();
      if (length - shown >= piece) stop = whenIdle(() => (most.value += piece));
    },
    { immediate: true },
  );
  onScopeDispose(() => stop());
  // A last few are no piece of their own.
  return computed(() => {
    const rows = all();
    return rows.length - most.value < piece ? rows : rows.slice(0, most.value);
  });
}
