import {
  createMenuSolver,
  drinkCost,
  drawnG,
  drinksLeft,
  drinkRequest,
  type Drink,
  type DrinkCost,
  type SolvedDrink,
} from '@ratio/core/drink';
import type { Jug } from '@ratio/core/jug';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useDrinks } from './drinks.ts';
import { useJugs } from '../events/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useShop } from '../shop/index.ts';

/** Coffee that a drink can be poured from. */
export type PouredFrom = Pick<Jug, 'strengthFrac' | 'caffeineMgPerG'> & {
  readonly pricePerKg?: number | null;
};

/** A drink of the menu, solved for a jug, and what it comes to. */
export interface MenuRow extends SolvedDrink {
  readonly drink: Drink;
  /** Strength that it is to have; what it has where the target is parts or an amount by hand. */
  readonly wantedFrac: number;
  readonly cost: DrinkCost;
  /** Price less cost over price; null where a cost is not known or nothing is asked. */
  readonly marginFrac: number | null;
  /** How many the jug still holds; 0 where it is out of reach, Infinity where it takes nothing from it. */
  readonly left: number;
}

/** @returns price less cost over price; null where a cost is not known or nothing is asked */
export const marginFracOf = ({ price }: Drink, cost: DrinkCost): number | null =>
  cost.unknown.length === 0 && price > 0 ? 1 - cost.price / price : null;

/** The whole menu from the jug in hand. */
export const useMenu = defineStore('menu', () => {
  const shop = useShop();
  const drinks = useDrinks();
  const jugs = useJugs();
  const pantry = usePantry();

  const solver = computed(() => createMenuSolver(pantry.pantry));
  /**
   * A drink solved in the shop's rooms, by what the pantry holds; null before they are known, and
   * while one of its ingredients is not there (fetched later, or taken off the shelf on another tablet).
   */
  function solve(drink: Drink, from: PouredFrom): SolvedDrink | null {
    const { document: details } = shop;
    if (!details || !pantry.holds(drink)) return null;
    const today = drinks.asToday(drink);
    const solved = solver.value(drinkRequest({ drink: today, jug: from, shop: details }));
    return { ...solved, cautions: [...solved.cautions, ...pantry.pastIn(drink)] };
  }

  function costOf(solved: SolvedDrink, from: PouredFrom): DrinkCost {
    const { input, solution } = solved;
    return drinkCost({
      drink: input,
      solution,
      concentratePricePerKg: from.pricePerKg ?? null,
    });
  }

  const countIn = (solved: SolvedDrink, onHandG: number): number =>
    drinksLeft({ eachG: drawnG(solved), onHandG });

  function countOf(from: PouredFrom & { onHandG: number }, drink: Drink): number {
    const solved = solve(drink, from);
    return solved ? countIn(solved, from.onHandG) : 0;
  }

  function rowOf(drink: Drink, from: PouredFrom & { onHandG: number }): MenuRow | null {
    const solved = solve(drink, from);
    if (!solved) return null;
    const cost = costOf(solved, from);
    return {
      ...solved,
      drink,
      wantedFrac:
        'strengthFrac' in drink.target ? drink.target.strengthFrac : solved.solution.strengthFrac,
      cost,
      marginFrac: marginFracOf(drink, cost),
      left: countIn(solved, from.onHandG),
    };
  }

  /** Those of some drinks that can be made, from one jug or from a batch that is not in one yet. */
  const rowsOf = (some: readonly Drink[], from: PouredFrom & { onHandG: number }): MenuRow[] =>
    some.map((drink) => rowOf(drink, from)).filter((row) => row !== null);
  /** The same of the whole menu. */
  const rowsFrom = (from: PouredFrom & { onHandG: number }): MenuRow[] =>
    rowsOf(drinks.drinks, from);
  const rows = computed<MenuRow[]>(() => rowsFrom(jugs.chosen));

  /** How many of each drink all jugs hold together. */
  const leftInAll = computed(
    () =>
      new Map(
        drinks.drinks.map((drink) => [
          drink.id,
          jugs.onHand.reduce((sum, jug) => sum + countOf(jug, drink), 0),
        ]),
      ),
  );

  return {
    rows,
    rowsOf,
    rowsFrom,
    leftInAll,
    solve,
    costOf,
    countOf,
  };
});
