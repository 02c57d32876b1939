import { learnedModel, modelOf, type BrewModel, type Vessel } from '@ratio/core/brew';
import { USUAL_COFFEES, type Coffee } from '@ratio/core/coffee';
import type { LearnedVersion } from '@ratio/core/log';
import type { Shop } from '@ratio/core/shop';
import { useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { readClockAs } from '../format/index.ts';
import {
  askOrLast,
  bodyOf,
  useConnection,
  useDocuments,
  useOutbox,
  useStored,
  waitedMs,
  type Documents,
} from '../sync/index.ts';

const SHOP_PATH = '/api/shop';
const TICK_MS = 5000;
/** The shop, and what its server's clock says. */
type ShopNow = Shop & {
  readonly now: string;
  readonly clockFrozen: boolean;
  readonly clockBehindMs: number;
};

/** The shop and its shelf, and what its clock says. */
export const useShop = defineStore('shop', () => {
  const outbox = useOutbox();
  const loaded = shallowRef<Shop | null>(null);
  /** With the writes that wait for the server. */
  const document = computed(() =>
    outbox.waiting
      .filter(({ path }) => path === SHOP_PATH)
      .reduce<Shop | null>((now, { body }) => now && { ...now, ...(body as object) }, loaded.value),
  );
  watch(
    () => document.value?.clock,
    (clock) => clock && readClockAs(clock),
  );
  const coffees = useDocuments<Coffee>('/api/coffees');
  const vessels = useDocuments<Vessel>('/api/vessels');
  const brewable = computed<Coffee[]>(() => [...coffees.all.value, ...USUAL_COFFEES]);
  const now = ref(new Date());
  /** How far the machine's clock is behind what was written last, ms. */
  const behindMs = ref(0);
  const connection = useConnection();

  async function loadShop(): Promise<void> {
    const { now: time, clockFrozen, clockBehindMs, ...own } = await askOrLast<ShopNow>(SHOP_PATH);
    behindMs.value = clockBehindMs;
    followClock(new Date(time), clockFrozen);
    loaded.value = own;
  }
  /** What was learned from the log, the version in use first. */
  const learned = shallowRef<LearnedVersion[]>([]);
  async function loadLearned(): Promise<void> {
    learned.value = await askOrLast<LearnedVersion[]>('/api/learned');
  }
  async function load(): Promise<void> {
    await Promise.all([loadShop(), coffees.load(), vessels.load(), loadLearned()]);
  }
  /** The learned constants in use, and their version; null for the handbook's. */
  const learnedInUse = computed(() => {
    const [inUse] = learned.value;
    return inUse?.learned ? { learned: inUse.learned, version: inUse.number } : null;
  });
  /** The model of a coffee: by the handbook, corrected by what the shop's log taught. */
  function modelFor(coffee: Coffee): BrewModel {
    const model = modelOf(coffee);
    const inUse = learnedInUse.value;
    return inUse ? learnedModel({ model, coffeeId: coffee.id, ...inUse }) : model;
  }

  const aheadMs = useStored('ratio.aheadMs', 0);
  const isFrozen = ref(false);
  /** The server's clock, to the millisecond. */
  const readMs = (): number => (isFrozen.value ? now.value.getTime() : Date.now() + aheadMs.value);
  const ticking = useIntervalFn(() => (now.value = new Date(readMs())), TICK_MS, {
    immediate: false,
  });
  function followClock(time: Date, frozen: boolean): void {
    isFrozen.value = frozen;
    // A stored answer does not tell the time.
    if (!connection.away) aheadMs.value = time.getTime() + waitedMs(SHOP_PATH) - Date.now();
    now.value = frozen ? time : new Date(Date.now() + aheadMs.value);
    if (frozen) ticking.pause();
    else ticking.resume();
  }

  /** The shop's own document, written like any other. */
  const shops: Pick<Documents<Shop>, 'load' | 'save'> = {
    load: loadShop,
    save: async (next) => {
      const { id: _, version, ...body } = next;
      const write = {
        method: 'PUT' as const,
        path: SHOP_PATH,
        body,
        version,
        before: bodyOf(document.value ?? undefined),
        what: 'The shop',
      };
      const sent = await outbox.write<Shop>(write, (saved) => (loaded.value = saved));
      if (sent.kept) return next;
      await loadShop();
      return sent.answer;
    },
  };

  return {
    document,
    coffees: coffees.all,
    vessels: vessels.all,
    /** Coffees that a batch can be brewed from: those of the shelf, then the usual ones. */
    brewable,
    learned,
    learnedInUse,
    loadLearned,
    modelFor,
    coffeeOf: (id: string): Coffee | undefined => brewable.value.find((one) => one.id === id),
    /** Vessels to steep in, and jugs to keep concentrate in. */
    steepers: computed(() => vessels.all.value.filter(({ use }) => use === 'steep')),
    jugVessels: computed(() => vessels.all.value.filter(({ use }) => use === 'jug')),
    now,
    readMs,
    behindMs,
    zone: computed(() => document.value?.zone ?? 'UTC'),
    load,
    /** How each is written. */
    documents: { shops, coffees, vessels },
  };
});
