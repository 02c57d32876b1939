import {
  predictStrain,
  strainTiming,
  type Batch,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { vesselTakesMl } from '@ratio/core/brew';
import { roomFor } from '@ratio/core/jug';
import { massOfStoredG, storedCoffeeMl } from '@ratio/core/matter';
import { computed, ref, type Ref } from 'vue';
import { newId, sentenceOf } from '../../api/client.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { useStored } from '../../composables/useStored.ts';
import type { Kept } from '../../kept/shapes.ts';
import { duration } from '../../format/formatClock.ts';
import { useStores } from '../../stores/useStores.ts';
import { OTHER_JUG, type Fill } from './fills.ts';

type Entered = Kept['ratio.strain'][string];

/** Straining a batch: what came out, when, into which jugs; kept through a reload. */
export function useStrain(batch: Readonly<Ref<Batch>>) {
  const { shelf, batches, jugs, notice } = useStores();
  const format = useAmountFormat();
  const doing = ref(false);

  const inUse = computed(() => new Set(jugs.onHand.map(({ vesselId }) => vesselId)));
  const free = computed(() =>
    shelf.vessels.filter(({ id, use }) => use === 'jug' && !inUse.value.has(id)),
  );
  const newFill = (taken: readonly string[] = [], jugId = newId()): Fill => ({
    jugId,
    vesselId: free.value.find(({ id }) => !taken.includes(id))?.id ?? OTHER_JUG,
    amount: null,
    seenAs: 'volume',
  });
  const kept = useStored('ratio.strain', {});
  /** By batch, so that it stays the same jug while others are filled or emptied meanwhile. */
  const firstIds = new Map<string, string>();
  const firstIdOf = (id: string): string => {
    const known = firstIds.get(id) ?? newId();
    firstIds.set(id, known);
    return known;
  };
  const entered = computed<Entered>(
    () =>
      kept.value[batch.value.id] ?? {
        fills: [newFill([], firstIdOf(batch.value.id))],
        strengthFrac: null,
        strainedMs: null,
      },
  );
  const change = (part: Partial<Entered>): void => {
    kept.value = { ...kept.value, [batch.value.id]: { ...entered.value, ...part } };
  };
  function forget(id: string): void {
    const { [id]: _, ...others } = kept.value;
    kept.value = others;
  }
  const setFill = (i: number, part: Partial<Fill>): void =>
    change({ fills: entered.value.fills.with(i, { ...entered.value.fills[i]!, ...part }) });

  const strainedAt = computed(() =>
    new Date(entered.value.strainedMs ?? shelf.now.getTime()).toISOString(),
  );
  const timing = computed(() => strainTiming({ batch: batch.value, strainedAt: strainedAt.value }));
  const predicted = computed(() =>
    predictStrain({ batch: batch.value, actuals: [], strainedAt: strainedAt.value }),
  );
  const strengthFrac = computed(() => entered.value.strengthFrac ?? predicted.value.strengthFrac);
  const densityGPerMl = computed(
    () => 1 / storedCoffeeMl({ massG: 1, strengthFrac: strengthFrac.value }),
  );
  const mlOf = ({ amount, seenAs }: Fill): number =>
    amount === null ? 0 : seenAs === 'volume' ? amount : amount / densityGPerMl.value;
  const wholeMl = computed(() => entered.value.fills.reduce((sum, fill) => sum + mlOf(fill), 0));

  /** Early or late, and what it does; empty where it is as planned. */
  const timingText = computed(() => {
    const minutes = Math.round(Math.abs(timing.value.lateHours) * 60);
    if (minutes < 15) return '';
    const way = timing.value.lateHours < 0 ? 'early' : 'late';
    const [now, planned] = [predicted.value, batch.value.predicted].map((of) =>
      format.value.percent(of.strengthFrac, 1),
    );
    const effect = now === planned ? `${now} all the same` : `${now} instead of ${planned}`;
    return `${duration(minutes)} ${way}: ${effect}.`;
  });

  /** Why what is entered of a jug cannot be; empty where it can. */
  function wrongOf(fill: Fill): string {
    const vessel = free.value.find(({ id }) => id === fill.vesselId);
    if (!vessel || fill.amount === null) return '';
    const capacityMl = vesselTakesMl(vessel);
    const massG = massOfStoredG({ volumeMl: mlOf(fill), strengthFrac: strengthFrac.value });
    const { needMl, fits } = roomFor({ capacityMl, massG, strengthFrac: strengthFrac.value });
    if (fits) return '';
    return `It takes ${format.value.volume(capacityMl)}: ${format.value.volume(needMl - capacityMl)} do not fit.`;
  }

  async function strain(): Promise<boolean> {
    doing.value = true;
    // Once it is strained another batch is open, or none.
    const of = batch.value;
    const whole = format.value.volume(wholeMl.value);
    try {
      const { fills, strengthFrac: read } = entered.value;
      const request: StrainBatchRequest = {
        jugs: fills.map(({ jugId, vesselId, amount, seenAs }) => ({
          jugId,
          ...(vesselId === OTHER_JUG ? {} : { vesselId }),
          ...(seenAs === 'mass' ? { massG: amount! } : { volumeMl: amount! }),
        })),
        ...(read === null ? {} : { strengthFrac: read }),
        // Kept here until the server is back, it was strained now all the same.
        strainedAt: strainedAt.value,
      };
      await batches.strain(of, request);
      await jugs.load();
      const into = fills.length === 1 ? 'in a jug' : `in ${fills.length} jugs`;
      notice.say({
        tone: 'done',
        text: `${of.coffeeName} is ${into}: ${whole}.`,
      });
      forget(of.id);
      return true;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      // A refused strain is entered anew: under other identities it is another one.
      change({ fills: entered.value.fills.map((fill) => ({ ...fill, jugId: newId() })) });
      await batches.load().catch(() => undefined);
      return false;
    } finally {
      doing.value = false;
    }
  }

  return {
    entered,
    free,
    change,
    setFill,
    addFill: () =>
      change({
        fills: [
          ...entered.value.fills,
          newFill(entered.value.fills.map(({ vesselId }) => vesselId)),
        ],
      }),
    dropFill: (i: number) => change({ fills: entered.value.fills.toSpliced(i, 1) }),
    predicted,
    timing,
    timingText,
    wrongOf,
    wholeMl,
    densityGPerMl,
    doing,
    strain,
    format,
  };
}
