import { CHECK_LISTS, type CheckList, type DayRowRequest } from '@ratio/core/day';
import { massOfStoredG } from '@ratio/core/matter';
import { computed, watch } from 'vue';
import { useDays } from './days.ts';
import type { DayShown } from './useDayShown.ts';
import { dateAfter } from '@ratio/core/calendar';
import { onHandMl, useJugs } from '../events/index.ts';
import { authorOf, clockTime } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';

const NAMES: Readonly<Record<CheckList, string>> = { opening: 'Opening', closing: 'Closing' };

/** What one shift leaves to the next: notes, the lists of opening and closing, jugs counted. */
export function useHandOver(shown: DayShown) {
  const shop = useShop();
  const jugs = useJugs();
  const notice = useNotice();
  const days = useDays();
  const format = useAmountFormat();
  const load = (date: string): Promise<unknown> =>
    Promise.allSettled([date, dateAfter(date, -1)].map((one) => days.loadDay(one)));
  watch(shown.date, load);
  const read = load(shown.date.value);
  const rows = computed(() => days.rowsOf(shown.date.value));
  const written = (date: string) =>
    days
      .rowsOf(date)
      .filter(({ kind }) => kind === 'note')
      .map(({ id, note, at, author }) => ({
        id,
        date,
        note,
        when: clockTime({ at: new Date(at), zone: shop.zone }),
        by: authorOf({ author }),
      }));

  async function write(
    request: DayRowRequest,
    what: string,
    date = shown.date.value,
  ): Promise<void> {
    try {
      await days.write(date, request, what);
    } catch (error) {
      notice.say({ tone: 'wrong', text: `${what}: not written. ${sentenceOf(error)}` });
    }
  }
  const lists = computed(() =>
    CHECK_LISTS.map((list) => {
      const items = (shop.document?.checklists[list] ?? []).map((item) => {
        const row = rows.value.findLast((one) => one.list === list && one.item === item);
        return {
          item,
          rowId: row?.id ?? null,
          by: row
            ? `${clockTime({ at: new Date(row.at), zone: shop.zone })}${authorOf(row) && `, ${authorOf(row)}`}`
            : '',
        };
      });
      return {
        list,
        name: NAMES[list],
        items,
        done: items.filter(({ rowId }) => rowId !== null).length,
      };
    }),
  );

  return {
    /** Settled once the first day has been read, or could not be. */
    read,
    notes: computed(() => [
      ...written(dateAfter(shown.date.value, -1)),
      ...written(shown.date.value),
    ]),
    addNote: (note: string) => write({ id: newId(), kind: 'note', note }, 'The note'),
    takeBack: (id: string, date: string) =>
      write({ id: newId(), kind: 'undone', undoes: id }, 'Taken back', date),
    lists,
    check: (list: CheckList, item: string, rowId: string | null) =>
      rowId === null
        ? write({ id: newId(), kind: 'checked', list, item }, item)
        : write({ id: newId(), kind: 'undone', undoes: rowId }, item),
    gone: computed(() =>
      rows.value
        .filter(({ kind }) => kind === 'thrown-away')
        .map(({ id, item, note, price }) => ({
          id,
          text: `${item}: ${note}${price === null ? '' : `, ${format.value.money(price)}`}`,
        })),
    ),
    counts: computed(() =>
      jugs.onHand.map((jug) => ({ id: jug.id, label: jug.label, ml: onHandMl(jug) })),
    ),
    /** A count that differs is a row with a reason; one that agrees is a row all the same. */
    count: async (id: string, volumeMl: number, reason: string): Promise<void> => {
      const jug = jugs.onHand.find((one) => one.id === id);
      if (!jug) return;
      try {
        const massG =
          volumeMl === 0 ? 0 : massOfStoredG({ volumeMl, strengthFrac: jug.strengthFrac });
        await jugs.enter(jug, { id: newId(), kind: 'counted', massG, note: reason });
        notice.say({
          tone: 'done',
          text: `${jug.label} counted: ${format.value.volume(volumeMl)}.`,
        });
      } catch (error) {
        notice.say({ tone: 'wrong', text: `${jug.label}: not counted. ${sentenceOf(error)}` });
      }
    },
  };
}
