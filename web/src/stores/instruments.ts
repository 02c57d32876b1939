import {
  instrumentSchema,
  instrumentStateSchema,
  type InstrumentActRequest,
  type InstrumentKind,
  type InstrumentState,
} from '@ratio/core/instruments';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { z } from 'zod';
import { ask } from '../api/client.ts';
import { useDocuments } from '../composables/useDocuments.ts';
import { useInstrumentFeed } from './instrumentFeed.ts';

const PATH = '/api/instruments';
const statesSchema = z.array(instrumentStateSchema);

/** Instruments of the shop, and what each says now. */
export const useInstruments = defineStore('instruments', () => {
  const feed = useInstrumentFeed();
  const documents = useDocuments(PATH, instrumentSchema);
  /** Whether it is known by now which there are. */
  const isKnown = ref(false);
  const states = shallowRef<ReadonlyMap<string, InstrumentState>>(new Map());

  async function load(): Promise<void> {
    try {
      await documents.load();
      const now = await ask(statesSchema, `${PATH}/states`).catch(() => []);
      states.value = new Map(now.map((state) => [state.instrumentId, state]));
    } finally {
      isKnown.value = true;
    }
  }
  feed.changed.on(() => void load().catch(() => undefined));
  feed.said.on((text) => {
    const state = instrumentStateSchema.safeParse(JSON.parse(text));
    if (state.success)
      states.value = new Map(states.value).set(state.data.instrumentId, state.data);
  });

  return {
    all: documents.all,
    documents,
    states,
    isKnown,
    load,
    /** Those of a kind that say something, or might. */
    ofKind: (kind: InstrumentKind) => documents.all.value.filter((one) => one.kind === kind),
    any: computed(() => documents.all.value.length > 0),
    act: (id: string, body: InstrumentActRequest): Promise<InstrumentState> =>
      ask(instrumentStateSchema, `${PATH}/${id}/acts`, { method: 'POST', body }),
    /** What this tablet read at its own serial port. */
    push: (id: string, lines: readonly string[]): Promise<InstrumentState> =>
      ask(instrumentStateSchema, `${PATH}/${id}/lines`, { method: 'POST', body: { lines } }),
  };
});
