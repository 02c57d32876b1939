import type { Vessel } from '@ratio/core/brew';
import type { Coffee } from '@ratio/core/coffee';
import type { Shop } from '@ratio/core/shop';
import { ask, newId, sentenceOf } from '../../api/client.ts';
import { useNotice } from '../../stores/notice.ts';
import { rebased } from '../../composables/rebased.ts';
import { useSaving } from '../../composables/useSaving.ts';
import { useShop } from '../../stores/shop.ts';

interface Stored {
  readonly id: string;
  readonly version: number;
}

/** Changes of the shelf, each saved as it is made, each with an undo. */
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
    change: Partial<T>;
    current: () => T | null | undefined;
    what: string;
  }): Promise<boolean> => {
    const { path, before, change, current, what } = input;
    return saving({
      failed: `${what}: not saved.`,
      does: async () => {
        const now = current() ?? before;
        const after = rebased({ before, after: { ...before, ...change }, now });
        const saved = await put(path, { ...after, version: now.version });
        return { text: what, undo: () => put(path, { ...now, version: saved.version }) };
      },
    });
  };

  return {
    coffee: (before: Coffee, change: Partial<Coffee>, what: string) =>
      save({
        path: `/api/coffees/${before.id}`,
        before,
        change,
        current: () => shelf.coffees.find(({ id }) => id === before.id),
        what: `${before.name}: ${what}`,
      }),
    vessel: (before: Vessel, change: Partial<Vessel>, what: string) =>
      save({
        path: `/api/vessels/${before.id}`,
        before,
        change,
        current: () => shelf.vessels.find(({ id }) => id === before.id),
        what: `${before.name}: ${what}`,
      }),
    shop: (before: Shop, change: Partial<Shop>, what: string) =>
      save({ path: '/api/shop', before, change, current: () => shelf.shop, what }),
    async addCoffee(): Promise<void> {
      const id = newId();
      const today = shelf.now.toISOString().slice(0, 10);
      const coffee: Coffee = {
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
