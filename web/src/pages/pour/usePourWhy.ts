import type { DrinkCost, ExplainedOfDrink, SolvedDrink } from '@ratio/core/drink';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { useJugs } from '../../stores/jugs.ts';
import type { explainDrink } from './explainDrink.ts';

/** The number of a drink that somebody asks about, and where each of them comes from. */
export function usePourWhy(of: {
  solved: Readonly<Ref<SolvedDrink | null>>;
  cost: Readonly<Ref<DrinkCost | null>>;
}) {
  const jugs = useJugs();
  const asked = ref<ExplainedOfDrink | null>(null);

  // Fetched when somebody asks for the first time.
  const explain = shallowRef<typeof explainDrink | null>(null);
  watch(asked, async () => (explain.value ??= (await import('./explainDrink.ts')).explainDrink));
  /** Every number of it, as one leads to another; null until somebody asks. */
  const explained = computed(() =>
    explain.value && asked.value && of.solved.value && of.cost.value
      ? explain.value({
          solved: of.solved.value,
          cost: of.cost.value,
          concentratePricePerKg: jugs.chosen.pricePerKg,
        })
      : null,
  );
  return { asked, explained };
}
