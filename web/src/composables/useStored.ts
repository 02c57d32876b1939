import { useStorage } from '@vueuse/core';
import type { Ref } from 'vue';
import type { z } from 'zod';
import { useSetAside } from '../stores/setAside.ts';

/**
 * A value that this browser keeps through a reload. What it holds and cannot be read any more is set
 * aside, not lost and not taken for something else.
 *
 * @param key name under which it is kept
 * @param schema what it must be
 * @param initial value where nothing is kept
 */
export function useStored<T>(key: string, schema: z.ZodType<T>, initial: T): Ref<T> {
  const aside = useSetAside();
  return useStorage<T>(key, initial, localStorage, {
    writeDefaults: false,
    // Another tab of this tablet is another hand: what it changes comes by the server.
    listenToStorageChanges: false,
    serializer: {
      read: (text) => {
        const parsed = schema.safeParse(readJson(text));
        if (parsed.success) return parsed.data;
        aside.add({ key, text });
        return initial;
      },
      write: (value) => JSON.stringify(value),
    },
  });
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
