import { useMediaQuery } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import { onPhone } from '../ui/browser/index.ts';

/** @returns how wide the drawings of a plan stand, px: drawn so wide, their letters keep their size */
export function useDrawnWidth(): ComputedRef<number> {
  const isPhone = onPhone();
  const isTablet = useMediaQuery('(max-width: 1100px)');
  return computed(() => (isPhone.value ? 360 : isTablet.value ? 420 : 560));
}
