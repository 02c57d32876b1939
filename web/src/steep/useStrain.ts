import {
  inputG,
  countedObservations,
  strainTiming,
  type Batch,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { vesselTakesMl } from '@ratio/core/brew';
import { roomFor } from '@ratio/core/jug';
import { massOfStoredG, storedCoffeeMl } from '@ratio/core/matter';
import { computed, ref, type Ref } from 'vue';
import { OTHER_JUG, type Fill, type StrainEntered, type StrainExpected } from './fills.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { duration } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice, useStored, type Kept } from '../sync/index.ts';

type Typed = Kept['ratio.strain'][string];

/**
 * Straining a batch: what came out, when, into which jugs. What was observed of the batch on any tablet
 * stands in the form; what somebody types here takes its place, and is kept through a reload.
 */
export function useStrain(batch: Readonly<Ref<Batch>>) {
  const shop = useShop();
  const batches = useBatches();
  const jugs = useJugs();
  const notice = useNotice();
  const format = useAmountFormat();
  const busy = ref(false);

  const inUse = computed(() => new Set(jugs.onHand.map(({ vesselId }) => vesselId)));
  const free = computed(() =>
    shop.vessels.filter(({ id, use }) => use === 'jug' && !inUse.value.has(id)),
  );

  /** By batch and place in the form, so that a jug keeps its identity while others are filled or emptied. */
  const jugIds = new Map<string, string>();
  function jugIdAt(place: number): string {
    const key = `${batch.value.id} ${place}`;
    const id = jugIds.get(key) ?? newId();
    jugIds.set(key, id);
    return id;
  }
  /** One jug, of which nobody has said yet how much it takes. */
  const emptyFill = (jugId: string, taken: readonly string[] = []): Fill => ({
    jugId,
    vesselId: free.value.find(({ id }) => !taken.includes(id))?.id ?? OTHER_JUG,
    amount: null,
    seenAs: 'volume',
  });
  /** Jugs that take what came out, the largest first. */
  function fillsOf(massG: number, strengthFrac: number): Fill[] {
    const fills: Fill[] = [];
    let leftG = massG;
    const fill = (vesselId: string, amount: number): void => {
      fills.push({ jugId: jugIdAt(fills.length), vesselId, amount, seenAs: 'mass' });
      leftG -= amount;
    };
    for (const jug of free.value.toSorted((a, b) => vesselTakesMl(b) - vesselTakesMl(a))) {
      if (leftG < 1) break;
      const takesG = massOfStoredG({ volumeMl: vesselTakesMl(jug), strengthFrac });
      fill(jug.id, Math.min(leftG, takesG));
    }
    if (leftG >= 1) fill(OTHER_JUG, leftG);
    return fills;
  }

  /** What the steps of the batch noted of its strain. */
  const observed = computed(() => {
    const counted = countedObservations(batches.observationsOf(batch.value.id));
    const byStep = (key: string) => counted.find(({ step }) => step === key);
    const drawn = byStep('strain');
    return {
      brewG: byStep('weigh-out')?.massG ?? null,
      strengthFrac: byStep('read')?.strengthFrac ?? null,
      strainedMs: drawn ? Date.parse(drawn.at) : null,
    };
  });
  const kept = useStored('ratio.strain', {});
  const typed = computed<Typed>(() => kept.value[batch.value.id] ?? {});
  const strainedMs = computed(() =>
    typed.value.strainedMs === undefined ? observed.value.strainedMs : typed.value.strainedMs,
  );
  const strainedAt = computed(() => new Date(strainedMs.value ?? shop.now.getTime()).toISOString());
  const predicted = computed(() => batches.predictedStrain(batch.value, strainedAt.value));
  const readFrac = computed(() => typed.value.strengthFrac ?? observed.value.strengthFrac);
  const strengthFrac = computed(() => readFrac.value ?? predicted.value.strengthFrac);
  const fills = computed<readonly Fill[]>(() => {
    if (typed.value.fills) return typed.value.fills;
    const { brewG } = observed.value;
    return brewG === null ? [emptyFill(jugIdAt(0))] : fillsOf(brewG, strengthFrac.value);
  });
  const entered = computed<StrainEntered>(() => ({
    fills: fills.value,
    strengthFrac: readFrac.value,
    strainedMs: strainedMs.value,
  }));

  const change = (part: Typed): void => {
    kept.value = { ...kept.value, [batch.value.id]: { ...typed.value, ...part } };
  };
  function forget(id: string): void {
    const { [id]: _, ...others } = kept.value;
    kept.value = others;
  }
  const setFill = (i: number, part: Partial<Fill>): void =>
    change({ fills: fills.value.with(i, { ...fills.value[i]!, ...part }) });

  const timing = computed(() => strainTiming({ batch: batch.value, strainedAt: strainedAt.value }));
  const densityGPerMl = computed(
    () => 1 / storedCoffeeMl({ massG: 1, strengthFrac: strengthFrac.value }),
  );
  const mlOf = ({ amount, seenAs }: Fill): number =>
    amount === null ? 0 : seenAs === 'volume' ? amount : amount / densityGPerMl.value;
  const wholeMl = computed(() => fills.value.reduce((sum, fill) => sum + mlOf(fill), 0));

  /** Early or late, and what it does; empty where it is as planned. */
  const timingText = computed(() => {
    const minutes = Math.round(Math.abs(timing.value.lateHours) * 60);
    if (minutes < 15) return '';
    const way = timing.value.lateHours < 0 ? 'early' : 'late';
    const [now, planned] = [predicted.value, batch.value.predicted].map((prediction) =>
      format.value.percent(prediction.strengthFrac, 1),
    );
    const effect = now === planned ? `${now} all the same` : `${now} instead of ${planned}`;
    return `${duration(minutes)} ${way}: ${effect}.`;
  });

  /** Why what is entered of a jug cannot be; empty where it can. */
  function whyNot(fill: Fill): string {
    const vessel = free.value.find(({ id }) => id === fill.vesselId);
    if (!vessel || fill.amount === null) return '';
    const capacityMl = vesselTakesMl(vessel);
    const massG = massOfStoredG({ volumeMl: mlOf(fill), strengthFrac: strengthFrac.value });
    const { needMl, fits } = roomFor({ capacityMl, massG, strengthFrac: strengthFrac.value });
    if (fits) return '';
    return `It takes ${format.value.volume(capacityMl)}: ${format.value.volume(needMl - capacityMl)} do not fit.`;
  }

  const expected = computed<StrainExpected>(() => {
    return {
      strengthFrac: predicted.value.strengthFrac,
      brewMl: predicted.value.brewMl,
      timingText: timingText.value,
      isFarOff: timing.value.isFarOff,
      mostG: inputG(batch.value.plan),
      wholeMl: wholeMl.value,
      densityGPerMl: densityGPerMl.value,
    };
  });

  async function strain(): Promise<boolean> {
    busy.value = true;
    // Once it is strained another batch is open, or none.
    const strained = batch.value;
    const whole = format.value.volume(wholeMl.value);
    try {
      const request: StrainBatchRequest = {
        jugs: fills.value.map(({ jugId, vesselId, amount, seenAs }) => ({
          jugId,
          ...(vesselId === OTHER_JUG ? {} : { vesselId }),
          ...(seenAs === 'mass' ? { massG: amount! } : { volumeMl: amount! }),
        })),
        ...(readFrac.value === null ? {} : { strengthFrac: readFrac.value }),
        // Kept here until the server is back, it was strained now all the same.
        strainedAt: strainedAt.value,
      };
      await batches.strain(strained, request);
      await jugs.load().catch(() => undefined);
      const count = request.jugs.length;
      const into = count === 1 ? 'in a jug' : `in ${count} jugs`;
      notice.say({ tone: 'done', text: `${strained.coffeeName} is ${into}: ${whole}.` });
      forget(strained.id);
      return true;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      // A refused strain is entered anew: under other identities it is another one.
      change({ fills: fills.value.map((fill) => ({ ...fill, jugId: newId() })) });
      await batches.load().catch(() => undefined);
      return false;
    } finally {
      busy.value = false;
    }
  }

  return {
    /** What the form shows, as plain values. */
    form: computed(() => ({
      entered: entered.value,
      startedAt: batch.value.startedAt,
      now: shop.now,
      zone: shop.zone,
      free: free.value,
      expected: expected.value,
      whyNot: fills.value.map(whyNot),
      busy: busy.value,
      format: format.value,
    })),
    change,
    setFill,
    addFill: () => {
      const taken = fills.value.map(({ vesselId }) => vesselId);
      change({ fills: [...fills.value, emptyFill(newId(), taken)] });
    },
    dropFill: (i: number) => change({ fills: fills.value.toSpliced(i, 1) }),
    strain,
  };
}

export type Strain = ReturnType<typeof useStrain>;
