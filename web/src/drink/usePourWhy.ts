import { explainDrink } from './explainDrink.ts';
import type { DrinkCost, ExplainedOfDrink, SolvedDrink } from '@ratio/core/drink';
import { computed, ref, type Ref } from 'vue';
import { useJugs } from '../events/index.ts';

/** The number of a drink that somebody asks about, and where each of them comes from. */
export function usePourWhy(input: {
  solved: Readonly<Ref<SolvedDrink | null>>;
  cost: Readonly<Ref<DrinkCost | null>>;
}) {
  const jugs = useJugs();
  const asked = ref<ExplainedOfDrink | null>(null);
  /** Every number of it, as one leads to another; null until somebody asks. */
  const explained = computed(() =>
    asked.value && input.solved.value && input.cost.value
      ? explainDrink({
          solved: input.solved.value,
          cost: input.cost.value,
          concentratePricePerKg: jugs.chosen.pricePerKg,
        })
      : null,
  );
  return { asked, explained };
}
