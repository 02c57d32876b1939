import {
  housePartSchema,
  makePart,
  scalePart,
  startingRecipes,
  usedBy,
  weekNeedG,
  type HousePart,
  type Jug,
  type Leftover,
  type MadePart,
} from '@ratio/core';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import { useJugs } from '../../stores/jugs.ts';
import { useMenu } from '../../stores/menu.ts';
import { useNotice } from '../../stores/notice.ts';
import { usePantry } from '../../stores/pantry.ts';
import { rebased } from '../../stores/rebased.ts';
import { useSaving } from '../../stores/useSaving.ts';
import { useStored } from '../../stores/useStored.ts';

/** What is left of a jug; a usual concentrate where none is on hand. */
export const leftoverOf = (jug: Jug | null): Leftover => ({
  strengthFrac: jug?.strengthFrac ?? 0.03,
  caffeineMgPerG: jug?.caffeineMgPerG ?? 2,
  pricePerKg: jug?.pricePerKg ?? null,
});

/** The parts that the house makes: one in hand, changed and saved as it is changed. */
export function useParts() {
  const store = usePantry();
  const menu = useMenu();
  const jugs = useJugs();
  const notice = useNotice();
  const route = useRoute();
  const chosenId = useStored<string | null>('ratio.part', null);
  watch(
    () => route.query['part'],
    (asked) => {
      if (typeof asked === 'string') chosenId.value = asked;
    },
    { immediate: true },
  );

  const part = computed<HousePart | null>(
    () => store.parts.find(({ id }) => id === chosenId.value) ?? store.parts[0] ?? null,
  );
  const made = computed<MadePart | null>(() =>
    part.value ? (store.resolved.made[part.value.id] ?? null) : null,
  );
  const broken = computed(() => (part.value ? (store.resolved.broken[part.value.id] ?? '') : ''));

  const drinks = computed(() =>
    menu.rows.map(({ drink, input, solution }) => ({
      name: drink.name,
      input,
      solution,
      icePart: drink.ice?.part,
      weekCount: drink.weekCount,
    })),
  );
  /** What the week's drinks ask for, and what the recipe would have to be times. */
  const need = computed(() => {
    if (!part.value || !made.value) return null;
    const needG = weekNeedG({
      id: part.value.id,
      drinks: drinks.value,
      made: store.resolved.made,
    });
    return { needG, factor: needG / made.value.yieldG };
  });
  const goesInto = computed(() => {
    const id = part.value?.id ?? '';
    return [
      ...menu.rows
        .filter(
          ({ drink, input, solution }) =>
            drink.ice?.part === id ||
            input.additions.some(({ ingredient }) => ingredient.id === id) ||
            solution.fills.some(({ ingredient }) => ingredient.id === id),
        )
        .map(({ drink }) => drink.name),
      ...store.parts.filter((other) => usedBy(other).includes(id)).map(({ name }) => name),
    ];
  });

  const saving = useSaving(store.load);

  /** Saves a change of a part, on what earlier changes that are still on their way make of it. */
  async function save(changed: HousePart, what: string): Promise<void> {
    const before = part.value;
    if (!before || !housePartSchema.safeParse(changed).success) return;
    await saving({
      failed: `${changed.name}: not saved.`,
      does: async () => {
        const now = store.parts.find(({ id }) => id === before.id) ?? before;
        const after = { ...rebased({ before, after: changed, now }), version: now.version };
        const saved = await store.savePart(after);
        return {
          text: `${after.name}: ${what}`,
          undo: () => store.savePart({ ...now, version: saved.version }),
        };
      },
    });
  }

  const change = (over: Partial<HousePart>, what: string): void => {
    if (part.value) void save({ ...part.value, ...over }, what);
  };

  const recipes = computed(() => startingRecipes(leftoverOf(jugs.chosen)));

  /** A new part, begun with a recipe by its name; with plain syrup where none is named. */
  async function add(name?: string): Promise<void> {
    const { inputs, process, ...recipe } =
      recipes.value.find((one) => one.name === name) ?? recipes.value[0]!;
    const id = newId();
    const fresh: HousePart = {
      id,
      version: 0,
      name: recipe.name,
      inputs: [...inputs],
      process,
      lifeDays: null,
      note: '',
    };
    try {
      await store.savePart(fresh);
      chosenId.value = id;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  async function remove(): Promise<void> {
    const gone = part.value;
    if (!gone) return;
    try {
      await store.removePart(gone);
      notice.say({
        tone: 'done',
        text: `${gone.name} is gone.`,
        undo: async () => {
          await store.savePart({ ...gone, version: 0 });
          chosenId.value = gone.id;
        },
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  return {
    store,
    part,
    made,
    broken,
    need,
    goesInto,
    choose: (id: string) => (chosenId.value = id),
    change,
    recipes,
    add,
    remove,
    scale: (factor: number, what: string) => {
      if (part.value && factor > 0) void save(scalePart({ part: part.value, factor }), what);
    },
    /** The same part in another amount, without saving it: what it would give. */
    tryScale: (factor: number) => {
      if (!part.value || factor <= 0) return null;
      return makePart(scalePart({ part: part.value, factor }), store.pantry);
    },
  };
}
