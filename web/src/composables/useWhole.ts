import { promiseTimeout } from '@vueuse/core';
import { ref, type Ref } from 'vue';

const MOST_WAIT_MS = 1000;

/**
 * @param reads what stands together; none of them fails
 * @returns whether all of it has been read, or a second is over: put up then, nothing moves when more of it comes
 */
export function useWhole(reads: readonly Promise<unknown>[]): Readonly<Ref<boolean>> {
  const isWhole = ref(false);
  void Promise.race([Promise.all(reads), promiseTimeout(MOST_WAIT_MS)]).then(
    () => (isWhole.value = true),
  );
  return isWhole;
}
