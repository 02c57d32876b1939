import type { DayPours, DayRow, DayRowRequest } from '@ratio/core/day';
import { localDate } from '@ratio/core/calendar';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useShop } from '../shop/index.ts';
import { askOrLast, useOutbox } from '../sync/index.ts';

const ROWS_PATH = /^\/api\/days\/([^/]+)\/rows$/;
const NOTHING_SAID = { list: null, item: '', note: '', price: null, undoes: null, author: '' };

/** Days of the shop: what was poured on them, and what was written down. */
export const useDays = defineStore('days', () => {
  const outbox = useOutbox();
  const shop = useShop();
  const pours = shallowRef<DayPours[] | null>(null);
  const known = shallowRef<ReadonlyMap<string, readonly DayRow[]>>(new Map());
  const keep = (date: string, rows: readonly DayRow[]): void => {
    known.value = new Map(known.value).set(date, rows);
  };

  async function loadPours(): Promise<void> {
    pours.value = await askOrLast<DayPours[]>('/api/pours');
  }
  async function loadDay(date: string): Promise<void> {
    keep(date, await askOrLast<DayRow[]>(`/api/days/${date}`));
  }

  /** What was written down of a day, acknowledged or not. */
  function rowsOf(date: string): DayRow[] {
    const waiting = outbox.waiting.flatMap(({ path, body }): DayRow[] => {
      if (ROWS_PATH.exec(path)?.[1] !== date) return [];
      const { at = new Date(shop.readMs()).toISOString(), ...said } = body as DayRowRequest;
      return [{ ...NOTHING_SAID, ...said, at, date, undone: false }];
    });
    const rows = [...(known.value.get(date) ?? [])];
    for (const row of waiting) if (!rows.some(({ id }) => id === row.id)) rows.push(row);
    const undone = new Set(rows.map(({ undoes }) => undoes));
    return rows.filter(({ id, kind }) => kind !== 'undone' && !undone.has(id));
  }

  /** Writes something down of a day; kept here while the server is away. */
  async function write(date: string, request: DayRowRequest, what: string): Promise<void> {
    const path = `/api/days/${date}/rows`;
    const body = { at: new Date(shop.readMs()).toISOString(), ...request };
    const sent = await outbox.write<DayRow[]>(
      { method: 'POST' as const, path, body, what },
      (rows) => keep(date, rows),
    );
    if (!sent.kept) await loadDay(date).catch(() => undefined);
  }

  return {
    /** By quarters of an hour, of the last weeks; null before they have come. */
    pours,
    /** The shop's date of now. */
    today: computed(() => localDate({ atMs: shop.now.getTime(), zone: shop.zone })),
    loadPours,
    loadDay,
    rowsOf,
    write,
    /** Reads again what is in sight of a day that changed, of all where nobody says which. */
    load: async (date?: string): Promise<void> => {
      const open = [...known.value.keys()].filter((one) => date === undefined || one === date);
      await Promise.all(open.map((one) => loadDay(one)));
    },
  };
});
