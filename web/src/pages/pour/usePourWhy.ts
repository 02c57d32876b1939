import { explainDrink } from './explainDrink.ts';
import type { DrinkCost, ExplainedOfDrink, SolvedDrink } from '@ratio/core/drink';
import { computed, ref, type Ref } from 'vue';
import { useJugs } from '../../stores/jugs.ts';

/** The number of a drink that somebody asks about, and where each of them comes from. */
export function usePourWhy(of: {
  solved: Readonly<Ref<SolvedDrink | null>>;
  cost: Readonly<Ref<DrinkCost | null>>;
}) {
  const jugs = useJugs();
  const asked = ref<ExplainedOfDrink | null>(null);
  /** Every number of it, as one leads to another; null until somebody asks. */
  const explained = computed(() =>
    asked.value && of.solved.value && of.cost.value
      ? explainDrink({
          solved: of.solved.value,
          cost: of.cost.value,
          concentratePricePerKg: jugs.chosen.pricePerKg,
        })
      : null,
  );
  return { asked, explained };
}
