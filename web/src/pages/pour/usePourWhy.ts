import type { DrinkCost, ExplainedOfDrink, SolvedDrink } from '@ratio/core/drink';
import { computed, ref, type Ref } from 'vue';
import { useOnAsking } from '../../composables/useOnAsking.ts';
import { useJugs } from '../../stores/jugs.ts';

/** The number of a drink that somebody asks about, and where each of them comes from. */
export function usePourWhy(of: {
  solved: Readonly<Ref<SolvedDrink | null>>;
  cost: Readonly<Ref<DrinkCost | null>>;
}) {
  const jugs = useJugs();
  const asked = ref<ExplainedOfDrink | null>(null);
  const explain = useOnAsking(
    () => asked.value,
    () => import('./explainDrink.ts'),
  );
  /** Every number of it, as one leads to another; null until somebody asks. */
  const explained = computed(() =>
    explain.value && asked.value && of.solved.value && of.cost.value
      ? explain.value.explainDrink({
          solved: of.solved.value,
          cost: of.cost.value,
          concentratePricePerKg: jugs.chosen.pricePerKg,
        })
      : null,
  );
  return { asked, explained };
}
