import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { z } from 'zod';

const asideSchema = z.array(z.object({ key: z.string(), text: z.string() }));
/** Something that this browser kept and that cannot be read any more. */
export type SetAside = z.infer<typeof asideSchema>[number];

const KEY = 'ratio.setAside';

/** What this browser kept in a shape of before: shown, exported or discarded, never guessed at. */
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
  try {
    const parsed = asideSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? '[]'));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}
