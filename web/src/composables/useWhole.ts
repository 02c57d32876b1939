import { promiseTimeout } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { nextTask } from './nextTask.ts';

const MOST_WAIT_MS = 1000;

/**
 * @param reads what stands together; none of them fails
 * @returns whether all of it has been read, or a second is over: put up then, nothing moves when more of it comes
 */
export function useWhole(reads: readonly Promise<unknown>[]): Readonly<Ref<boolean>> {
  const isWhole = ref(false);
  // What the answers change elsewhere is a task already.
  void Promise.race([Promise.all(reads), promiseTimeout(MOST_WAIT_MS)])
    .then(nextTask)
    .then(() => (isWhole.value = true));
  return isWhole;
}
