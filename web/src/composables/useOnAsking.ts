import { shallowRef, watch, type ShallowRef } from 'vue';

/**
 * What is fetched when somebody asks for the first time; where it did not come, when they ask again.
 *
 * @param asked what somebody asks for now
 * @returns null until it is here
 */
export function useOnAsking<T>(
  asked: () => unknown,
  fetchIt: () => Promise<T>,
): Readonly<ShallowRef<T | null>> {
  const it = shallowRef<T | null>(null);
  watch(asked, async () => (it.value ??= await fetchIt().catch(() => null)));
  return it;
}
