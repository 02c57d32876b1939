import { jugAt } from '@ratio/core/events';
import {
  madeElsewhere,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
  type Ledger,
  type NewJugRequest,
} from '@ratio/core/jug';
import { massOfStoredG, storedCoffeeMl } from '@ratio/core/matter';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useEventState } from './eventState.ts';
import { useShop } from '../shop/index.ts';
import { ask, askOrLast, newId, useOutbox, useStored } from '../sync/index.ts';

const EMPTY_G = 1;
const ABOUT_ID = 'about';
/** A usual concentrate: 1 to 5, overnight (common practice). */
const ABOUT_FRAC = 0.035;

/** @returns what is left in a jug, mL */
export const onHandMl = ({
  onHandG,
  strengthFrac,
}: Pick<Jug, 'onHandG' | 'strengthFrac'>): number =>
  storedCoffeeMl({ massG: onHandG, strengthFrac });

/** The jugs on hand by the server's ledger, and the jug that is chosen for pouring. */
export const useJugs = defineStore('jugs', () => {
  const outbox = useOutbox();
  const shop = useShop();
  const state = useEventState();
  const chosenId = useStored('ratio.jug', null);
  /** The oldest first, with the writes that wait for the server. */
  const jugs = computed<Jug[]>(() => {
    const listed = new Set(state.jugs.map(({ id }) => id));
    return [...state.now.jugs.values()]
      .filter(({ id, onHandG }) => listed.has(id) || onHandG > 0)
      .map((jug) => (jug.onGrounds ? jugAt(state.now, jug, shop.now.getTime()) : jug))
      .toSorted((a, b) => Date.parse(a.madeAt) - Date.parse(b.madeAt));
  });

  /** Reads what an undo or a correction is decided on while the server is away; from then on `load` does. */
  async function loadLedger(): Promise<void> {
    state.ledger = await askOrLast<Ledger>('/api/ledger');
  }
  async function load(): Promise<void> {
    if (state.ledger !== null) void loadLedger().catch(() => undefined);
    state.jugs = await askOrLast<Jug[]>('/api/jugs');
  }

  async function enter(jug: Jug, request: JugEntryRequest, what = jug.label): Promise<void> {
    const write = {
      method: 'POST' as const,
      path: `/api/jugs/${jug.id}/entries`,
      body: { ...request, at: shop.now.toISOString() },
      what,
    };
    const sent = await outbox.write<Jug>(write, (now) => {
      state.jugs = state.jugs.map((one) => (one.id === now.id ? now : one));
    });
    if (!sent.kept) await load();
  }

  const onHand = computed(() => jugs.value.filter(({ onHandG }) => onHandG >= EMPTY_G));
  const aboutFrac = useStored('ratio.about', ABOUT_FRAC);
  const about = computed<Jug>(() => {
    const { roomC = 22, fridgeC = 4 } = shop.document ?? {};
    const strengthFrac = aboutFrac.value;
    const { caffeineMgPerG } = madeElsewhere({ strengthFrac, roomC, fridgeC });
    const now = shop.now.toISOString();
    return {
      id: ABOUT_ID,
      version: 0,
      label: 'an assumed concentrate',
      coffeeName: '',
      batchId: null,
      onGrounds: false,
      vesselId: null,
      filledRange: null,
      strengthFrac,
      readBy: 'taste',
      caffeineMgPerG,
      pricePerKg: null,
      capacityMl: null,
      madeAt: now,
      useBy: now,
      filled: { strengthFrac, readBy: 'taste', caffeineMgPerG, pricePerKg: null, useBy: now },
      onHandG: massOfStoredG({ volumeMl: 1000, strengthFrac }),
      lastEntryId: null,
    };
  });
  /** The chosen jug, or else the oldest one; an assumed one where there is no jug. */
  const chosen = computed<Jug>(() => {
    if (chosenId.value === ABOUT_ID) return about.value;
    return onHand.value.find(({ id }) => id === chosenId.value) ?? onHand.value[0] ?? about.value;
  });
  /** Whether the jug in hand is only assumed. */
  const isAssumed = computed(() => chosen.value.id === ABOUT_ID);

  return {
    jugs,
    onHand,
    /** The chosen jug, or else the oldest one. */
    chosen,
    choose: (id: string) => (chosenId.value = id),
    aboutFrac,
    isAssumed,
    /** What can be poured from; a concentrate that nobody has noted, a litre of about so much, where it is in hand. */
    toPourFrom: computed(() => (isAssumed.value ? [...onHand.value, about.value] : onHand.value)),
    load,
    loadLedger,
    pour: ({ jug, ...poured }: { jug: Jug; id: string; massG: number; note: string }) =>
      enter(jug, { ...poured, kind: 'poured' }, `${poured.note} from ${jug.label}`),
    enter,
    /** Takes in a jug that was filled elsewhere. */
    add: async (request: NewJugRequest): Promise<void> => {
      const write = {
        method: 'POST' as const,
        path: '/api/jugs',
        body: request,
        what: request.label,
      };
      const sent = await outbox.write(write);
      if (!sent.kept) await load();
    },
    entries: (id: string): Promise<JugEntry[]> => ask(`/api/jugs/${id}/entries`),
    undo: (jug: Jug, entryId: string) =>
      enter(jug, { id: newId(), kind: 'undone', entryId }, `${jug.label}: taken back`),
  };
});
