import type { Batch } from '@ratio/core/batch';
import type { StepState } from '@ratio/core/steps';
import { computed, type Ref } from 'vue';
import { hourTime, minutesAndSeconds } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

/** What each step says of itself in a list, and what belongs to its title. */
export function useStepTexts(batch: Readonly<Ref<Batch>>) {
  const shop = useShop();
  const format = useAmountFormat();
  const at = (atMs: number): string => hourTime({ at: new Date(atMs), zone: shop.zone });

  function saysOf({ step, noted, state, dueMs }: StepState): string {
    if (noted?.kind === 'skipped') return 'left out';
    if (noted?.massG != null) return format.value.mass(noted.massG);
    if (noted?.strengthFrac != null) return format.value.percent(noted.strengthFrac);
    if (noted) return at(Date.parse(noted.at));
    if (state === 'passed') return 'not noted';
    if (step.amountG !== null) return format.value.mass(step.amountG);
    if (step.atS !== null && dueMs !== null) return at(dueMs);
    return step.waitS > 0 ? minutesAndSeconds(1000 * step.waitS) : '';
  }

  /** What a title leaves to the batch: grind, place, temperature. */
  const detailOf = computed(() => (state: StepState): string => {
    const { plan } = batch.value;
    const [first] = plan.steep;
    switch (state.step.note) {
      case 'poured':
        return `water at ${format.value.temp(plan.waterC)}`;
      case 'moved':
        return state.step.place === null
          ? ''
          : `${state.step.place.place === 'fridge' ? 'into the fridge' : 'on the counter'}, ${format.value.temp(state.step.place.tempC)}`;
      default:
    }
    if (state.step.key === 'grind') {
      const dial = shop.document?.mill.settings[plan.grind];
      return dial ? `${plan.grind}, mill at ${dial}` : plan.grind;
    }
    if (state.step.key === 'scoop') {
      const gPerMl = batch.value.model.looseDensityGPerMl[plan.grind];
      return `${format.value.volume(plan.doseG / gPerMl)} loose`;
    }
    if (state.step.key === 'put-away' && first)
      return `${first.place === 'fridge' ? 'into the fridge' : 'on the counter'}, ${format.value.temp(first.tempC)}, until ${at(Date.parse(batch.value.endsAt))}`;
    return '';
  });

  return { saysOf, detailOf, at };
}
