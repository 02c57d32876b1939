import type { BatchInFull } from '@ratio/core/batch';
import type { AcceptLearnedRequest, LogAnswer, LogQuery } from '@ratio/core/log';
import type { BlindTest, Tasting, TastingRequest } from '@ratio/core/tasting';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { useShop } from '../shop/index.ts';
import { ask, askOrLast, useDocuments, useOutbox } from '../sync/index.ts';

/** The log of the shop, page by page; what it taught; how things tasted. */
export const useLog = defineStore('log', () => {
  const outbox = useOutbox();
  const shop = useShop();
  const tastings = shallowRef<ReadonlyMap<string, readonly Tasting[]>>(new Map());
  const blindTests = useDocuments<BlindTest>('/api/blind-tests');
  const keep = (id: string, rows: readonly Tasting[]): void => {
    tastings.value = new Map(tastings.value).set(id, rows);
  };
  const loadTastings = async (id: string): Promise<void> =>
    keep(id, await askOrLast(`/api/tastings/${id}`));

  return {
    page: (query: LogQuery) => {
      const asked = Object.entries(query).filter(([, value]) => value !== '');
      const text = new URLSearchParams(asked.map(([key, value]) => [key, String(value)]));
      return askOrLast<LogAnswer>(`/api/log?${text.toString()}`);
    },
    one: (id: string): Promise<BatchInFull> => askOrLast(`/api/batches/${id}`),
    lately: (): Promise<BatchInFull[]> => askOrLast('/api/log/lately'),
    /** Takes what was learned into use, or goes back; every page predicts by it from then on. */
    accept: async (request: AcceptLearnedRequest): Promise<void> => {
      await ask('/api/learned', { method: 'POST', body: request });
      await shop.loadLearned();
    },
    tastingsOf: (id: string) => tastings.value.get(id) ?? [],
    loadTastings,
    taste: async (request: TastingRequest, what: string): Promise<void> => {
      const write = { method: 'POST' as const, path: '/api/tastings', body: request, what };
      await outbox.write<Tasting[]>(write, (rows) => keep(request.of, rows));
    },
    blindTests: blindTests.all,
    saveBlindTest: blindTests.save,
    load: async (id?: string): Promise<void> => {
      const open = [...tastings.value.keys()].filter((one) => id === undefined || one === id);
      await Promise.all([blindTests.load(), ...open.map(loadTastings)]);
    },
  };
});
