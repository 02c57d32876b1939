import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { Bar, Draws, JugStrength, MenuCounter } from '../workers/menuCounter.ts';
import { useDrinks } from './drinks.ts';
import { usePantryDocuments } from './pantryDocuments.ts';
import { useShop } from './shop.ts';

/** What the menu takes of a jug, worked out beside the page. */
export const useDraws = defineStore('draws', () => {
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

  function ask(asker: string, jug: JugStrength): Promise<Draws | null> {
    counter ??= wrap<MenuCounter>(
      new Worker(new URL('../workers/menu.worker.ts', import.meta.url), { type: 'module' }),
    );
    if (known !== bar.value) {
      known = bar.value;
      void counter.know(JSON.parse(known) as Bar);
    }
    return counter.draws(asker, jug);
  }
  return { bar, ask };
});
