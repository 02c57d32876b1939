import { useEventListener } from '@vueuse/core';
import type { Ref } from 'vue';

/**
 * Takes what is typed while a field is still on its way, so that its first letters are neither lost nor
 * taken for keys of the page.
 *
 * @param of.waits whether the field is asked for
 * @param of.text what is typed into it
 */
export function useTypedAhead(input: { waits: Readonly<Ref<boolean>>; text: Ref<string> }): void {
  const { waits, text } = input;
  const take = (event: KeyboardEvent): void => {
    if (!waits.value || event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey)
      return;
    const target = event.target as HTMLElement;
    if (target.closest('input, textarea')) return;
    // A space presses the button that it stands on.
    if (event.key === ' ' && target.closest('[role="dialog"] button')) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    text.value += event.key;
  };
  // Before the keys of the page hear of it.
  useEventListener(window, 'keydown', take, { capture: true });
}
