import { useIntervalFn } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useShop } from './shop.ts';

const TICK_MS = 250;

/** The server's clock while somebody watches it, ms since 1970 UTC: the same second on every tablet. */
export function useSecondsMs(): Readonly<Ref<number>> {
  const shop = useShop();
  const nowMs = ref(shop.readMs());
  useIntervalFn(() => {
    // Whole seconds: nothing is drawn anew in between.
    const ms = Math.floor(shop.readMs() / 1000) * 1000;
    if (ms !== nowMs.value) nowMs.value = ms;
  }, TICK_MS);
  return nowMs;
}
