import { blended } from '@ratio/core/jug';
import { storedCoffeeMl } from '@ratio/core/matter';
import { computed, ref, watch } from 'vue';
import { useJug, type Balance } from './useJug.ts';
import { useAmountFormat } from '../shop/index.ts';

/** A little weaker, and a little more: where thinning and stretching begin. */
const THINNER = 0.9;
const STRETCHED = 1.15;
const STEP_FRAC = 1e-4;
const STEP_G = 10;

const rounded = (value: number, step: number, by = Math.round): number =>
  Number((by(value / step) * step).toFixed(6));

export type JugBench = ReturnType<typeof useJugBench>;

/** What is being tried on a jug, each worked out with what the menu becomes, before it is done. */
export function useJugBench() {
  const bench = useJug();
  const format = useAmountFormat();
  const { jug, others } = bench;
  /** As it was read; null before anybody has said it. */
  const readFrac = ref<number | null>(null);
  const thinFrac = ref(0);
  const blendFrac = ref(0);
  const stretchG = ref(0);
  /** What somebody has said that they add, count, throw away; null before they have. */
  const waterG = ref<number | null>(null);
  const drawnG = ref<number | null>(null);
  const drawnFor = ref('');
  const countedG = ref<number | null>(null);
  const discardG = ref<number | null>(null);
  const discardReason = ref('');
  const otherId = ref('');
  const other = computed(() => others.value.find(({ id }) => id === otherId.value) ?? null);

  /** Begins between the two, or with all of the other one where that is less. */
  function chooseOther(id: string): void {
    otherId.value = id;
    if (!other.value || !jug.value) return;
    const { strengthFrac: own, onHandG } = jug.value;
    const { strengthFrac: its, onHandG: itsG } = other.value;
    const between = rounded((own + its) / 2, STEP_FRAC);
    const withAll = blended(
      { massG: onHandG, strengthFrac: own },
      { massG: itsG, strengthFrac: its },
    ).strengthFrac;
    const isEnough = Math.abs(between - own) <= Math.abs(withAll - own);
    // Never a hair more than it holds.
    const nearer = its > own ? Math.floor : Math.ceil;
    blendFrac.value = isEnough ? between : rounded(withAll, STEP_FRAC, nearer);
  }
  /** Nobody has said anything yet. */
  function forget(): void {
    readFrac.value = null;
    waterG.value = null;
    drawnG.value = null;
    drawnFor.value = '';
    countedG.value = null;
    discardG.value = null;
    discardReason.value = '';
  }
  // What is tried begins again from what the jug is now; what somebody is entering stays, whoever pours.
  watch(
    [() => jug.value?.id, () => jug.value?.strengthFrac, () => jug.value?.onHandG],
    ([id], [before]) => {
      if (!jug.value) return;
      const { strengthFrac, onHandG } = jug.value;
      if (id !== before) forget();
      thinFrac.value = rounded(strengthFrac * THINNER, STEP_FRAC);
      stretchG.value = rounded(onHandG * STRETCHED, STEP_G);
      chooseOther(other.value?.id ?? others.value[0]?.id ?? '');
    },
    { immediate: true },
  );
  async function enter(...input: Parameters<typeof bench.enter>): Promise<void> {
    if (await bench.enter(...input)) forget();
  }

  const thin = computed(() => bench.thinTo(thinFrac.value));
  const water = computed(() => bench.stretchTo((jug.value?.onHandG ?? 0) + (waterG.value ?? 0)));
  const blend = computed(() =>
    other.value ? bench.blendWith(other.value, blendFrac.value) : null,
  );
  const stretch = computed(() => bench.stretchTo(stretchG.value));

  const now = computed(() =>
    jug.value ? bench.menuAt(jug.value.strengthFrac, jug.value.onHandG) : null,
  );
  function menuText(afterFrac: number, afterG: number): string {
    if (!now.value) return '';
    const then = bench.menuAt(afterFrac, afterG);
    const lost = then.short.filter((name) => !now.value!.short.includes(name));
    const gained = now.value.short.filter((name) => !then.short.includes(name));
    const [first] = then.counts;
    const before = now.value.counts[0];
    const count = first && before ? ` ${first.name}: ${before.count} → ${first.count}.` : '';
    if (lost.length > 0) return `Out of reach then: ${lost.join(', ')}.${count}`;
    if (gained.length > 0) return `In reach again: ${gained.join(', ')}.${count}`;
    return `The menu stays in reach as it is.${count}`;
  }
  const afterwards = (balance: Balance | null): string =>
    balance && balance.wrong === '' ? menuText(balance.afterFrac, balance.afterG) : '';
  const menus = {
    read: computed(() =>
      readFrac.value === null ? '' : menuText(readFrac.value, jug.value?.onHandG ?? 0),
    ),
    thin: computed(() => afterwards(thin.value)),
    blend: computed(() => afterwards(blend.value)),
    stretch: computed(() => afterwards(stretch.value)),
    water: computed(() => (waterG.value === null ? '' : afterwards(water.value))),
  };

  /** Of what is in the jug. */
  const gPerMl = computed(
    () => 1 / storedCoffeeMl({ massG: 1, strengthFrac: jug.value?.strengthFrac ?? 0 }),
  );
  /** What the jug itself weighs, g; null where nobody has said it. */
  const tareG = computed(
    () => bench.shop.jugVessels.find(({ id }) => id === jug.value?.vesselId)?.tareG ?? null,
  );

  return {
    ...bench,
    enter,
    gPerMl,
    tareG,
    /** @returns what a mass of a strength takes up, as it is written */
    volumeText: (massG: number, strengthFrac: number): string =>
      format.value.volume(storedCoffeeMl({ massG, strengthFrac })),
    waterG,
    water,
    drawnG,
    drawnFor,
    countedG,
    discardG,
    discardReason,
    readFrac,
    thinFrac,
    blendFrac,
    stretchG,
    other,
    chooseOther,
    thin,
    blend,
    stretch,
    menus,
  };
}
