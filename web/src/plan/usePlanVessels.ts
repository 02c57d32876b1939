import { CLEAN_STEP, type Batch } from '@ratio/core/batch';
import { slurryMl, vesselFit, ANY_VESSEL_ID, type Vessel } from '@ratio/core/brew';
import { storeToRefs } from 'pinia';
import { computed, type Ref } from 'vue';
import { useDraft } from './draft.ts';
import { useBatches } from '../events/index.ts';
import { clockTime } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';

/** Which vessels are free for the plan in hand, and what stands in the way of the one that is chosen. */
export function usePlanVessels(startMs: Readonly<Ref<number>>) {
  const shop = useShop();
  const drafts = useDraft();
  const batches = useBatches();
  const notice = useNotice();
  const { plan } = storeToRefs(drafts);
  const format = useAmountFormat();

  const inIt = (id: string) => batches.inVessel(id, plan.value, startMs.value);
  const until = (endsAt: string): string => clockTime({ at: new Date(endsAt), zone: shop.zone });
  const needMl = computed(() => slurryMl({ ...plan.value, tempC: plan.value.waterC }));
  const holds = ({ brimMl, shaken }: Vessel): boolean =>
    vesselFit({ slurryMl: needMl.value, vesselMl: brimMl, shaken }).fit !== 'overflows';

  const options = computed(() => [
    ...shop.steepers.map((vessel) => {
      const batch = inIt(vessel.id);
      const size = format.value.volume(vessel.brimMl);
      return {
        value: vessel.id,
        label: vessel.name,
        reason: batch
          ? `in use until ${until(batch.endsAt)}`
          : batches.uncleaned(vessel.id)
            ? `${size}, not cleaned yet`
            : holds(vessel)
              ? `${size}, free`
              : `${size}, too small for it`,
      };
    }),
    { value: ANY_VESSEL_ID, label: 'Any vessel', reason: 'one that is large enough' },
  ]);
  const inUse = computed(() => inIt(plan.value.vesselId));
  const dirtyAfter = computed(() => batches.uncleaned(plan.value.vesselId));
  const isFree = (id: string): boolean => inIt(id) === null && batches.uncleaned(id) === null;
  /** Why the chosen one cannot be started in; empty where it can. */
  const wrong = computed(() => {
    if (inUse.value)
      return `Holds ${inUse.value.coffeeName} until ${until(inUse.value.endsAt)}: start then, or take another.`;
    if (!dirtyAfter.value) return '';
    return `Not cleaned since ${dirtyAfter.value.coffeeName} was in it: clean it first, or take another.`;
  });
  async function noteClean({ id, coffeeName }: Batch, what: string): Promise<void> {
    const at = new Date(shop.readMs()).toISOString();
    const done = { kind: 'done' as const, step: CLEAN_STEP, note: '', instrumentId: null };
    await batches
      .note(id, { ...done, id: newId(), at }, `${coffeeName}: ${what}`)
      .catch((error: unknown) => notice.say({ tone: 'wrong', text: sentenceOf(error) }));
  }
  /** Says that the chosen one is clean. */
  async function cleaned(): Promise<void> {
    if (dirtyAfter.value) await noteClean(dirtyAfter.value, 'vessel cleaned');
  }
  const filters = computed(() => batches.filterUse(plan.value));
  /** Too few clean bags or inserts for it; empty where there are enough. */
  const filter = computed(() => {
    const use = filters.value;
    if (!use || use.free >= use.needs) return '';
    const many = (count: number): string => `${count} ${use.kind}${count === 1 ? '' : 's'}`;
    const why = use.unwashedAfter
      ? `not washed since ${use.unwashedAfter.coffeeName}`
      : 'the others steep';
    return use.needs > use.whole
      ? `It takes ${many(use.needs)}, and the shelf has ${use.whole}. Take a smaller batch, or one that is drained loose.`
      : `It takes ${many(use.needs)}, and ${use.free} of ${use.whole} ${use.free === 1 ? 'is' : 'are'} free: ${why}.`;
  });
  async function washed(): Promise<void> {
    const after = filters.value?.unwashedAfter;
    if (after) await noteClean(after, `vessel and ${filters.value!.kind} cleaned`);
  }
  /** Free ones that hold it, the smallest first, where the chosen one is not. */
  const others = computed(() =>
    inUse.value === null && dirtyAfter.value === null
      ? []
      : [
          ...shop.steepers
            .filter((vessel) => holds(vessel) && isFree(vessel.id))
            .toSorted((a, b) => a.brimMl - b.brimMl)
            .map(({ id, name }) => ({ id, name })),
          { id: ANY_VESSEL_ID, name: 'Any vessel' },
        ].slice(0, 3),
  );
  /** More in the fridge than it takes; empty where there is room, or nobody said what it takes. */
  const fridge = computed(() => {
    const takesL = shop.document?.fridgeL ?? null;
    if (takesL === null || !plan.value.steep.some(({ place }) => place === 'fridge')) return '';
    const brimOf = (id: string): number =>
      shop.steepers.find((one) => one.id === id)?.brimMl ?? needMl.value;
    const steepingMl = batches.steeping
      .filter(({ plan: of }) => of.steep.some(({ place }) => place === 'fridge'))
      .reduce((sum, { plan: of }) => sum + brimOf(of.vesselId), 0);
    const wholeL = (steepingMl + brimOf(plan.value.vesselId)) / 1000;
    if (wholeL <= takesL) return '';
    return `The fridge takes ${takesL.toFixed(0)} L, and with this one ${wholeL.toFixed(1)} L would stand in it. Start on the counter, in a smaller vessel, or when one is strained.`;
  });

  /** What the page shows of it. */
  const choice = computed(() => ({
    vessels: options.value,
    wrong: wrong.value,
    dirty: !inUse.value && dirtyAfter.value !== null,
    others: others.value,
    fridge: fridge.value,
    filter: filter.value,
    filterUnwashed: filter.value !== '' && filters.value?.unwashedAfter != null,
  }));
  return { choice, washed, cleaned };
}
