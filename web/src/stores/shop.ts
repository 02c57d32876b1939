import type { Vessel } from '@ratio/core/brew';
import type { Coffee } from '@ratio/core/coffee';
import type { Drink } from '@ratio/core/drink';
import type { Shop } from '@ratio/core/shop';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask } from '../api/client.ts';

const TICK_MS = 5000;

/** The shop and its shelf, and what its clock says. */
export const useShop = defineStore('shop', () => {
  const shop = shallowRef<Shop | null>(null);
  const coffees = shallowRef<Coffee[]>([]);
  const vessels = shallowRef<Vessel[]>([]);
  const drinks = shallowRef<Drink[]>([]);
  const now = ref(new Date());

  async function load(): Promise<void> {
    const [answer, allCoffees, allVessels, allDrinks] = await Promise.all([
      ask<Shop & { now: string; clockFrozen: boolean }>('/api/shop'),
      ask<Coffee[]>('/api/coffees'),
      ask<Vessel[]>('/api/vessels'),
      ask<Drink[]>('/api/drinks'),
    ]);
    coffees.value = allCoffees;
    vessels.value = allVessels;
    drinks.value = allDrinks;
    const { now: time, clockFrozen, ...own } = answer;
    followClock({ now: time, clockFrozen });
    shop.value = own;
  }

  let ticking: ReturnType<typeof setInterval> | undefined;
  function followClock(answer: { now: string; clockFrozen: boolean }): void {
    clearInterval(ticking);
    const aheadMs = Date.parse(answer.now) - Date.now();
    now.value = new Date(answer.now);
    if (!answer.clockFrozen)
      ticking = setInterval(() => (now.value = new Date(Date.now() + aheadMs)), TICK_MS);
  }

  return {
    shop,
    coffees,
    vessels,
    drinks,
    now,
    zone: computed(() => shop.value?.zone ?? 'UTC'),
    load,
  };
});
