import { weekNeedG } from '@ratio/core/drink';
import type { Jug } from '@ratio/core/jug';
import {
  houseRecipeSchema,
  makeHouseRecipe,
  scaleHouseRecipe,
  startingRecipes,
  usedBy,
  type HouseRecipe,
  type Leftover,
  type MadeRecipe,
} from '@ratio/core/pantry';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import { useJugs } from '../../stores/jugs.ts';
import { useMenu } from '../../stores/menu.ts';
import { useNotice } from '../../stores/notice.ts';
import { usePantry } from '../../stores/pantry.ts';
import { rebased } from '../../composables/rebased.ts';
import { useSaving } from '../../composables/useSaving.ts';
import { useStored } from '../../composables/useStored.ts';

/** What is left of a jug; a usual concentrate where none is on hand. */
export const leftoverOf = (jug: Jug | null): Leftover => ({
  strengthFrac: jug?.strengthFrac ?? 0.03,
  caffeineMgPerG: jug?.caffeineMgPerG ?? 2,
  pricePerKg: jug?.pricePerKg ?? null,
});

/** The house recipes: one in hand, changed and saved as it is changed. */
export function useHouseRecipes() {
  const store = usePantry();
  const menu = useMenu();
  const jugs = useJugs();
  const notice = useNotice();
  const route = useRoute();
  const chosenId = useStored<string | null>('ratio.recipe', null);
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

  const saving = useSaving(store.load);

  /** Saves a change of a recipe, on what earlier changes that are still on their way make of it. */
  async function save(changed: HouseRecipe, what: string): Promise<void> {
    const before = recipe.value;
    if (!before || !houseRecipeSchema.safeParse(changed).success) return;
    await saving({
      failed: `${changed.name}: not saved.`,
      does: async () => {
        const now = store.houseRecipes.find(({ id }) => id === before.id) ?? before;
        const after = { ...rebased({ before, after: changed, now }), version: now.version };
        const saved = await store.saveRecipe(after);
        return {
          text: `${after.name}: ${what}`,
          undo: () => store.saveRecipe({ ...now, version: saved.version }),
        };
      },
    });
  }

  const change = (over: Partial<HouseRecipe>, what: string): void => {
    if (recipe.value) void save({ ...recipe.value, ...over }, what);
  };

  const starting = computed(() => startingRecipes(leftoverOf(jugs.chosen)));

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
    try {
      await store.saveRecipe(fresh);
      chosenId.value = id;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  async function remove(): Promise<void> {
    const gone = recipe.value;
    if (!gone) return;
    try {
      await store.removeRecipe(gone);
      notice.say({
        tone: 'done',
        text: `${gone.name} is gone.`,
        undo: async () => {
          await store.saveRecipe({ ...gone, version: 0 });
          chosenId.value = gone.id;
        },
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
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
    starting,
    add,
    remove,
    scale: (factor: number, what: string) => {
      if (recipe.value && factor > 0)
        void save(scaleHouseRecipe({ recipe: recipe.value, factor }), what);
    },
    /** The same recipe in another amount, without saving it: what it would give. */
    tryScale: (factor: number) => {
      if (!recipe.value || factor <= 0) return null;
      return makeHouseRecipe(scaleHouseRecipe({ recipe: recipe.value, factor }), store.pantry);
    },
  };
}
