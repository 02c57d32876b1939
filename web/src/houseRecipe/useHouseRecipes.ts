import { weekNeedG } from '@ratio/core/drink';
import type { Jug } from '@ratio/core/jug';
import {
  largestAmount,
  MOST_OF_AN_AMOUNT,
  scaleHouseRecipe,
  startingRecipes,
  usedBy,
  type HouseRecipe,
  type Leftover,
  type MadeRecipe,
} from '@ratio/core/pantry';
import { computed } from 'vue';
import { useMenu } from '../drink/index.ts';
import { useJugs } from '../events/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { newId, useAskedFor, useEdits, useNotice, useStored } from '../sync/index.ts';

/** What is left of a jug; a usual concentrate where none is on hand. */
const leftoverOf = (jug: Jug | null): Leftover => ({
  strengthFrac: jug?.strengthFrac ?? 0.03,
  caffeineMgPerG: jug?.caffeineMgPerG ?? 2,
  pricePerKg: jug?.pricePerKg ?? null,
});

/** The house recipes: one in hand, changed and saved as it is changed. */
export function useHouseRecipes() {
  const jugs = useJugs();
  const format = useAmountFormat();
  const notice = useNotice();
  const store = usePantry();
  const menu = useMenu();
  const chosenId = useStored('ratio.recipe', null);
  useAskedFor({
    key: 'recipe',
    what: 'house recipe',
    take: (id) => (chosenId.value = id),
    ids: () => store.houseRecipes.map(({ id }) => id),
  });

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

  /** Saves a change of the recipe in hand; why one cannot be stored is said. */
  function change(over: Partial<HouseRecipe>, what: string): void {
    if (recipe.value) void edits.change(recipe.value, over, what);
  }

  /** Every amount of the recipe in hand times a factor; too much of it is said, and nothing is changed. */
  function scale(factor: number, what: string): void {
    if (!recipe.value || factor <= 0) return;
    const scaled = scaleHouseRecipe({ recipe: recipe.value, factor });
    if (largestAmount(scaled) <= MOST_OF_AN_AMOUNT) return change(scaled, what);
    const { mass, volume } = format.value;
    notice.say({
      tone: 'wrong',
      text: `${scaled.name}: not ${what}. One amount would be above ${mass(MOST_OF_AN_AMOUNT)} or ${volume(MOST_OF_AN_AMOUNT)}: make it in several goes.`,
    });
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
    scale,
  };
}
