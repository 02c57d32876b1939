import {
  NOTHING_NOTED,
  startedBatch,
  filterUse,
  uncleanedAfter,
  steepHoursOf,
  vesselInUse,
  vesselOf,
  type Batch,
  type BatchActual,
  type BatchInFull,
  type NoteActualRequest,
  type Plan,
  type SplitBatchRequest,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import { askOrLast } from '../api/askOrLast.ts';
import { useOutbox } from './outbox.ts';
import { usePhotos } from './photos.ts';
import { useShop } from './shop.ts';

/** All that steep, what is not clean after them, and as many others as a day at the bench and a look back take. */
export const LATELY_PATH = '/api/batches?count=40';
const pathOf = (id: string): string => `/api/batches/${id}`;
const STRAIN_PATH = /^\/api\/batches\/([^/]+)\/strain$/;

/** Batches at hand, as the server keeps them; the log has all. */
export const useBatches = defineStore('batches', () => {
  const outbox = useOutbox();
  const photos = usePhotos();
  const shelf = useShop();
  const batches = shallowRef<Batch[]>([]);

  /** Those that somebody looks at closely, with all that was noted of them. */
  const inFull = shallowRef<ReadonlyMap<string, BatchInFull>>(new Map());
  const keepInFull = (batch: BatchInFull): void => {
    // Rows are only ever added: an answer with fewer of them was under way while one was noted.
    const known = inFull.value.get(batch.id);
    if (known && batch.actuals.length < known.actuals.length) return;
    inFull.value = new Map(inFull.value).set(batch.id, batch);
  };

  /** What is being read of them in full. */
  const reading = new Set<Promise<void>>();
  const read = (one: Promise<void>): Promise<void> => {
    reading.add(one);
    return one.finally(() => reading.delete(one));
  };
  const loadInFull = (id: string): Promise<void> =>
    read(askOrLast<BatchInFull>(pathOf(id)).then(keepInFull));
  /** All that steep, with what was noted of each. */
  const loadRunning = (): Promise<void> =>
    read(askOrLast<BatchInFull[]>('/api/running').then((all) => all.forEach(keepInFull)));
  /** Reads those again that are known in full; what is being read may be from before the change. */
  async function loadOpen(changed?: string): Promise<void> {
    await Promise.allSettled(reading);
    const open = [...inFull.value.keys()].filter((id) => changed === undefined || id === changed);
    await Promise.all(open.map((id) => loadInFull(id).catch(() => undefined)));
  }

  /** @param changed the one that changed; all of them where nobody says which */
  async function load(changed?: string): Promise<void> {
    const [list] = await Promise.all([askOrLast<Batch[]>(LATELY_PATH), loadOpen(changed)]);
    batches.value = list;
  }

  /** Notes what happened; kept here while the server is away, in the order in which it was noted. */
  async function note(id: string, request: NoteActualRequest, what: string): Promise<void> {
    const path = `${pathOf(id)}/actuals`;
    const write = { method: 'POST' as const, path, body: request, what };
    const sent = await outbox.write(write, keepInFull);
    if (!sent.kept) await load(id);
  }

  /** What was noted of a batch, acknowledged or not. */
  function actualsOf(id: string): BatchActual[] {
    const known = inFull.value.get(id)?.actuals ?? [];
    const waiting = outbox.waiting.flatMap(({ path, body }) => {
      if (path !== `${pathOf(id)}/actuals`) return [];
      const { at = new Date(shelf.readMs()).toISOString(), ...seen } = body as NoteActualRequest;
      return [{ ...NOTHING_NOTED, ...seen, at, batchId: id, author: '' } as BatchActual];
    });
    return [...known, ...waiting.filter((row) => !known.some((one) => one.id === row.id))];
  }

  /** @returns the batch; null while the start is kept here because the server does not answer */
  async function start(request: StartBatchRequest, what: string): Promise<Batch | null> {
    const write = { method: 'POST' as const, path: '/api/batches', body: request, what };
    const sent = await outbox.write<Batch>(write);
    if (sent.kept) return null;
    await load();
    return sent.answer;
  }

  /** Keeps a photograph of a batch; @returns whether the server has it already. */
  async function keepPhoto(id: string, photo: Blob, what: string): Promise<boolean> {
    const at = new Date(shelf.readMs()).toISOString();
    const { isSent } = await photos.keep(pathOf(id), photo, { at, what });
    if (isSent) await loadInFull(id);
    return isSent;
  }

  /** Splits a running batch; the server decides, so that nobody counts a share twice. */
  async function split(id: string, request: SplitBatchRequest): Promise<void> {
    await ask(`${pathOf(id)}/split`, { method: 'POST', body: request });
    await load(id);
  }

  async function strain(batch: Batch, request: StrainBatchRequest): Promise<void> {
    const sent = await outbox.write({
      method: 'POST',
      path: `/api/batches/${batch.id}/strain`,
      body: request,
      version: batch.version,
      what: `${batch.coffeeName}: strained`,
    });
    if (!sent.kept) await load();
  }

  /** What was started here and the server has not acknowledged yet; it has version 0. */
  const waitingStarts = computed<Batch[]>(() =>
    outbox.waiting.flatMap(({ method, path, body }) => {
      if (method !== 'POST' || path !== '/api/batches') return [];
      const { id, plan, startedAt } = body as StartBatchRequest;
      const coffee = shelf.coffeeOf(plan.coffeeId);
      const vessel = vesselOf(plan, shelf.vessels);
      if (!coffee || !vessel) return [];
      const at = new Date(startedAt ?? shelf.now);
      return [{ id, version: 0, ...startedBatch({ plan, coffee, vessel, startedAt: at }).batch }];
    }),
  );
  /** Those whose strain the server has not acknowledged yet. */
  const waitingStrains = computed(
    () => new Set(outbox.waiting.map(({ path }) => STRAIN_PATH.exec(path)?.[1])),
  );
  const steeping = computed(() =>
    [...batches.value, ...waitingStarts.value]
      .filter(({ id, status }) => status === 'steeping' && !waitingStrains.value.has(id))
      .toSorted((a, b) => Date.parse(a.endsAt) - Date.parse(b.endsAt)),
  );

  return {
    batches,
    steeping,
    /** The batch of an identity, acknowledged or not. */
    withId: (id: string): Batch | undefined =>
      [...batches.value, ...waitingStarts.value].find((batch) => batch.id === id),
    /** The batch that is in a vessel while a plan would be; null where it is free. */
    inVessel: (vesselId: string, plan: Pick<Plan, 'steep'>, startMs: number): Batch | null =>
      vesselInUse({
        batches: steeping.value,
        vesselId,
        startMs,
        hours: steepHoursOf(plan),
        nowMs: shelf.now.getTime(),
      }),
    /** The batch after which a vessel was not cleaned; null where it is clean. */
    uncleaned: (vesselId: string): Batch | null =>
      uncleanedAfter({ batches: batches.value, vesselId }),
    /** Those that steep no more, strained or given up; the last one first. */
    past: computed(() => batches.value.filter(({ status }) => status !== 'steeping').toReversed()),
    /** Bags or inserts that a plan takes, and how many are clean; null where it takes none of the shop's. */
    filterUse: (plan: Plan) =>
      filterUse({ plan, batches: batches.value, filters: shelf.shop?.filters ?? [] }),
    inFull,
    loadInFull,
    loadRunning,
    actualsOf,
    note,
    split,
    keepPhoto,
    /** Those of its photographs that wait for the server. */
    photosWaiting: (id: string) => photos.waitingOf(pathOf(id)),
    load,
    start,
    strain,
  };
});
