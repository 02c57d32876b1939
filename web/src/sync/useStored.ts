import { useStorage } from '@vueuse/core';
import type { Ref } from 'vue';
import { isOurs, keptText, keptValue } from './ours.ts';
import type { Kept } from './shapes.ts';
import { useSetAside } from './setAside.ts';

/**
 * A value that this browser keeps through a reload. What a program of other shapes kept has been checked
 * before a page stands; what comes from one meanwhile is set aside.
 *
 * @param key name under which it is kept
 * @param initial value where nothing is kept
 */
export function useStored<K extends keyof Kept>(key: K, initial: Kept[K]): Ref<Kept[K]> {
  const aside = useSetAside();
  return useStorage<Kept[K]>(key, initial, localStorage, {
    writeDefaults: false,
    // Another tab is treated as another tablet: its changes arrive from the server.
    listenToStorageChanges: false,
    serializer: {
      read: (text) => {
        try {
          if (isOurs(text)) return keptValue(text) as Kept[K];
        } catch {
          // A text that is cut off is set aside, like one of another shape.
        }
        aside.add({ key, text });
        return initial;
      },
      write: keptText,
    },
  });
}
