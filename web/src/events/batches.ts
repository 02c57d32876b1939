import {
  filterUse,
  steepHoursOf,
  uncleanedAfter,
  vesselInUse,
  type Batch,
  type ObservationRow,
  type BatchInFull,
  type NoteRequest,
  type Plan,
  type SplitBatchRequest,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { predictedStrain } from '@ratio/core/events';
import { defineStore } from 'pinia';
import { computed, watch } from 'vue';
import { useEventState } from './eventState.ts';
import { useShop } from '../shop/index.ts';
import { askOrLast, useOutbox, usePhotos } from '../sync/index.ts';

/** Batches that steep, those whose vessel is not clean, and the latest others. */
export const LATELY_PATH = '/api/batches?count=40';
const pathOf = (id: string): string => `/api/batches/${id}`;

/** The latest batches with the writes that wait for the server; the log has all batches. */
export const useBatches = defineStore('batches', () => {
  const outbox = useOutbox();
  const photos = usePhotos();
  const shop = useShop();
  const state = useEventState();
  const all = computed(() => [...state.now.batches.values()]);

  const keepInFull = (batch: BatchInFull): void => {
    // Rows are only added: an answer with fewer rows was sent before the last note.
    const known = state.inFull.get(batch.id);
    if (known && batch.actuals.length < known.actuals.length) return;
    state.inFull = new Map(state.inFull).set(batch.id, batch);
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
    read(askOrLast<BatchInFull[]>('/api/running').then((running) => running.forEach(keepInFull)));
  /** Reads again the batches that are known in full; a read that has not ended may be older than the change. */
  async function loadOpen(changed?: string): Promise<void> {
    await Promise.allSettled(reading);
    const open = [...state.inFull.keys()].filter((id) => changed === undefined || id === changed);
    await Promise.all(open.map((id) => loadInFull(id).catch(() => undefined)));
  }

  /** @param changed the one that changed; all of them where nobody says which */
  async function load(changed?: string): Promise<void> {
    const [list] = await Promise.all([askOrLast<Batch[]>(LATELY_PATH), loadOpen(changed)]);
    state.batches = list;
  }

  // What waits for the server is decided here on the observations of its batch.
  const unread = computed(() =>
    state.waiting.flatMap((event) =>
      'batchId' in event && !state.now.observations.has(event.batchId) ? [event.batchId] : [],
    ),
  );
  watch(
    () => unread.value.join(),
    () => unread.value.forEach((id) => void loadInFull(id).catch(() => undefined)),
    { immediate: true },
  );

  // The time of an observation is when it was entered, not when it is sent.
  const nowIso = (): string => new Date(shop.readMs()).toISOString();
  const post = (path: string, body: object, what: string) => ({
    method: 'POST' as const,
    path,
    body,
    what,
  });

  /** Notes an observation. Without the server it waits, in the order of entry. */
  async function note(id: string, request: NoteRequest, what: string): Promise<void> {
    const timed = { ...request, at: request.at ?? nowIso() };
    const sent = await outbox.write(post(`${pathOf(id)}/actuals`, timed, what), keepInFull);
    if (!sent.kept) await load(id);
  }

  /** @returns the batch; null while the start is kept here because the server does not answer */
  async function start(request: StartBatchRequest, what: string): Promise<Batch | null> {
    const timed = { ...request, startedAt: request.startedAt ?? nowIso() };
    const write = post('/api/batches', timed, what);
    const sent = await outbox.write<Batch>(write);
    if (sent.kept) return null;
    await load();
    return sent.answer;
  }

  /** Keeps a photograph of a batch; @returns whether the server has it already. */
  async function keepPhoto(id: string, photo: Blob, what: string): Promise<boolean> {
    const { isSent } = await photos.keep(pathOf(id), photo, { at: nowIso(), what });
    if (isSent) await loadInFull(id);
    return isSent;
  }

  async function split(id: string, request: SplitBatchRequest, what: string): Promise<void> {
    const write = post(`${pathOf(id)}/split`, request, what);
    const sent = await outbox.write(write);
    if (!sent.kept) await load(id);
  }

  async function strain(batch: Batch, request: StrainBatchRequest): Promise<void> {
    const what = `${batch.coffeeName}: strained`;
    const write = {
      ...post(`${pathOf(batch.id)}/strain`, request, what),
      version: batch.version,
    };
    const sent = await outbox.write(write);
    if (!sent.kept) await load();
  }

  const waitingStarts = computed(
    () => new Set(state.waiting.map((event) => (event.kind === 'start' ? event.request.id : null))),
  );
  const steeping = computed(() =>
    all.value
      .filter(({ status }) => status === 'steeping')
      .toSorted((a, b) => Date.parse(a.endsAt) - Date.parse(b.endsAt)),
  );

  return {
    batches: all,
    steeping,
    withId: (id: string): Batch | undefined => state.now.batches.get(id),
    /** Whether a batch was started here and the server has not acknowledged it yet. */
    isUnsent: (id: string): boolean => waitingStarts.value.has(id),
    /** The batch that is in a vessel while a plan would be; null where it is free. */
    inVessel: (vesselId: string, plan: Pick<Plan, 'steep'>, startMs: number): Batch | null =>
      vesselInUse({
        batches: steeping.value,
        vesselId,
        startMs,
        hours: steepHoursOf(plan),
        nowMs: shop.now.getTime(),
      }),
    /** The batch after which a vessel was not cleaned; null where it is clean. */
    uncleaned: (vesselId: string): Batch | null => uncleanedAfter({ batches: all.value, vesselId }),
    /** Batches that have ended, strained or given up; the last one first. */
    past: computed(() => all.value.filter(({ status }) => status !== 'steeping').toReversed()),
    /** Bags or inserts that a plan takes, and how many are clean; null where it takes none of the shop's. */
    filterUse: (plan: Plan) =>
      filterUse({ plan, batches: all.value, filters: shop.document?.filters ?? [] }),
    inFull: computed(() => state.inFull),
    loadInFull,
    loadRunning,
    /** What was observed of a batch, acknowledged or not. */
    observationsOf: (id: string): ObservationRow[] =>
      (state.now.observations.get(id) ?? []).map((row) => ({ author: '', ...row })),
    /** What comes out of a batch that is strained at an instant, by all that was observed of it. */
    predictedStrain: (batch: Batch, strainedAt: string) =>
      predictedStrain(state.now, batch, strainedAt),
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
