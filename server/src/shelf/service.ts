import type { ShelfCoffee, Shop, Vessel } from '@ratio/core';
import type { Database } from '../database/database.ts';
import { listDocuments, saveDocument } from '../database/documents.ts';
import type { Changes } from '../changes/changes.ts';
import { ProblemError } from '../problem.ts';

/** What the shop has and sells. */
export interface ShelfService {
  readonly shop: () => Promise<Shop>;
  readonly coffees: () => Promise<ShelfCoffee[]>;
  readonly vessels: () => Promise<Vessel[]>;
  readonly saveShop: (input: Omit<Save<Shop>, 'id'>) => Promise<Shop>;
  readonly saveCoffee: (input: Save<ShelfCoffee>) => Promise<ShelfCoffee>;
  readonly saveVessel: (input: Save<Vessel>) => Promise<Vessel>;
}

/** A document to write, and the version that the writer saw. */
interface Save<T> {
  readonly id: string;
  readonly seenVersion: number | null;
  readonly body: Omit<T, 'id' | 'version'>;
}

/** @returns the use cases of the shelf */
export function createShelfService({
  db,
  changes,
}: {
  db: Database;
  changes: Changes;
}): ShelfService {
  const { models, write } = db;
  const shopRow = async () => {
    const [row] = await listDocuments(models.shops);
    if (!row) throw new ProblemError('not_found', 'No shop is set up.');
    return row;
  };
  async function told<T extends { id: string }>(saved: Promise<T>): Promise<T> {
    const document = await saved;
    changes.tell({ noun: 'shelf', id: document.id });
    return document;
  }
  return {
    shop: async () => {
      const { clockOffsetMs: _, ...shop } = await shopRow();
      return shop;
    },
    saveShop: async ({ seenVersion, body }) => {
      const { id, clockOffsetMs } = await shopRow();
      const whole = { ...body, clockOffsetMs };
      const saved = await told(
        saveDocument({ write, model: models.shops, id, seenVersion, body: whole }),
      );
      const { clockOffsetMs: _, ...shop } = saved;
      return shop;
    },
    saveCoffee: (input) =>
      told(saveDocument<ShelfCoffee>({ write, model: models.coffees, ...input })),
    saveVessel: (input) => told(saveDocument<Vessel>({ write, model: models.vessels, ...input })),
    coffees: () => listDocuments<ShelfCoffee>(models.coffees),
    vessels: async () =>
      (await listDocuments<Vessel>(models.vessels)).sort((a, b) => b.brimMl - a.brimMl),
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
  crewFromHours: 7,
  crewToHours: 19,
  mill: {
    name: '',
    settings: { 'extra-coarse': '', coarse: '', 'medium-coarse': '', medium: '', fine: '' },
  },
  scoopMl: 30,
  filters: [],
  bar: {
    jiggerMl: 5,
    pumpMl: 7.5,
    spoonMl: 5,
    scaleG: 1,
    siphonMl: 1000,
    chargesPerFill: 1,
    chargePrice: 0,
    kegMl: 9500,
  },
  defaults: {
    grind: 'coarse',
    ratio: 5,
    place: 'fridge',
    hours: 18,
    wetting: 'stages',
    method: 'drain',
  },
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
