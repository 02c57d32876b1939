import { splitBatch, type Plan } from '@ratio/core/batch';
import { predictRecipe, type PredictedRecipe } from '@ratio/core/recipeText';
import { computed } from 'vue';
import { z } from 'zod';
import { useShop } from '../../stores/shop.ts';
import { useStored } from '../../composables/useStored.ts';

const EXAMPLES = [
  '3 1/2 cups coarse coffee, 2 quarts water, overnight in the fridge',
  'Concentrate: 1 cup ground coffee to 8 cups water, 12 hours at room temperature',
];
const MOST = 4;
const WARM_WATER_C = 32;

/** A recipe on the page, with what it was read as. */
export interface RecipeOnPage {
  readonly text: string;
  readonly read: PredictedRecipe | null;
  readonly wrong: string;
}

/** Recipes in words, side by side; kept in this browser. */
export function useRecipeReader() {
  const shelf = useShop();
  const texts = useStored('ratio.recipes', z.array(z.string()), EXAMPLES);
  const recipes = computed<RecipeOnPage[]>(() =>
    texts.value.map((text) => {
      if (text.trim() === '') return { text, read: null, wrong: '' };
      try {
        const read = predictRecipe(text);
        return { text, read, wrong: read.status === 'unread' ? read.message : '' };
      } catch {
        return { text, read: null, wrong: 'Its ratio is beyond what steeps: check the amounts.' };
      }
    }),
  );

  /** A plan out of a recipe, in a vessel that it goes into. */
  function planOf(recipe: PredictedRecipe, from: Plan): Plan | null {
    if (recipe.status === 'unread') return null;
    const { coffee, water, steep } = recipe;
    const doseG = Math.round(coffee.massG.value);
    const waterG = Math.round(water.massG.value / 5) * 5;
    const fitting = shelf.vessels
      .toSorted((one, other) => one.brimMl - other.brimMl)
      .find(
        (vessel) => splitBatch({ ...vessel, doseG, waterG, waterC: from.waterC }).vessels === 1,
      );
    const hours = Math.round((steep.hours.low + steep.hours.high) * 2) / 4;
    const inFridge = (steep.place ?? 'fridge') === 'fridge';
    const tempC = inFridge ? (shelf.shop?.fridgeC ?? 4) : (shelf.shop?.roomC ?? 22);
    return {
      ...from,
      vesselId: fitting?.id ?? from.vesselId,
      grind: coffee.grind,
      doseG,
      waterG,
      waterC: steep.place === 'warm' ? WARM_WATER_C : from.waterC,
      steep: [{ place: inFridge ? 'fridge' : 'counter', tempC, hours }],
    };
  }

  return {
    recipes,
    full: computed(() => texts.value.length >= MOST),
    set: (i: number, text: string) =>
      (texts.value = texts.value.map((old, k) => (k === i ? text : old))),
    add: () => (texts.value = [...texts.value, '']),
    remove: (i: number) => (texts.value = texts.value.filter((_, k) => k !== i)),
    planOf,
  };
}
