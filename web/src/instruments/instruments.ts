import type {
  Instrument,
  InstrumentActRequest,
  InstrumentKind,
  InstrumentState,
} from '@ratio/core/instruments';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { useInstrumentFeed } from './instrumentFeed.ts';
import { ask, useDocuments } from '../sync/index.ts';

const PATH = '/api/instruments';
/** After so long without a word nobody knows what it would say. */
const STALE_MS = 5000;
const UNHEARD = { state: 'silent', detail: 'Nothing is heard of it here.' } as const;

/** Instruments of the shop, and what each says now. */
export const useInstruments = defineStore('instruments', () => {
  const feed = useInstrumentFeed();
  const documents = useDocuments<Instrument>(PATH);
  /** Whether it is known by now which there are. */
  const isKnown = ref(false);
  const heard = shallowRef<ReadonlyMap<string, { state: InstrumentState; atMs: number }>>(
    new Map(),
  );
  const seconds = ref(0);
  useIntervalFn(() => {
    if (feed.watching > 0) seconds.value += 1;
  }, 1000);
  /** As each stands by what was heard here: what was heard a while ago says nothing of now. */
  const states = computed<ReadonlyMap<string, InstrumentState>>(() => {
    void seconds.value;
    return new Map(
      [...heard.value].map(([id, { state, atMs }]) => {
        const isOld = performance.now() - atMs > STALE_MS;
        return [id, state.state === 'speaks' && isOld ? { ...state, ...UNHEARD } : state];
      }),
    );
  });
  const hear = (state: InstrumentState): [string, { state: InstrumentState; atMs: number }] => [
    state.instrumentId,
    { state, atMs: performance.now() },
  ];

  async function load(): Promise<void> {
    try {
      await documents.load();
      const now = await ask<InstrumentState[]>(`${PATH}/states`).catch(() => []);
      heard.value = new Map(now.map(hear));
    } finally {
      isKnown.value = true;
    }
  }
  feed.changed.on(() => void load().catch(() => undefined));
  feed.said.on((text) => {
    heard.value = new Map(heard.value).set(...hear(JSON.parse(text) as InstrumentState));
  });

  return {
    all: documents.all,
    documents,
    states,
    isKnown,
    load,
    /** Those of a kind that say something, or might. */
    ofKind: (kind: InstrumentKind) => documents.all.value.filter((one) => one.kind === kind),
    act: (id: string, body: InstrumentActRequest): Promise<InstrumentState> =>
      ask(`${PATH}/${id}/acts`, { method: 'POST', body }),
    /** What this tablet read at its own serial port. */
    push: (id: string, lines: readonly string[]): Promise<InstrumentState> =>
      ask(`${PATH}/${id}/lines`, { method: 'POST', body: { lines } }),
  };
});
