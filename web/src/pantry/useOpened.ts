import type { Ingredient } from '@ratio/core/pantry';
import { computed } from 'vue';
import { usePantry } from './pantry.ts';
import { useShop } from '../shop/index.ts';
import { useSaving } from '../sync/index.ts';

/** Packages that are opened and house recipes that are made: begun and used up by one tap, each with an undo. */
export function useOpened() {
  const pantry = usePantry();
  const shop = useShop();
  const saving = useSaving(pantry.load);

  /** Since when it stands open; null where it does not. */
  function atOf(id: string): Date | null {
    const found = pantry.opened.find((one) => one.id === id);
    return found ? new Date(found.at) : null;
  }

  return {
    lifeOf: pantry.lifeOf,
    lastDayOf: pantry.lastDayOf,
    zone: computed(() => shop.zone),
    start: ({ id, name, mark }: Ingredient) =>
      saving({
        does: async () => {
          const before = atOf(id);
          await pantry.open(id);
          return {
            text: `${name}: ${mark === 'ours' ? 'made' : 'opened'} today.`,
            undo: () => (before ? pantry.open(id, before) : pantry.useUp(id)),
          };
        },
      }),
    useUp: ({ id, name }: Ingredient) =>
      saving({
        does: async () => {
          const before = atOf(id);
          await pantry.useUp(id);
          return { text: `${name}: used up.`, undo: () => pantry.open(id, before ?? shop.now) };
        },
      }),
  };
}
