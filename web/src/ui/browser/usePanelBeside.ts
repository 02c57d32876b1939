import { onClickOutside, useEventListener } from '@vueuse/core';
import { nextTick, toRef, watch, type ShallowRef } from 'vue';

/**
 * A panel beside the element that opened it. A touch elsewhere or Escape closes it; the focus moves into it and
 * returns.
 *
 * @param of.shown what is in it; undefined while it is closed
 * @param of.anchor what was touched; a touch on it is its own
 */
export function usePanelBeside(input: {
  panel: Readonly<ShallowRef<HTMLElement | null>>;
  anchor: () => HTMLElement | null;
  shown: () => string | undefined;
  close: () => void;
}): void {
  const { panel, anchor, shown, close } = input;
  const closeIfOpen = (): void => {
    if (shown() !== undefined) close();
  };
  onClickOutside(panel, closeIfOpen, { ignore: [toRef(anchor)] });
  useEventListener('keydown', ({ key }: KeyboardEvent) => {
    if (key === 'Escape') closeIfOpen();
  });
  watch(
    shown,
    async (now, last) => {
      await nextTick();
      if (now !== undefined) panel.value?.focus({ preventScroll: true });
      // Focus inside the panel returns to the opener; focus that moved elsewhere stays there.
      else if (last !== undefined && panel.value?.contains(document.activeElement))
        anchor()?.focus({ preventScroll: true });
    },
    { immediate: true },
  );
}
