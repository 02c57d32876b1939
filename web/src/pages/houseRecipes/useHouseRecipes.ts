import { weekNeedG } from '@ratio/core/drink';
import type { Jug } from '@ratio/core/jug';
import {
  houseRecipeSchema,
  scaleHouseRecipe,
  startingRecipes,
  usedBy,
  type HouseRecipe,
  type Leftover,
  type MadeRecipe,
} from '@ratio/core/pantry';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { newId } from '../../api/client.ts';
import { useEdits } from '../../composables/useEdits.ts';
import { useStored } from '../../composables/useStored.ts';
import { usePantry } from '../../stores/pantry.ts';
import { useMenu } from '../../stores/menu.ts';
import { useStores } from '../../stores/useStores.ts';

/** What is left of a jug; a usual concentrate where none is on hand. */
const leftoverOf = (jug: Jug | null): Leftover => ({
  strengthFrac: jug?.strengthFrac ?? 0.03,
  caffeineMgPerG: jug?.caffeineMgPerG ?? 2,
  pricePerKg: jug?.pricePerKg ?? null,
});

/** The house recipes: one in hand, changed and saved as it is changed. */
export function useHouseRecipes() {
  const { jugs } = useStores();
  const store = usePantry();
  const menu = useMenu();
  const route = useRoute();
  const chosenId = useStored('ratio.recipe', null);
  watch(
    () => route.query['recipe'],
    (asked) => {
      if (typeof asked === 'string') chosenId.value = asked;
    },
    { immediate: true },
  );

  const recipe = computed<HouseRecipe | null>(
    () =>
      store.houseRecipes.find(({ id }) => id === chosenId.value) ?? store.houseRecipes[0] ?? null,
  );
  const made = computed<MadeRecipe | null>(() =>
    recipe.value ? (store.resolved.made[recipe.value.id] ?? null) : null,
  );
  const broken = computed(() =>
    recipe.value ? (store.resolved.broken[recipe.value.id] ?? '') : '',
  );

  const drinks = computed(() =>
    menu.rows.map(({ drink, input, solution }) => ({
      name: drink.name,
      input,
      solution,
      iceRecipe: drink.ice?.recipe,
      weekCount: drink.weekCount,
    })),
  );
  /** What the week's drinks ask for, and what the recipe would have to be times. */
  const need = computed(() => {
    if (!recipe.value || !made.value) return null;
    const needG = weekNeedG({
      id: recipe.value.id,
      drinks: drinks.value,
      made: store.resolved.made,
    });
    return { needG, factor: needG / made.value.yieldG };
  });
  const goesInto = computed(() => {
    const id = recipe.value?.id ?? '';
    return [
      ...menu.rows
        .filter(
          ({ drink, input, solution }) =>
            drink.ice?.recipe === id ||
            input.additions.some(({ ingredient }) => ingredient.id === id) ||
            solution.diluents.some(({ ingredient }) => ingredient.id === id),
        )
        .map(({ drink }) => drink.name),
      ...store.houseRecipes.filter((other) => usedBy(other).includes(id)).map(({ name }) => name),
    ];
  });

  const edits = useEdits(store.documents.houseRecipes, (id) =>
    store.houseRecipes.find((one) => one.id === id),
  );

  /** Saves a change of the recipe in hand, as long as it is one that can be stored. */
  function change(over: Partial<HouseRecipe>, what: string): void {
    const before = recipe.value;
    if (before && houseRecipeSchema.safeParse({ ...before, ...over }).success)
      void edits.change(before, over, what);
  }

  const leftover = computed(() => leftoverOf(jugs.isAssumed ? null : jugs.chosen));
  const starting = computed(() => startingRecipes(leftover.value));

  /** A new recipe, begun from one by its name; with plain syrup where none is named. */
  async function add(name?: string): Promise<void> {
    const {
      inputs,
      process,
      name: startingName,
    } = starting.value.find((one) => one.name === name) ?? starting.value[0]!;
    const id = newId();
    const fresh: HouseRecipe = {
      id,
      version: 0,
      name: startingName,
      inputs: [...inputs],
      process,
      lifeDays: null,
      note: '',
    };
    if (await edits.add(fresh)) chosenId.value = id;
  }

  async function remove(): Promise<void> {
    if (recipe.value) await edits.remove(recipe.value);
  }

  return {
    store,
    recipe,
    made,
    broken,
    need,
    goesInto,
    choose: (id: string) => (chosenId.value = id),
    change,
    leftover,
    starting,
    add,
    remove,
    scale: (factor: number, what: string) => {
      if (recipe.value && factor > 0)
        change(scaleHouseRecipe({ recipe: recipe.value, factor }), what);
    },
  };
}
