import { vesselSchema } from '@ratio/core/brew';
import { coffeeSchema } from '@ratio/core/coffee';
import { shopSchema, type Shop } from '@ratio/core/shop';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { z } from 'zod';
import { ask } from '../api/client.ts';
import { useDocuments, type Documents } from '../composables/useDocuments.ts';

const TICK_MS = 5000;
const answerSchema = shopSchema.extend({ now: z.iso.datetime(), clockFrozen: z.boolean() });

/** The shop and its shelf, and what its clock says. */
export const useShop = defineStore('shop', () => {
  const shop = shallowRef<Shop | null>(null);
  const coffees = useDocuments('/api/coffees', coffeeSchema);
  const vessels = useDocuments('/api/vessels', vesselSchema);
  const now = ref(new Date());

  async function loadShop(): Promise<void> {
    const { now: time, clockFrozen, ...own } = await ask(answerSchema, '/api/shop');
    followClock(new Date(time), clockFrozen);
    shop.value = own;
  }
  async function load(): Promise<void> {
    await Promise.all([loadShop(), coffees.load(), vessels.load()]);
  }

  let aheadMs = 0;
  const ticking = useIntervalFn(() => (now.value = new Date(Date.now() + aheadMs)), TICK_MS, {
    immediate: false,
  });
  function followClock(time: Date, isFrozen: boolean): void {
    aheadMs = time.getTime() - Date.now();
    now.value = time;
    if (isFrozen) ticking.pause();
    else ticking.resume();
  }

  /** The shop itself, written as any document. */
  const shops: Pick<Documents<Shop>, 'load' | 'save'> = {
    load: loadShop,
    save: async ({ id: _, version, ...body }) => {
      const saved = await ask(shopSchema, '/api/shop', { method: 'PUT', body, version });
      await loadShop();
      return saved;
    },
  };

  return {
    shop,
    coffees: coffees.all,
    vessels: vessels.all,
    now,
    zone: computed(() => shop.value?.zone ?? 'UTC'),
    load,
    /** How each is written. */
    documents: { shops, coffees, vessels },
  };
});
