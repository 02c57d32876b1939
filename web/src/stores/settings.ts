import type { ShopUnits } from '@ratio/core/units';
import { defineStore } from 'pinia';
import { ref, watchEffect } from 'vue';
import { useStored } from '../composables/useStored.ts';

/** How this tablet shows things: units and theme. */
export const useSettings = defineStore('settings', () => {
  const units = useStored<ShopUnits>('ratio.units', 'metric');
  const theme = useStored<'system' | 'day' | 'night'>('ratio.theme', 'system');
  const dark = window.matchMedia('(prefers-color-scheme: dark)');
  const systemIsDark = ref(dark.matches);
  dark.addEventListener('change', ({ matches }) => (systemIsDark.value = matches));

  watchEffect(() => {
    const night = theme.value === 'night' || (theme.value === 'system' && systemIsDark.value);
    document.documentElement.dataset['theme'] = night ? 'night' : 'day';
  });

  return {
    units,
    theme,
    toggleUnits: () => (units.value = units.value === 'metric' ? 'us' : 'metric'),
    toggleTheme: () =>
      (theme.value = document.documentElement.dataset['theme'] === 'night' ? 'day' : 'night'),
  };
});
