import {
  INGREDIENT_IDS,
  INGREDIENTS,
  type Drink,
  type ShelfCoffee,
  type Shop,
  type Vessel,
} from '@ratio/core';
import type { Database } from '../database/database.ts';
import { listDocuments } from '../database/documents.ts';
import { ProblemError } from '../problem.ts';

/** What the shop has and sells. */
export interface ShelfService {
  readonly shop: () => Promise<Shop>;
  readonly coffees: () => Promise<ShelfCoffee[]>;
  readonly vessels: () => Promise<Vessel[]>;
  readonly drinks: () => Promise<Drink[]>;
}

/** @returns reads of the shelf */
export function createShelfService({ models }: Database): ShelfService {
  return {
    shop: async () => {
      const [row] = await listDocuments(models.shops);
      if (!row) throw new ProblemError('not_found', 'No shop is set up.');
      const { clockOffsetMs: _, ...shop } = row;
      return shop;
    },
    coffees: () => listDocuments<ShelfCoffee>(models.coffees),
    vessels: async () =>
      (await listDocuments<Vessel>(models.vessels)).sort((a, b) => b.brimMl - a.brimMl),
    drinks: async () =>
      (await listDocuments<Drink>(models.drinks)).sort((a, b) => a.order - b.order),
  };
}

/** A shop before anybody has said anything about it. */
const NEW_SHOP: Omit<Shop, 'id' | 'version' | 'zone'> = {
  name: 'The shop',
  currency: 'EUR',
  roomC: 22,
  fridgeC: 4,
  waterC: 12,
  openHours: 8,
  closeHours: 18,
};

/** Makes the shop's row in a database that has none, in the machine's own zone. */
export async function ensureShop({ models, write }: Database): Promise<void> {
  const { timeZone: zone } = Intl.DateTimeFormat().resolvedOptions();
  await write(async (transaction) => {
    if ((await models.shops.count({ transaction })) > 0) return;
    const body = { ...NEW_SHOP, zone, clockOffsetMs: 0 };
    await models.shops.create({ id: 'shop', body }, { transaction });
  });
}

/** @returns the ingredient table with its ids */
export const listIngredients = () =>
  INGREDIENT_IDS.map((id) => ({
    id,
    ...INGREDIENTS[id],
    allergens: [...INGREDIENTS[id].allergens],
  }));
