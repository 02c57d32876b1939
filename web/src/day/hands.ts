import { vesselNameOf, type Batch } from '@ratio/core/batch';
import { percentText } from '@ratio/core/units';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { Hand } from './hand.ts';
import { useBatches, useProgress } from '../events/index.ts';
import { useDraft } from '../plan/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

/** How long something stays out of sight that was put off. */
const LATER_MS = 10 * 60_000;

/** Everything that needs a hand, the next one first; what somebody puts off is put off on every page. */
export const useHands = defineStore('hands', () => {
  const shop = useShop();
  const batches = useBatches();
  const drafts = useDraft();
  const progressAt = useProgress();
  const format = useAmountFormat();
  /** What was put off, and until when. */
  const putOff = ref<Readonly<Record<string, number>>>({});

  function ofBatch(batch: Batch): Hand | null {
    const { now } = progressAt(batch, shop.now.getTime());
    if (!now) return null;
    const { step, dueMs } = now;
    const { brewMl, strengthFrac } = batch.predicted;
    const isStrain = step.key === 'strain';
    return {
      key: `${batch.id} ${step.key}`,
      // What waits for nothing is to be done since the steep began.
      atMs: dueMs ?? Date.parse(batch.startedAt),
      title: isStrain ? `Strain ${batch.coffeeName}` : step.title,
      where: vesselNameOf(batch),
      text: isStrain
        ? `${format.value.volume(brewMl)} at ${percentText(strengthFrac, 1)}`
        : batch.coffeeName,
      button: isStrain ? 'Start straining' : 'Open this step',
      to: `/steep/${batch.id}`,
    };
  }

  const all = computed<Hand[]>(() => {
    const steeping = batches.steeping.flatMap((batch) => ofBatch(batch) ?? []);
    const { draft, plan, coffee } = drafts;
    const vessel = shop.vessels.find(({ id }) => id === plan.vesselId);
    const planned =
      draft.startAt === null
        ? []
        : [
            {
              key: `start ${draft.id}`,
              atMs: Date.parse(draft.startAt),
              title: `Start ${coffee.name}`,
              where: vessel?.name ?? 'Any vessel',
              text: `${format.value.mass(plan.doseG)} and ${format.value.mass(plan.waterG)}`,
              button: 'Open this plan',
              to: '/plan',
            },
          ];
    return [...steeping, ...planned].toSorted((a, b) => a.atMs - b.atMs);
  });
  const shown = computed(() =>
    all.value.filter(({ key }) => (putOff.value[key] ?? 0) <= shop.now.getTime()),
  );
  return {
    all,
    /** Those that nobody put off. */
    hands: shown,
    /** Those that are due by now, put off or not. */
    due: computed(() => all.value.filter(({ atMs }) => atMs <= shop.now.getTime())),
    later: (key: string): void => {
      putOff.value = { ...putOff.value, [key]: shop.now.getTime() + LATER_MS };
    },
    takeAllBack: (): void => {
      putOff.value = {};
    },
    hasPutOff: computed(() => shown.value.length < all.value.length),
  };
});
