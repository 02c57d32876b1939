import {
  afterRow,
  contentOfJug,
  ledgerRow,
  madeElsewhere,
  type Content,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
  type LedgerRow,
  type NewJugRequest,
} from '@ratio/core/jug';
import { massOfStoredG, storedCoffeeMl } from '@ratio/core/matter';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { askOrLast } from '../api/askOrLast.ts';
import { ask, newId } from '../api/client.ts';
import { useStored } from '../composables/useStored.ts';
import { useOutbox } from './outbox.ts';
import { useShop } from './shop.ts';

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

/** Concentrate on hand, as the server's ledger has it, and the jug that is being poured from. */
export const useJugs = defineStore('jugs', () => {
  const outbox = useOutbox();
  const shelf = useShop();
  const loaded = shallowRef<Jug[]>([]);
  const chosenId = useStored('ratio.jug', null);
  /** With what was done here and the server has not acknowledged yet. */
  const jugs = computed(() => withEntries(loaded.value, waitingEntries(outbox.waiting)));

  async function load(): Promise<void> {
    loaded.value = await askOrLast<Jug[]>('/api/jugs');
  }

  async function enter(jug: Jug, request: JugEntryRequest, what = jug.label): Promise<void> {
    const write = {
      method: 'POST' as const,
      path: `/api/jugs/${jug.id}/entries`,
      body: { ...request, at: shelf.now.toISOString() },
      what,
    };
    const sent = await outbox.write<Jug>(write, (now) => {
      loaded.value = loaded.value.map((one) => (one.id === now.id ? now : one));
    });
    if (!sent.kept) await load();
  }

  const onHand = computed(() => jugs.value.filter(({ onHandG }) => onHandG >= EMPTY_G));
  const aboutFrac = useStored('ratio.about', ABOUT_FRAC);
  const about = computed<Jug>(() => {
    const { roomC = 22, fridgeC = 4 } = shelf.shop ?? {};
    const strengthFrac = aboutFrac.value;
    const { caffeineMgPerG } = madeElsewhere({ strengthFrac, roomC, fridgeC });
    const now = shelf.now.toISOString();
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
      onHandG: massOfStoredG({ volumeMl: 1000, strengthFrac }),
      lastEntryId: null,
    };
  });
  /** The one that was picked, or else the oldest, which should go first; an assumed one where there is none. */
  const chosen = computed<Jug>(() => {
    if (chosenId.value === ABOUT_ID) return about.value;
    return onHand.value.find(({ id }) => id === chosenId.value) ?? onHand.value[0] ?? about.value;
  });
  /** Whether the jug in hand is only assumed. */
  const isAssumed = computed(() => chosen.value.id === ABOUT_ID);

  return {
    jugs,
    onHand,
    /** The one that was picked, or else the oldest: it should go first. */
    chosen,
    choose: (id: string) => (chosenId.value = id),
    aboutFrac,
    isAssumed,
    /** What can be poured from; a concentrate that nobody has noted, a litre of about so much, where it is in hand. */
    toPourFrom: computed(() => (isAssumed.value ? [...onHand.value, about.value] : onHand.value)),
    load,
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

interface WaitingEntry {
  readonly jugId: string;
  readonly request: JugEntryRequest;
}

function waitingEntries(writes: readonly { path: string; body?: unknown }[]): WaitingEntry[] {
  return writes.flatMap(({ path, body }) => {
    const [, jugId] = /^\/api\/jugs\/([^/]+)\/entries$/.exec(path) ?? [];
    return jugId === undefined ? [] : [{ jugId, request: body as JugEntryRequest }];
  });
}

/** Jugs as they will be once what waits has arrived; the server has the last word. */
function withEntries(jugs: readonly Jug[], entries: readonly WaitingEntry[]): Jug[] {
  const undone = new Set(
    entries.map(({ request }) => (request.kind === 'undone' ? request.entryId : null)),
  );
  const now = new Map(jugs.map((jug) => [jug.id, jug]));
  const apply = (
    id: string,
    row: Pick<LedgerRow, 'id' | 'kind'> & Partial<LedgerRow>,
    taken: Content | null = null,
  ): void => {
    const jug = now.get(id);
    if (!jug) return;
    const whole = ledgerRow({ ...row, jugId: id });
    now.set(id, { ...jug, ...afterRow({ state: jug, row: whole, taken }) });
  };
  for (const { jugId, request } of entries) {
    const jug = now.get(jugId);
    if (!jug || undone.has(request.id)) continue;
    const { id } = request;
    if (request.kind === 'poured' || request.kind === 'discarded')
      apply(jugId, { id, kind: request.kind, massG: -Math.min(request.massG, jug.onHandG) });
    else if (request.kind === 'watered')
      apply(jugId, { id, kind: 'watered', massG: request.massG ?? request.volumeMl ?? 0 });
    else if (request.kind === 'read')
      apply(jugId, { id, kind: 'read', strengthFrac: request.strengthFrac });
    else if (request.kind === 'blended') {
      const from = now.get(request.fromJugId);
      if (!from) continue;
      const massG = Math.min(request.massG, from.onHandG);
      apply(from.id, { id, kind: 'blended-out', massG: -massG });
      apply(jugId, { id, kind: 'blended-in', massG }, contentOfJug(from));
    }
  }
  return [...now.values()];
}
