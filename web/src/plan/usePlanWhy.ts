import { explainPlan } from './explainPlan.ts';
import type { Explained, PlanOutcome } from '@ratio/core/batch';
import { NARROWED_BY, type MonteCarloResult } from '@ratio/core/brew';
import { percentText } from '@ratio/core/units';
import { storeToRefs } from 'pinia';
import { computed, ref, type Ref } from 'vue';
import { useDraft } from './draft.ts';
import { useAmountFormat } from '../shop/index.ts';

/** Below this share of a range's variance an input is not named. */
const NAMED_FROM_FRAC = 0.05;

/** The number of a plan that somebody asks about: where it comes from, and what would narrow it. */
export function usePlanWhy(input: {
  result: Readonly<Ref<PlanOutcome | null>>;
  sampled: Readonly<Ref<MonteCarloResult | null>>;
}) {
  const { result, sampled } = input;
  const { plan, coffee, model } = storeToRefs(useDraft());
  const format = useAmountFormat();
  const asked = ref<Explained | null>(null);
  /** Every number of it, as one leads to another; null until somebody asks. */
  const explained = computed(() =>
    asked.value && result.value && coffee.value && model.value
      ? explainPlan({
          plan: plan.value,
          model: model.value,
          pricePerKg: coffee.value.pricePerKg,
          result: result.value,
        })
      : null,
  );

  /** The range of what is asked about, and how its ends are written. */
  const range = computed(() => {
    const from = sampled.value;
    switch (from && asked.value) {
      case 'strength':
        return { of: from!.strengthFrac, text: format.value.percent };
      case 'extraction':
        return { of: from!.extractionYieldFrac, text: format.value.percent };
      case 'brew':
        return { of: from!.brewMl, text: format.value.volume };
      default:
        return null;
    }
  });
  const rangeText = computed(() => {
    if (!range.value) return '';
    const { of, text } = range.value;
    const draws = `5th to 95th percentile of ${sampled.value?.draws} draws`;
    return `${text(of.low)} to ${text(of.high)}, ${draws}`;
  });
  const narrowedBy = computed(() =>
    (range.value?.of.contributions ?? [])
      .filter(({ shareFrac }) => shareFrac > NAMED_FROM_FRAC)
      .map(
        ({ input: of, shareFrac }) =>
          `${percentText(shareFrac, 0)} of its variance would go: ${NARROWED_BY[of]}.`,
      ),
  );
  return { asked, explained, rangeText, narrowedBy };
}
