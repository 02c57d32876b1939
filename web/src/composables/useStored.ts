import { ref, watch, type Ref } from 'vue';

/**
 * A value that this browser keeps through a reload.
 *
 * @param key name under which it is kept
 * @param initial value where nothing (or nothing readable) is kept
 */
export function useStored<T>(key: string, initial: T): Ref<T> {
  const value = ref(read(key, initial)) as Ref<T>;
  watch(value, (now) => localStorage.setItem(key, JSON.stringify(now)), { deep: true });
  return value;
}

function read<T>(key: string, initial: T): T {
  try {
    const kept = localStorage.getItem(key);
    return kept === null ? initial : (JSON.parse(kept) as T);
  } catch {
    return initial;
  }
}
