import { useEventListener } from '@vueuse/core';

/** Pedals press Page Down and Page Up, whatever has the focus. */
export function usePedals(input: { ahead: () => unknown; back: () => unknown }): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.key !== 'PageDown' && event.key !== 'PageUp') return;
    event.preventDefault();
    if (event.repeat) return;
    if (event.key === 'PageDown') input.ahead();
    else input.back();
  });
}
