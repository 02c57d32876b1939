import { vesselIdOf, vesselOf, type Batch } from '@ratio/core/batch';
import { anyVessel, bedMlOf, slurryMl, vesselFit } from '@ratio/core/brew';
import { coffeeOf } from '@ratio/core/matter';
import type { Progress, Step } from '@ratio/core/steps';
import { computed, type Ref } from 'vue';
import { cssColour } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

/** Water that has only just met grounds is not without colour. */
const PALEST_FRAC = 0.004;

/** The vessel of a batch as it is at the step in hand: what is in it by now, and up to where it goes. */
export function useVesselDrawn(input: {
  batch: Readonly<Ref<Batch>>;
  progress: Readonly<Ref<Progress>>;
  step: Readonly<Ref<Step | null>>;
  comingG: () => number;
  strengthFrac: () => number;
}) {
  const { batch, progress, step } = input;
  const shop = useShop();
  const format = useAmountFormat();

  const plan = computed(() => batch.value.plan);
  const levelOf = (waterG: number): number =>
    slurryMl({ doseG: plan.value.doseG, waterG, tempC: plan.value.waterC });
  const fullMl = computed(() => levelOf(plan.value.waterG));
  const vessel = computed(() => {
    const vesselId = vesselIdOf(batch.value);
    return vesselOf({ ...plan.value, vesselId }, shop.vessels) ?? anyVessel(fullMl.value);
  });
  const behind = (key: string): boolean =>
    progress.value.states.some(
      ({ step: one, state }) => one.key === key && (state === 'noted' || state === 'passed'),
    );

  /** Water in it by what was noted, g; all of it where the pours were passed over. */
  const waterG = computed(() => {
    const pours = progress.value.states.filter(({ step: one }) => one.note === 'poured');
    if (pours.every(({ state }) => state === 'passed')) return plan.value.waterG;
    return pours.reduce((sum, { noted }) => sum + (noted?.massG ?? 0), 0);
  });
  const inItMl = computed(() => {
    const { doseG } = plan.value;
    if (behind('clean')) return 0;
    // What came through is in another vessel; the bed stays.
    if (behind('strain')) return bedMlOf(plan.value);
    const isPouring = step.value?.note === 'poured';
    const nowG = waterG.value + (isPouring ? Math.max(0, input.comingG()) : 0);
    if (nowG > 0) return levelOf(nowG);
    // Dry grounds, loose, from when the vessel stands on the scale with them in it.
    return behind('tare') ? doseG / batch.value.model.looseDensityGPerMl[plan.value.grind] : 0;
  });

  const lines = computed(() => {
    const isPouring = step.value?.note === 'poured';
    const toMl = isPouring ? levelOf(waterG.value + (step.value?.amountG ?? 0)) : null;
    const isFull = toMl !== null && Math.abs(toMl - fullMl.value) < 0.01 * fullMl.value;
    const { brimMl, shaken } = vessel.value;
    const { workingMl } = vesselFit({ slurryMl: fullMl.value, vesselMl: brimMl, shaken });
    return [
      ...(toMl === null
        ? []
        : [{ volumeMl: toMl, text: isFull ? 'full' : 'to here', isNow: true }]),
      ...(isFull ? [] : [{ volumeMl: fullMl.value, text: 'full', isNow: false }]),
      ...(workingMl > 1.05 * fullMl.value
        ? [{ volumeMl: workingMl, text: 'headspace', isNow: false }]
        : []),
    ];
  });

  return {
    vessel,
    fullMl,
    drawn: computed(() => ({
      slurryMl: inItMl.value,
      bedMl: Math.min(inItMl.value, bedMlOf(plan.value)),
      colour: cssColour(
        coffeeOf({ massG: 1, strengthFrac: Math.max(PALEST_FRAC, input.strengthFrac()) }),
      ),
      lines: behind('strain') ? [] : lines.value,
      text: `${vessel.value.name}, ${format.value.volume(inItMl.value)} in it`,
    })),
  };
}
