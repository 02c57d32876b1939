import { vesselOf, type PlanOutcome } from '@ratio/core/batch';
import { FILTRATIONS, WETTINGS } from '@ratio/core/brew';
import {
  amountText,
  writeMass,
  writeTemp,
  writeVolume,
  type ShopUnits,
  percentText,
} from '@ratio/core/units';
import { storeToRefs } from 'pinia';
import { computed, type Ref } from 'vue';
import { useDraft } from './draft.ts';
import { useSettings, useShop } from '../shop/index.ts';

/** What the printed sheet of the draft says, in both systems of measures. */
export function useBatchSheet(input: {
  result: Ref<PlanOutcome | null>;
  timeline: Ref<readonly { what: string; when: string }[]>;
}) {
  const shop = useShop();
  const { plan, coffee } = storeToRefs(useDraft());
  const { units } = storeToRefs(useSettings());

  return computed(() => {
    const found = input.result.value;
    if (!found || !coffee.value || !shop.document) return null;
    const own = units.value;
    const other: ShopUnits = own === 'metric' ? 'us' : 'metric';
    const mass = (massG: number, system: ShopUnits) =>
      amountText(writeMass({ massG, units: system }));
    const both = (what: string, massG: number) => ({
      what,
      amount: mass(massG, own),
      also: mass(massG, other),
    });
    const { outcome, range } = found;
    const vessel = vesselOf(plan.value, shop.vessels)?.name ?? '';
    const dial = shop.document.mill.settings[plan.value.grind];
    const volume = (volumeMl: number) => amountText(writeVolume({ volumeMl, units: own }));
    const { filtration } = plan.value;
    return {
      title: `${coffee.value.name}, ${vessel}`,
      shop: shop.document.name,
      amounts: [
        {
          ...both('Coffee', plan.value.doseG),
          what: `Coffee, ${plan.value.grind}${dial ? `, mill ${dial}` : ''}`,
        },
        both(
          `Water at ${amountText(writeTemp({ tempC: plan.value.waterC, units: own }))}`,
          plan.value.waterG,
        ),
        ...(filtration.rinseG > 0 ? [both('Rinse', filtration.rinseG)] : []),
        { what: 'Ratio', amount: `1:${outcome.ratio.toFixed(1)}`, also: 'by mass' },
      ],
      steps: [
        ...input.timeline.value.map(({ what, when }) => ({ what, when })),
        {
          when: 'Wet',
          what: `${WETTINGS[plan.value.wetting].label}: ${WETTINGS[plan.value.wetting].reason}`,
        },
        {
          when: 'Strain',
          what: `${FILTRATIONS[filtration.method].label}: ${FILTRATIONS[filtration.method].reason}`,
        },
      ],
      expected: [
        { what: 'Level', amount: volume(outcome.slurryMl) },
        { what: 'Brew', amount: volume(outcome.brewMl) },
        { what: 'between', amount: `${volume(range.brewMl.low)} and ${volume(range.brewMl.high)}` },
        { what: 'Strength', amount: percentText(outcome.strengthFrac) },
        {
          what: 'between',
          amount: `${percentText(range.strengthFrac.low)} and ${percentText(range.strengthFrac.high)}`,
        },
      ],
      cautions: found.cautions.map(({ text }) => text),
    };
  });
}
