import { predictPlan, vesselOf, type Plan, type PlanOutcome } from '@ratio/core/batch';
import { FILTRATIONS } from '@ratio/core/brew';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { useDraft } from './draft.ts';
import { horizonOf } from './usePlan.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, useStored, type Kept } from '../sync/index.ts';

/** A plan that was put aside to be compared. */
export type Variant = Kept['ratio.variants'][number];

const MOST = 3;

/** Up to three plans put aside to compare with the draft. */
export function useVariants() {
  const shop = useShop();
  const drafts = useDraft();
  const format = useAmountFormat();
  const variants = useStored('ratio.variants', []);

  function outcomeOf(
    plan: Plan,
  ): { plan: Plan; result: PlanOutcome; coffee: string; vessel: string } | null {
    const coffee = shop.coffeeOf(plan.coffeeId);
    const vessel = vesselOf(plan, shop.vessels);
    if (!coffee || !vessel) return null;
    const horizonHours = Math.max(horizonOf(plan), horizonOf(drafts.plan));
    const result = predictPlan({ plan, model: shop.modelFor(coffee), vessel, horizonHours });
    return { plan, result, coffee: coffee.name, vessel: vessel.name };
  }
  const kept = computed(() =>
    variants.value.flatMap((variant) => {
      const outcome = outcomeOf(variant.plan);
      return outcome ? [{ ...outcome, variant }] : [];
    }),
  );
  const others = computed(() =>
    kept.value.map(({ result, coffee }) => ({ name: coffee, curve: result.curve })),
  );
  const rows = computed(() => {
    const draft = kept.value.length > 0 ? outcomeOf(drafts.plan) : null;
    if (!draft) return [];
    const all = [draft, ...kept.value];
    const { mass, volume } = format.value;
    const row = (label: string, cell: (input: (typeof all)[number]) => string) => ({
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
      row('Strain', ({ plan }) => FILTRATIONS[plan.filtration.method].label),
      row('Brew', ({ result }) => volume(result.outcome.brewMl)),
      row('Strength', ({ result }) => `${percentText(result.outcome.strengthFrac)}`),
      row('Extraction', ({ result }) => `${percentText(result.outcome.extractionYieldFrac, 1)}`),
    ];
  });

  return {
    variants: computed(() => kept.value.map(({ variant }) => variant)),
    others,
    rows,
    /** Puts the draft aside; the oldest makes room. */
    keep(): void {
      variants.value = [...variants.value, { id: newId(), plan: drafts.plan }].slice(-MOST);
    },
    drop: (i: number) => (variants.value = variants.value.filter((_, k) => k !== i)),
    take(i: number): void {
      const variant = kept.value[i]?.variant;
      if (variant) drafts.takePlan(variant.plan);
    },
  };
}
