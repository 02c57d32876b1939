import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { isObject, readJson } from './json.ts';

/** Something that this browser kept and that cannot be read any more. */
export interface SetAside {
  readonly key: string;
  readonly text: string;
}

const KEY = 'ratio.setAside';

/** Stored values of an older shape that cannot be read: they are shown, exported or discarded, never guessed. */
export const useSetAside = defineStore('setAside', () => {
  const all = shallowRef<readonly SetAside[]>(kept());

  function write(next: readonly SetAside[]): void {
    all.value = next;
    localStorage.setItem(KEY, JSON.stringify(next));
  }

  return {
    all,
    /** Sets a text aside, once. */
    add({ key, text }: SetAside): void {
      if (!all.value.some((one) => one.key === key && one.text === text))
        write([...all.value, { key, text }]);
    },
    discard: () => write([]),
    /** As a file to keep. */
    exported: () => JSON.stringify(all.value, null, 2),
  };
});

function kept(): readonly SetAside[] {
  const found = readJson(localStorage.getItem(KEY) ?? '[]');
  return Array.isArray(found) && found.every(isSetAside) ? found : [];
}

const isSetAside = (one: unknown): one is SetAside =>
  isObject(one) && typeof one['key'] === 'string' && typeof one['text'] === 'string';
