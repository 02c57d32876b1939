import { reckonDrink, type Drink, type Jug, type ReckonDrinkResponse } from '@ratio/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useJugs } from './jugs.ts';
import { useShop } from './shop.ts';

/** A drink of the menu, solved for a jug. */
export interface MenuRow {
  readonly drink: Drink;
  readonly solution: ReckonDrinkResponse;
}

/** @returns a drink solved from a jug in the shop's room */
export const solveFrom = (input: {
  drink: Drink;
  jug: Pick<Jug, 'strengthFrac' | 'caffeineMgPerG'>;
  roomC: number;
  fridgeC: number;
}): ReckonDrinkResponse => {
  const { cupMl, ice, additions, fillWith, target, stirredDown } = input.drink;
  const { strengthFrac, caffeineMgPerG } = input.jug;
  return reckonDrink({
    cupMl,
    concentrate: { strengthFrac, tempC: input.fridgeC, caffeineMgPerG },
    ice,
    additions,
    fillWith,
    target,
    roomC: input.roomC,
    stirredDown,
  });
};

/** The whole menu from the jug in hand. */
export const useMenu = defineStore('menu', () => {
  const shelf = useShop();
  const jugs = useJugs();
  const rows = computed<MenuRow[]>(() => {
    const { shop, drinks } = shelf;
    const jug = jugs.chosen;
    if (!shop || !jug) return [];
    const { roomC, fridgeC } = shop;
    return drinks.map((drink) => ({ drink, solution: solveFrom({ drink, jug, roomC, fridgeC }) }));
  });

  /** How many of each drink a brew makes; 0 where it is too weak for one. */
  function poursOf(brew: { brewG: number; strengthFrac: number; caffeineMgPerG: number }) {
    const { shop, drinks } = shelf;
    if (!shop) return [];
    const { roomC, fridgeC } = shop;
    return drinks.map((drink) => {
      const { status, concentrateG } = solveFrom({ drink, jug: brew, roomC, fridgeC });
      const count =
        status === 'met' && concentrateG > 0 ? Math.floor(brew.brewG / concentrateG) : 0;
      return { drink, count, concentrateG };
    });
  }

  return {
    rows,
    poursOf,
    outOfReach: computed(() => rows.value.filter(({ solution }) => solution.status !== 'met')),
  };
});
