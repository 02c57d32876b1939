import { useEventListener } from '@vueuse/core';
import type { Ref } from 'vue';

/**
 * Collects what is typed before a field has loaded, so that the first letters are neither lost nor read as
 * shortcuts of the page.
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
    // A space presses the focused button.
    if (event.key === ' ' && target.closest('[role="dialog"] button')) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    text.value += event.key;
  };
  // Before the shortcuts of the page.
  useEventListener(window, 'keydown', take, { capture: true });
}
