import {
  averageReadings,
  brixAt20,
  readingWarnings,
  strengthOfBrix,
} from '@ratio/core/instruments';
import type { InstrumentKind, Sample } from '@ratio/core/instruments';
import type { Step } from '@ratio/core/steps';
import { CONSTANTS } from '@ratio/core/constants';
import { computed, onScopeDispose, ref, watch, type Ref } from 'vue';
import { useInstrumentFeed, useInstruments } from '../instruments/index.ts';
import { useShop } from '../shop/index.ts';
import { useStored } from '../sync/index.ts';

const MEASURED_BY = {
  weighed: 'scale',
  poured: 'scale',
  rinsed: 'scale',
  'came-out': 'scale',
  read: 'refractometer',
} as const satisfies Record<string, InstrumentKind>;

/** What is measured at a step, as plain values. */
export interface StepReading {
  /** What measures it; null where nothing does. */
  readonly kind: InstrumentKind | null;
  /** What the instrument is called; null where there is none. */
  readonly instrument: string | null;
  /** What its connection says. */
  readonly detail: string;
  /** Whether anything is known of its connection. */
  readonly isKnown: boolean;
  readonly sample: Sample | null;
  /** g, or coffee strength 0–1. */
  readonly value: number | null;
  readonly isLive: boolean;
  readonly byHand: boolean;
  /** Whether it cannot be taken yet. */
  readonly waits: boolean;
  readonly warnings: readonly string[];
  /** Of several drops. */
  readonly average: ReturnType<typeof averageReadings> | null;
  readonly dropsBefore: number;
}
/** What a view asks of an instrument. */
export type ReadingAct = 'tare' | 'anotherDrop' | 'toggleHand';

/** Less than this is nothing on the scale yet, g. */
const NOTHING_G = 2;

/**
 * What the step in hand is to take down: from the instrument that measures it while one speaks, or as
 * somebody types it.
 */
export function useStepValue(input: {
  batchId: Readonly<Ref<string>>;
  step: Readonly<Ref<Step | null>>;
}) {
  const { batchId, step } = input;
  const shop = useShop();
  const instruments = useInstruments();
  const feed = useInstrumentFeed();
  feed.watchHere();
  void instruments.load().catch(() => undefined);

  const kind = computed<InstrumentKind | null>(() => {
    const note = step.value?.note;
    return note !== undefined && note in MEASURED_BY
      ? MEASURED_BY[note as keyof typeof MEASURED_BY]
      : null;
  });
  const instrument = computed(() => {
    if (kind.value === null) return null;
    const all = instruments.ofKind(kind.value);
    return all.find(({ id }) => instruments.states.get(id)?.state === 'speaks') ?? all[0] ?? null;
  });
  const state = computed(() =>
    instrument.value ? (instruments.states.get(instrument.value.id) ?? null) : null,
  );
  const sample = computed(() => (state.value?.state === 'speaks' ? state.value.sample : null));

  // Stand-ins find what is at the batch that stands here.
  const attending = computed(() =>
    instruments.all.filter(({ driver }) => driver.by === 'simulated').map(({ id }) => id),
  );
  const attend = (id: string | null): void =>
    attending.value.forEach(
      (one) => void instruments.act(one, { act: 'attend', batchId: id }).catch(() => undefined),
    );
  watch([attending, batchId], () => attend(batchId.value));
  onScopeDispose(() => attend(null));

  /** What the scale held as a pour began, kept through a reload. */
  const begun = useStored('ratio.pourFrom', { key: '', fromG: 0 });
  const stepKey = computed(() => `${batchId.value} ${step.value?.key ?? ''}`);
  const typed = ref<number | null>(null);
  const byHand = ref(false);
  /** Drops that were read before the one on the glass. */
  const drops = ref<number[]>([]);
  watch(stepKey, () => {
    typed.value = null;
    byHand.value = false;
    drops.value = [];
  });
  watch(
    [stepKey, sample],
    ([key, now]) => {
      if (begun.value.key === key || now?.massG == null) return;
      begun.value = { key, fromG: step.value?.note === 'poured' ? now.massG : 0 };
    },
    { immediate: true },
  );

  /** What the instrument says of this step: g, or coffee strength 0–1; null while it says nothing. */
  const live = computed<number | null>(() => {
    if (!sample.value || byHand.value) return null;
    const { massG, brix, sampleC } = sample.value;
    if (massG !== null) return massG - (begun.value.key === stepKey.value ? begun.value.fromG : 0);
    if (brix === null) return null;
    const factor = shop.document?.brixToStrength ?? CONSTANTS.brixToStrength.value;
    return strengthOfBrix({ brix: brixAt20({ brix, sampleC }), factor });
  });
  const average = computed(() =>
    kind.value === 'refractometer' && live.value !== null
      ? averageReadings([...drops.value, live.value])
      : null,
  );
  /** Typed where somebody typed, live otherwise, and what is planned where nothing measures. */
  const value = computed<number | null>(() => {
    if (typed.value !== null) return typed.value;
    if (live.value !== null) return average.value?.strengthFrac ?? live.value;
    const note = step.value?.note;
    return note === 'came-out' || note === 'read' ? null : (step.value?.amountG ?? null);
  });
  const isLive = computed(() => live.value !== null && typed.value === null);
  /** Why it cannot be taken now; empty where it can. */
  const waitsFor = computed(() => {
    if (kind.value === null || byHand.value || typed.value !== null) return '';
    if (!instruments.isKnown) return 'Looking for the instruments';
    if (state.value?.state === 'speaks' && !sample.value)
      return `Waiting for ${instrument.value?.name ?? ''}`;
    if (!isLive.value || !sample.value) return '';
    if (kind.value === 'scale' && live.value! < NOTHING_G) return 'Nothing on the scale yet';
    if (sample.value.isSteady) return '';
    if (kind.value === 'scale') return 'It still moves';
    return 'Wait until the drop has settled';
  });
  const warnings = computed(() =>
    kind.value === 'refractometer' && sample.value
      ? readingWarnings({
          sampleC: sample.value.sampleC,
          isFiltered: true,
          isPlainCoffee: true,
        })
      : [],
  );

  /** As plain values, for the views. */
  const reading = computed<StepReading>(() => ({
    kind: kind.value,
    instrument: instrument.value?.name ?? null,
    detail: state.value?.detail ?? '',
    isKnown: state.value !== null,
    sample: sample.value,
    value: value.value,
    isLive: isLive.value,
    byHand: byHand.value,
    waits: waitsFor.value !== '',
    warnings: warnings.value,
    average: average.value,
    dropsBefore: drops.value.length,
  }));

  return {
    reading,
    kind,
    instrument,
    state,
    value,
    isLive,
    waitsFor,
    warnings,
    toggleHand: (): void => void (byHand.value = !byHand.value),
    type: (next: number): void => void (typed.value = next),
    /** Keeps the drop on the glass beside the next one. */
    anotherDrop: (): void => {
      if (live.value !== null) drops.value = [...drops.value, live.value];
    },
    tare: (): void => {
      if (!instrument.value) return;
      begun.value = { key: stepKey.value, fromG: 0 };
      void instruments.act(instrument.value.id, { act: 'tare' }).catch(() => undefined);
    },
  };
}
