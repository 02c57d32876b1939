import { usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, watchEffect } from 'vue';
import { useStored } from '../sync/index.ts';

/** How this tablet shows things: units and theme. */
export const useSettings = defineStore('settings', () => {
  const units = useStored('ratio.units', 'metric');
  const theme = useStored('ratio.theme', 'system');
  const systemIsDark = usePreferredDark();
  const isNight = computed(
    () => theme.value === 'night' || (theme.value === 'system' && systemIsDark.value),
  );

  watchEffect(() => {
    document.documentElement.dataset['theme'] = isNight.value ? 'night' : 'day';
  });

  return {
    units,
    theme,
    isNight,
    toggleUnits: () => (units.value = units.value === 'metric' ? 'us' : 'metric'),
    toggleTheme: () => (theme.value = isNight.value ? 'day' : 'night'),
  };
});
