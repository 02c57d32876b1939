import { onClickOutside, useEventListener } from '@vueuse/core';
import { nextTick, toRef, watch, type ShallowRef } from 'vue';

/**
 * A panel that is open beside what was touched: a touch elsewhere or Escape closes it, and the keys go in
 * with it and come back.
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
      // Whoever was in it goes on from where they asked; whoever touched something else is there.
      else if (last !== undefined && panel.value?.contains(document.activeElement))
        anchor()?.focus({ preventScroll: true });
    },
    { immediate: true },
  );
}
