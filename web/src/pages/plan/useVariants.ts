import {
  inOneLine,
  reckonPlan,
  SEPARATIONS,
  writeMass,
  writeVolume,
  type Plan,
  type PlanOutcome,
} from '@ratio/core';
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { newId } from '../../api/client.ts';
import { useDraft } from '../../stores/draft.ts';
import { useSettings } from '../../stores/settings.ts';
import { useShop } from '../../stores/shop.ts';
import { useStored } from '../../stores/useStored.ts';
import { horizonOf } from './usePlan.ts';

/** A plan that was put aside to be compared. */
export interface Variant {
  readonly id: string;
  readonly plan: Plan;
}

const MOST = 3;

/** Up to three pinned plans beside the draft. */
export function useVariants() {
  const shelf = useShop();
  const drafts = useDraft();
  const { units } = storeToRefs(useSettings());
  const variants = useStored<Variant[]>('ratio.variants', []);

  function outcomeOf(
    plan: Plan,
  ): { plan: Plan; result: PlanOutcome; coffee: string; vessel: string } | null {
    const coffee = shelf.coffees.find(({ id }) => id === plan.coffeeId);
    const vessel = shelf.vessels.find(({ id }) => id === plan.vesselId);
    if (!coffee || !vessel) return null;
    const horizonHours = Math.max(horizonOf(plan), horizonOf(drafts.plan));
    const result = reckonPlan({ plan, coffee, vessel, horizonHours });
    return { plan, result, coffee: coffee.name, vessel: vessel.name };
  }
  const pinned = computed(() =>
    variants.value.flatMap((variant) => {
      const outcome = outcomeOf(variant.plan);
      return outcome ? [{ ...outcome, variant }] : [];
    }),
  );
  const others = computed(() =>
    pinned.value.map(({ result, coffee }) => ({ name: coffee, curve: result.curve })),
  );
  const rows = computed(() => {
    const draft = outcomeOf(drafts.plan);
    if (!draft || pinned.value.length === 0) return [];
    const all = [draft, ...pinned.value];
    const mass = (massG: number) => inOneLine(writeMass({ massG, units: units.value }));
    const row = (label: string, cell: (of: (typeof all)[number]) => string) => ({
      label,
      cells: all.map(cell),
    });
    return [
      row('Coffee', ({ coffee }) => coffee),
      row('Grind', ({ plan }) => plan.grind),
      row('In', ({ plan }) => `${mass(plan.doseG)}, ${mass(plan.waterG)}`),
      row('Ratio', ({ plan }) => `1:${(plan.waterG / plan.doseG).toFixed(1)}`),
      row('Vessel', ({ vessel }) => vessel),
      row('Steep', ({ plan }) =>
        plan.steep.map(({ hours, place }) => `${hours} h ${place}`).join(', '),
      ),
      row('Strain', ({ plan }) => SEPARATIONS[plan.separation.method].label),
      row('Brew', ({ result }) =>
        inOneLine(writeVolume({ volumeMl: result.outcome.brewMl, units: units.value })),
      ),
      row('Strength', ({ result }) => `${(100 * result.outcome.strengthFrac).toFixed(2)} %`),
      row('Yield', ({ result }) => `${(100 * result.outcome.extractionYieldFrac).toFixed(1)} %`),
    ];
  });

  return {
    variants: computed(() => pinned.value.map(({ variant }) => variant)),
    others,
    rows,
    /** Pins the draft; the oldest makes room. */
    pin(): void {
      variants.value = [...variants.value, { id: newId(), plan: drafts.plan }].slice(-MOST);
    },
    unpin: (i: number) => (variants.value = variants.value.filter((_, k) => k !== i)),
    take(i: number): void {
      const variant = pinned.value[i]?.variant;
      if (variant) drafts.takePlan(variant.plan);
    },
  };
}
