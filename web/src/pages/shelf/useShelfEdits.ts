import type { ShelfCoffee, Shop, Vessel } from '@ratio/core';
import { ask, newId, sentenceOf } from '../../api/client.ts';
import { useNotice } from '../../stores/notice.ts';
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

  async function save<T extends Stored>(input: {
    path: string;
    before: T;
    after: T;
    what: string;
  }): Promise<void> {
    const { path, before, after, what } = input;
    try {
      const saved = await put(path, after);
      const undo = async () => {
        await put(path, { ...before, version: saved.version });
      };
      notice.say({ tone: 'done', text: what, undo });
    } catch (error) {
      notice.say({ tone: 'wrong', text: `${what}: not saved. ${sentenceOf(error)}` });
      await shelf.load().catch(() => undefined);
    }
  }

  return {
    coffee: (before: ShelfCoffee, part: Partial<ShelfCoffee>, what: string) =>
      save({
        path: `/api/coffees/${before.id}`,
        before,
        after: { ...before, ...part },
        what: `${before.name}: ${what}`,
      }),
    vessel: (before: Vessel, part: Partial<Vessel>, what: string) =>
      save({
        path: `/api/vessels/${before.id}`,
        before,
        after: { ...before, ...part },
        what: `${before.name}: ${what}`,
      }),
    shop: (before: Shop, part: Partial<Shop>, what: string) =>
      save({ path: '/api/shop', before, after: { ...before, ...part }, what }),
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
