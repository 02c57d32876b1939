import type { Batch, BatchInFull } from '@ratio/core/batch';
import { decide, type EventContext, type EventState } from '@ratio/core/events';
import type { Jug, Ledger, StoredJug } from '@ratio/core/jug';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useOutbox } from './outbox.ts';
import { useShop } from './shop.ts';
import { eventOf } from './eventOf.ts';

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
      batches: new Map([...full, ...batches.value].map((batch) => [batch.id, batch])),
      observations: new Map(full.map(({ id, actuals }) => [id, actuals])),
      probes: new Map(full.map(({ id, probes }) => [id, probes])),
      jugs: new Map<string, StoredJug>([...emptied, ...jugs.value].map((jug) => [jug.id, jug])),
      entries: ledger.value?.entries ?? [],
    };
  });
  const context = computed<EventContext | null>(
    () =>
      shop.shop && {
        nowMs: shop.now.getTime(),
        shop: shop.shop,
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
      // What follows from observations is not decided without them.
      if ('batchId' in event && !state.observations.has(event.batchId)) return state;
      const decision = decide(state, event, known);
      return decision.status === 'decided' ? decision.state : state;
    }, lastRead.value);
  });

  return { batches, inFull, jugs, ledger, waiting, now };
});
