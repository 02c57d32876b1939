import { useEventListener } from '@vueuse/core';
import type { Ref } from 'vue';

/**
 * Takes what is typed while a field is still on its way, so that its first letters are not lost.
 *
 * @param of.waits whether the field is asked for
 * @param of.text what is typed into it
 */
export function useTypedAhead(of: { waits: Readonly<Ref<boolean>>; text: Ref<string> }): void {
  const { waits, text } = of;
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (!waits.value || event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey)
      return;
    if ((event.target as HTMLElement).closest('input, textarea')) return;
    // The key that asked for it is no letter of it.
    if (event.defaultPrevented) return;
    event.preventDefault();
    text.value += event.key;
  });
}
