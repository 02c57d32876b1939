import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue';
import { whenIdle } from './whenIdle.ts';

/**
 * The first rows of a list at once, and the rest piece by piece whenever the page is idle.
 *
 * @param piece rows that are put up in one go, above 0
 */
export function useInPieces<T>(all: () => readonly T[], piece: number): ComputedRef<readonly T[]> {
  const most = ref(piece);
  // A last few are no piece of their own.
  const isWhole = computed(() => all().length - most.value < piece / 2);
  let stop = (): void => undefined;
  watch(
    [() => all().length, most],
    () => {
      stop();
      if (!isWhole.value) stop = whenIdle(() => (most.value += piece));
    },
    { immediate: true },
  );
  onScopeDispose(() => stop());
  return computed(() => (isWhole.value ? all() : all().slice(0, most.value)));
}
