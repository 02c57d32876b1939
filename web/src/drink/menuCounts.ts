import type { Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { Bar, MenuCounter } from './menuCounter.ts';
import { useDrinks } from './drinks.ts';
import { usePantryDocuments } from '../pantry/index.ts';
import { useShop } from '../shop/index.ts';

/** The menu counted beside the page. */
export const useMenuCounts = defineStore('menuCounts', () => {
  const shop = useShop();
  const drinks = useDrinks();
  const pantry = usePantryDocuments();
  let starting: Promise<Remote<MenuCounter>> | undefined;
  let known = '';

  /** All that an answer rests on beside the jug, as a text; empty before the shop is known. */
  const bar = computed(() => {
    if (!shop.document) return '';
    const { roomC, fridgeC } = shop.document;
    const now: Bar = {
      drinks: drinks.today,
      own: pantry.items,
      houseRecipes: pantry.houseRecipes,
      rooms: { roomC, fridgeC },
    };
    return JSON.stringify(now);
  });

  // What speaks with a worker is fetched with it; where that did not come, it is asked for again.
  async function start(): Promise<Remote<MenuCounter>> {
    try {
      const { wrap } = await import('comlink');
      return wrap<MenuCounter>(
        new Worker(new URL('./menu.worker.ts', import.meta.url), { type: 'module' }),
      );
    } catch (error) {
      starting = undefined;
      throw error;
    }
  }

  return {
    bar,
    /** @returns a counter that knows the bar as it is */
    async counter(): Promise<Remote<MenuCounter>> {
      const counter = await (starting ??= start());
      if (known !== bar.value) {
        known = bar.value;
        void counter.know(JSON.parse(known) as Bar);
      }
      return counter;
    },
  };
});
