import type { Ingredient } from '@ratio/core';
import { computed } from 'vue';
import { sentenceOf } from '../api/client.ts';
import { useNotice } from './notice.ts';
import { usePantry } from './pantry.ts';
import { useShop } from './shop.ts';

/** Packages that are opened and parts that are made: begun and used up by one tap, each with a way back. */
export function useOpened() {
  const pantry = usePantry();
  const shelf = useShop();
  const notice = useNotice();

  async function change(input: {
    text: string;
    does: () => Promise<unknown>;
    undoes: () => Promise<unknown>;
  }): Promise<void> {
    try {
      await input.does();
      notice.say({ tone: 'done', text: input.text, undo: async () => void (await input.undoes()) });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      await pantry.load().catch(() => undefined);
    }
  }

  return {
    lifeOf: pantry.lifeOf,
    lastDayOf: pantry.lastDayOf,
    zone: computed(() => shelf.zone),
    start: ({ id, name, mark }: Ingredient) => {
      const before = pantry.opened.find((one) => one.id === id);
      return change({
        text: `${name}: ${mark === 'ours' ? 'made' : 'opened'} today.`,
        does: () => pantry.open(id),
        undoes: () => (before ? pantry.open(id, new Date(before.at)) : pantry.useUp(id)),
      });
    },
    useUp: ({ id, name }: Ingredient) => {
      const before = pantry.opened.find((one) => one.id === id);
      return change({
        text: `${name}: used up.`,
        does: () => pantry.useUp(id),
        undoes: () => pantry.open(id, before ? new Date(before.at) : shelf.now),
      });
    },
  };
}
