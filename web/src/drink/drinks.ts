import {
  isUsualDrink,
  USUAL_MENU,
  type Drink,
  type DrinkVersion,
  type KeepDrinkRequest,
} from '@ratio/core/drink';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { ask, newId, useDocuments, useOutbox, useStored, type Write } from '../sync/index.ts';

const LONGEST_CHANGE = 300;

/** The drinks of the menu, as the server keeps them, in the menu's order. */
export const useDrinks = defineStore('drinks', () => {
  const outbox = useOutbox();
  const { all, load, remove } = useDocuments<Drink>('/api/drinks');

  /** With what was kept here and the server has not acknowledged yet. */
  const own = computed(() => outbox.waiting.reduce(withKept, all.value));
  const dropped = useStored('ratio.droppedDrinks', []);
  /** The usual ones, as long as the shop has none of its own making; those that are kept stay among them. */
  const usual = computed(() =>
    own.value.every(isUsualDrink)
      ? USUAL_MENU.filter(
          ({ id }) => !dropped.value.includes(id) && !own.value.some((one) => one.id === id),
        )
      : [],
  );
  const drinks = computed(() => [...own.value, ...usual.value]);
  /** How cold all ice is at this bar today, °C; null where it is as each drink has it. */
  const iceTodayC = useStored('ratio.iceTodayC', null);
  /** A drink as it is made today. */
  const asToday = (drink: Drink): Drink =>
    iceTodayC.value === null || !drink.ice
      ? drink
      : { ...drink, ice: { ...drink.ice, tempC: iceTodayC.value } };

  /** Keeps a drink with what changed of it: as the usual, or for somebody. */
  async function keep(input: {
    drink: Drink;
    change: string;
    /** Empty for the usual. */
    forWhom: string;
    id?: string;
  }): Promise<Drink> {
    const { id, version, ...body } = input.drink;
    const request: KeepDrinkRequest = {
      id: input.id ?? newId(),
      drink: body,
      change: input.change.slice(0, LONGEST_CHANGE),
      forWhom: input.forWhom,
    };
    const path = `/api/drinks/${id}/versions`;
    const what = `${input.drink.name}: ${request.change}`;
    const write = { method: 'POST' as const, path, body: request, version, what };
    const sent = await outbox.write<Drink>(write);
    if (sent.kept) return input.drink;
    await load();
    return sent.answer;
  }

  return {
    iceTodayC,
    /** As they are made today. */
    today: computed(() => drinks.value.map(asToday)),
    asToday,
    drinks,
    /** Drinks of the usual menu that nobody has kept yet. */
    usual,
    /** Puts the usual menu on the shop's, as it is shown. */
    keepUsual: async (): Promise<void> => {
      for (const drink of usual.value)
        await keep({ drink, change: 'new on the menu', forWhom: '' });
    },
    load,
    keep,
    remove: async (drink: Drink): Promise<void> => {
      if (isUsualDrink(drink)) dropped.value = [...dropped.value, drink.id];
      if (drink.version > 0) await remove(drink);
    },
    versions: (drinkId: string): Promise<DrinkVersion[]> => ask(`/api/drinks/${drinkId}/versions`),
  };
});

/** The menu with one more write of a drink; what is kept for somebody leaves the usual. */
function withKept(drinks: Drink[], { path, body, version = 0 }: Write): Drink[] {
  const [, id] = /^\/api\/drinks\/([^/]+)\/versions$/.exec(path) ?? [];
  if (id === undefined) return drinks;
  const { drink, forWhom } = body as KeepDrinkRequest;
  if (forWhom !== '') return drinks;
  const kept = { ...drink, id, version };
  return [...drinks.filter((one) => one.id !== id), kept].toSorted((a, b) => a.order - b.order);
}
