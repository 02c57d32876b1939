import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue';
import { whenIdle } from './whenIdle.ts';

/** So many rows fill a laptop's page, or nearly; and so many more are one short task. */
const FIRST = 12;
const PIECE = 6;

/**
 * The first rows of a list at once, and the rest piece by piece whenever the page is idle.
 *
 * @param of.first rows that stand at once, above 0
 * @param of.piece rows that are put up in one go later, above 0
 */
export function useInPieces<T>(
  all: () => readonly T[],
  { first = FIRST, piece = PIECE }: { first?: number; piece?: number } = {},
): ComputedRef<readonly T[]> {
  const most = ref(first);
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
