import type { ShelfCoffee, Shop, Vessel } from '@ratio/core';
import { ask, newId, sentenceOf } from '../../api/client.ts';
import { useNotice } from '../../stores/notice.ts';
import { rebased } from '../../stores/rebased.ts';
import { useSaving } from '../../stores/useSaving.ts';
import { useShop } from '../../stores/shop.ts';

interface Stored {
  readonly id: string;
  readonly version: number;
}

/** Changes of the shelf, each saved as it is made, each with a way back. */
export function useShelfEdits() {
  const shelf = useShop();
  const notice = useNotice();

  async function put<T extends Stored>(path: string, document: T): Promise<T> {
    const { id: _, version, ...body } = document;
    const saved = await ask<T>(path, { method: 'PUT', body, version });
    await shelf.load();
    return saved;
  }

  const saving = useSaving(shelf.load);

  /** Saves a change of a document, on what earlier changes that are still on their way make of it. */
  const save = <T extends Stored>(input: {
    path: string;
    before: T;
    part: Partial<T>;
    current: () => T | null | undefined;
    what: string;
  }): Promise<boolean> => {
    const { path, before, part, current, what } = input;
    return saving({
      failed: `${what}: not saved.`,
      does: async () => {
        const now = current() ?? before;
        const after = rebased({ before, after: { ...before, ...part }, now });
        const saved = await put(path, { ...after, version: now.version });
        return { text: what, undo: () => put(path, { ...now, version: saved.version }) };
      },
    });
  };

  return {
    coffee: (before: ShelfCoffee, part: Partial<ShelfCoffee>, what: string) =>
      save({
        path: `/api/coffees/${before.id}`,
        before,
        part,
        current: () => shelf.coffees.find(({ id }) => id === before.id),
        what: `${before.name}: ${what}`,
      }),
    vessel: (before: Vessel, part: Partial<Vessel>, what: string) =>
      save({
        path: `/api/vessels/${before.id}`,
        before,
        part,
        current: () => shelf.vessels.find(({ id }) => id === before.id),
        what: `${before.name}: ${what}`,
      }),
    shop: (before: Shop, part: Partial<Shop>, what: string) =>
      save({ path: '/api/shop', before, part, current: () => shelf.shop, what }),
    async addCoffee(): Promise<void> {
      const id = newId();
      const today = shelf.now.toISOString().slice(0, 10);
      const coffee: ShelfCoffee = {
        id,
        version: 0,
        name: 'New coffee',
        solubleFrac: 0.215,
        robustaFrac: 0,
        decafFrac: 0,
        roast: 'medium',
        roastedOn: today,
        pricePerKg: 25,
        looseDensityGPerMl: null,
      };
      await put(`/api/coffees/${id}`, coffee).catch((error: unknown) =>
        notice.say({ tone: 'wrong', text: sentenceOf(error) }),
      );
    },
    async addVessel(): Promise<void> {
      const id = newId();
      const vessel: Vessel = {
        id,
        version: 0,
        name: 'New jar',
        brimMl: 3000,
        heightMm: 220,
        kind: 'jar',
        shaken: false,
        bagHoldsG: null,
        fitsFridge: true,
      };
      await put(`/api/vessels/${id}`, vessel).catch((error: unknown) =>
        notice.say({ tone: 'wrong', text: sentenceOf(error) }),
      );
    },
  };
}
