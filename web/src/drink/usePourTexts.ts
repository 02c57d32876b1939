import { percentFigure, percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { marginFracOf } from './menu.ts';
import type { usePour } from './usePour.ts';

/** What the page says in words about the drink in hand; empty where there is nothing to say. */
export function usePourTexts(pour: ReturnType<typeof usePour>) {
  const { format } = pour;

  /** What rounding to the bar's tools does. */
  const rounding = computed(() => {
    const measured = pour.measured.value;
    if (!measured) return '';
    const { offFrac, overLineMl, solution: poured } = measured;
    const off =
      Math.abs(offFrac) < 5e-5
        ? 'as solved'
        : `${offFrac > 0 ? '+' : '−'}${percentFigure(Math.abs(offFrac))}`;
    const line =
      Math.abs(overLineMl) < 0.5
        ? 'at the fill line'
        : `${format.value.volume(Math.abs(overLineMl))} ${overLineMl > 0 ? 'over' : 'under'} the line`;
    return `Rounded to the tools it is ${format.value.percent(poured.strengthFrac)} (${off}), ${line}.`;
  });
  /** How warm a hot drink is, and how hot to pour for a warm cup. */
  const hotText = computed(() => {
    const hot = pour.hot.value;
    if (!hot) return '';
    const now = `In the cup ${format.value.temp(hot.cupC)}, before the mug takes its part.`;
    return hot.fillC === null
      ? `${now} Even boiling ${fillName.value} does not bring it to ${format.value.temp(hot.wantedC)}: warm the concentrate, or take less of it.`
      : `${now} For ${format.value.temp(hot.wantedC)} pour it at ${format.value.temp(hot.fillC)}.`;
  });
  const fillName = computed(
    () => pour.solved.value?.input.diluents[0]?.ingredient.name.toLowerCase() ?? '',
  );
  /** What is left of the price, where every cost is known. */
  const margin = computed(() => {
    const { drink, cost } = pour;
    const frac = drink.value && cost.value ? marginFracOf(drink.value, cost.value) : null;
    return frac === null ? '' : percentText(frac, 0);
  });

  return { rounding, hotText, margin };
}
