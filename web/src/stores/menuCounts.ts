import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { Bar, MenuCounter } from '../workers/menuCounter.ts';
import { useDrinks } from './drinks.ts';
import { usePantryDocuments } from './pantryDocuments.ts';
import { useShop } from './shop.ts';

/** The menu counted beside the page. */
export const useMenuCounts = defineStore('menuCounts', () => {
  const shelf = useShop();
  const drinks = useDrinks();
  const pantry = usePantryDocuments();
  let counter: Remote<MenuCounter> | undefined;
  let known = '';

  /** All that an answer rests on beside the jug, as a text; empty before the shop is known. */
  const bar = computed(() => {
    if (!shelf.shop) return '';
    const { roomC, fridgeC } = shelf.shop;
    const now: Bar = {
      drinks: drinks.today,
      own: pantry.items,
      houseRecipes: pantry.houseRecipes,
      rooms: { roomC, fridgeC },
    };
    return JSON.stringify(now);
  });

  return {
    bar,
    /** @returns a counter that knows the bar as it is */
    counter: (): Remote<MenuCounter> => {
      counter ??= wrap<MenuCounter>(
        new Worker(new URL('../workers/menu.worker.ts', import.meta.url), { type: 'module' }),
      );
      if (known !== bar.value) {
        known = bar.value;
        void counter.know(JSON.parse(known) as Bar);
      }
      return counter;
    },
  };
});
