import {
  drinkSchema,
  drinkVersionSchema,
  type Drink,
  type DrinkVersion,
  type KeepDrinkRequest,
} from '@ratio/core/drink';
import { defineStore } from 'pinia';
import { z } from 'zod';
import { ask, newId } from '../api/client.ts';
import { useDocuments } from '../composables/useDocuments.ts';

const versionsSchema = z.array(drinkVersionSchema);
const LONGEST_CHANGE = 300;

/** The drinks of the menu, as the server keeps them, in the menu's order. */
export const useDrinks = defineStore('drinks', () => {
  const { all, load, remove } = useDocuments('/api/drinks', drinkSchema);

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
    const kept = await ask(drinkSchema, path, { method: 'POST', body: request, version });
    await load();
    return kept;
  }

  return {
    drinks: all,
    load,
    keep,
    remove,
    versions: (drinkId: string): Promise<DrinkVersion[]> =>
      ask(versionsSchema, `/api/drinks/${drinkId}/versions`),
  };
});
