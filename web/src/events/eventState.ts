import type { Batch, BatchInFull } from '@ratio/core/batch';
import { decide, type EventContext, type EventState } from '@ratio/core/events';
import type { Jug, Ledger, StoredJug } from '@ratio/core/jug';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { eventOf } from './eventOf.ts';
import { useShop } from '../shop/index.ts';
import { useOutbox } from '../sync/index.ts';

/**
 * Batches and jugs as they were last read, and as they are with the writes that wait for the server: each
 * write is decided here by the function that the server decides it with.
 */
export const useEventState = defineStore('eventState', () => {
  const outbox = useOutbox();
  const shop = useShop();
  const batches = shallowRef<readonly Batch[]>([]);
  /** Batches that were read with their observations. */
  const inFull = shallowRef<ReadonlyMap<string, BatchInFull>>(new Map());
  const jugs = shallowRef<readonly Jug[]>([]);
  /** null before it was read. */
  const ledger = shallowRef<Ledger | null>(null);

  const lastRead = computed<EventState>(() => {
    const full = [...inFull.value.values()];
    const emptied = ledger.value?.jugs.filter(({ onHandG }) => onHandG === 0) ?? [];
    return {
      batches: newestOfEach([...batches.value, ...full]),
      observations: new Map(full.map(({ id, actuals }) => [id, actuals])),
      probes: new Map(full.map(({ id, probes }) => [id, probes])),
      jugs: new Map<string, StoredJug>([...emptied, ...jugs.value].map((jug) => [jug.id, jug])),
      entries: ledger.value?.entries ?? [],
    };
  });
  const context = computed<EventContext | null>(
    () =>
      shop.document && {
        nowMs: shop.now.getTime(),
        shop: shop.document,
        vessels: shop.vessels,
        coffees: shop.brewable,
        learned: shop.learnedInUse,
      },
  );
  const waiting = computed(() => outbox.waiting.flatMap((write) => eventOf(write) ?? []));
  /** What was last read, with what waits; a write that would be refused changes nothing. */
  const now = computed<EventState>(() => {
    if (waiting.value.length === 0 || !context.value) return lastRead.value;
    const known = context.value;
    return waiting.value.reduce<EventState>((state, event) => {
      // A decision that depends on observations is not made without them.
      if ('batchId' in event && !state.observations.has(event.batchId)) return state;
      const decision = decide(state, event, known);
      return decision.status === 'decided' ? decision.state : state;
    }, lastRead.value);
  });

  /**
   * Takes in what an acknowledged write led to, until all of it is read again: nothing on the page goes back
   * to how it was before.
   */
  outbox.onAcknowledged((write) => {
    const event = eventOf(write);
    if (!event || !context.value) return;
    const decision = decide(lastRead.value, event, context.value);
    if (decision.status === 'refused') return;
    const { rows } = decision;
    batches.value = withDocuments(batches.value, rows.batches ?? []);
    jugs.value = withDocuments(jugs.value, rows.jugs ?? []);
    const known = new Map(inFull.value);
    for (const batch of rows.batches ?? []) {
      const before = known.get(batch.id) ?? { actuals: [], photos: [], probes: [] };
      known.set(batch.id, { ...before, ...batch });
    }
    for (const row of rows.observations ?? []) {
      const batch = known.get(row.batchId);
      if (batch)
        known.set(batch.id, { ...batch, actuals: [...batch.actuals, { author: '', ...row }] });
    }
    inFull.value = known;
    if (ledger.value) ledger.value = { ...ledger.value, entries: [...decision.state.entries] };
  });

  return { batches, inFull, jugs, ledger, waiting, now };
});

/** Documents by identity in the order of the list, each in the version that was read last. */
function newestOfEach(all: readonly Batch[]): Map<string, Batch> {
  const newest = new Map<string, Batch>();
  for (const one of all)
    if (one.version > (newest.get(one.id)?.version ?? 0)) newest.set(one.id, one);
  return newest;
}

const withDocuments = <T extends { readonly id: string }>(
  all: readonly T[],
  changed: readonly T[],
): T[] => [...all.filter(({ id }) => !changed.some((one) => one.id === id)), ...changed];
