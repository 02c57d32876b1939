import { splitBatch, type Plan } from '@ratio/core/batch';
import { predictRecipe, type PredictedRecipe } from '@ratio/core/recipeText';
import { computed } from 'vue';
import { useShop } from '../shop/index.ts';
import { useStored } from '../sync/index.ts';

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
  const shop = useShop();
  const texts = useStored('ratio.recipes', EXAMPLES);
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

  /**
   * A plan out of a recipe, in the smallest vessel that it goes into. What the text does not say comes
   * from the shop's defaults, and nothing from the plan before but its coffee.
   */
  function planOf(recipe: PredictedRecipe, from: Pick<Plan, 'coffeeId' | 'vesselId'>): Plan | null {
    const { document: details } = shop;
    if (recipe.status !== 'read' || !details) return null;
    const { coffee, water, steep, notes } = recipe;
    const { defaults } = details;
    const isAssumed = (what: string): boolean =>
      notes.some(({ code }) => code === `assumed_${what}`);
    const doseG = Math.round(coffee.massG.value);
    const waterG = Math.round(water.massG.value / 5) * 5;
    const waterC = recipe.waterC ?? (steep.place === 'warm' ? WARM_WATER_C : details.waterC);
    const fitting = shop.steepers
      .toSorted((one, other) => one.brimMl - other.brimMl)
      .find((vessel) => splitBatch({ ...vessel, doseG, waterG, waterC }).vessels === 1);
    const pieces = steep.pieces.map(({ place, hours: { low, high } }) => {
      const inFridge = (place ?? (isAssumed('place') ? defaults.place : 'fridge')) === 'fridge';
      return {
        place: inFridge ? ('fridge' as const) : ('counter' as const),
        tempC: inFridge ? details.fridgeC : details.roomC,
        hours: Math.round(2 * (low + high)) / 4,
      };
    });
    return {
      coffeeId: from.coffeeId,
      vesselId: fitting?.id ?? from.vesselId,
      grind: isAssumed('grind') ? defaults.grind : coffee.grind,
      doseG,
      waterG,
      waterC,
      wetting: defaults.wetting,
      steep: pieces,
      agitationHours: [],
      bed: 'loose',
      filtration: {
        method: recipe.filtration ?? defaults.method,
        rinseG: Math.round(recipe.rinseG),
      },
    };
  }

  return {
    recipes,
    full: computed(() => texts.value.length >= MOST),
    set: (i: number, text: string) =>
      (texts.value = texts.value.map((old, k) => (k === i ? text : old))),
    /** Answers what was asked for, by adding it to the text. */
    answer: (i: number, more: string) =>
      (texts.value = texts.value.map((old, k) => (k === i ? `${old.trim()}, ${more}` : old))),
    add: () => (texts.value = [...texts.value, '']),
    remove: (i: number) => (texts.value = texts.value.filter((_, k) => k !== i)),
    planOf,
  };
}
