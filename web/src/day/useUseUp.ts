import { daysLeft, localDate } from '@ratio/core/calendar';
import { computed } from 'vue';
import { useDays } from './days.ts';
import { useJugs } from '../events/index.ts';
import { dateName } from '../format/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, useSaving } from '../sync/index.ts';

/** Something that has to be used up, or thrown away. */
export interface UseUp {
  readonly key: string;
  readonly name: string;
  readonly what: 'jug' | 'open';
  readonly when: string;
  readonly isPast: boolean;
  /** What it had cost, in the shop's money; null where nobody knows. */
  readonly price: number | null;
}

/** Days before the last one from which something is named. */
const SOON_DAYS = 1;

/** What is past its day or comes to it, and throwing it away with the reason and the money that it was. */
export function useUseUp() {
  const shop = useShop();
  const jugs = useJugs();
  const pantry = usePantry();
  const days = useDays();
  const format = useAmountFormat();
  const saving = useSaving(async () => {
    await Promise.all([jugs.load(), pantry.load()]);
  });
  const word = (left: number, lastDay: string): string =>
    left < 0 ? `past, ${dateName(lastDay)}` : left === 0 ? 'today' : `by ${dateName(lastDay)}`;

  const list = computed<UseUp[]>(() => {
    const ofJugs = jugs.onHand.map((jug) => {
      const lastDay = localDate({ atMs: Date.parse(jug.useBy), zone: shop.zone });
      const left = daysLeft({ lastDay, today: days.today });
      const price = jug.pricePerKg === null ? null : (jug.pricePerKg * jug.onHandG) / 1000;
      return { key: jug.id, name: jug.label, what: 'jug' as const, left, lastDay, price };
    });
    const ofOpen = pantry.opened.flatMap(({ id }) => {
      const life = pantry.lifeOf(id);
      const item = pantry.pantry[id];
      if (!life || !item) return [];
      const { daysLeft: left, lastDay } = life;
      return [{ key: id, name: item.name, what: 'open' as const, left, lastDay, price: null }];
    });
    return [...ofJugs, ...ofOpen]
      .filter(({ left }) => left <= SOON_DAYS)
      .toSorted((a, b) => a.left - b.left)
      .map(({ left, lastDay, ...one }) => ({
        ...one,
        when: word(left, lastDay),
        isPast: left < 0,
      }));
  });

  /** Throws something away: the reason, and what it had cost, are kept with the day. */
  function throwAway({ key, name, what, price }: UseUp, reason: string): Promise<boolean> {
    return saving({
      failed: `${name}: not noted.`,
      does: async () => {
        const jug = jugs.onHand.find(({ id }) => id === key);
        if (what === 'jug' && jug)
          await jugs.enter(jug, { id: newId(), kind: 'discarded', massG: jug.onHandG, reason });
        else await pantry.useUp(key);
        const id = newId();
        const row = { id, kind: 'thrown-away' as const, item: name, note: reason, price };
        await days.write(days.today, row, `${name}: thrown away`);
        const cost = price === null ? '' : `, ${format.value.money(price)}`;
        return { text: `${name} thrown away: ${reason}${cost}.` };
      },
    });
  }
  return { list, throwAway };
}
