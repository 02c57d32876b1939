import {
  inOneLine,
  SEPARATIONS,
  WETTINGS,
  writeMass,
  writeTemp,
  writeVolume,
  type PlanOutcome,
  type ShopUnits,
} from '@ratio/core';
import { storeToRefs } from 'pinia';
import { computed, type Ref } from 'vue';
import { useDraft } from '../../stores/draft.ts';
import { useSettings } from '../../stores/settings.ts';
import { useShop } from '../../stores/shop.ts';

/** What the printed sheet of the draft says, in both systems of measures. */
export function useBatchSheet(input: {
  result: Ref<PlanOutcome | null>;
  timeline: Ref<readonly { what: string; when: string }[]>;
}) {
  const shelf = useShop();
  const { plan, coffee } = storeToRefs(useDraft());
  const { units } = storeToRefs(useSettings());

  return computed(() => {
    const found = input.result.value;
    if (!found || !coffee.value || !shelf.shop) return null;
    const own = units.value;
    const other: ShopUnits = own === 'metric' ? 'us' : 'metric';
    const mass = (massG: number, system: ShopUnits) =>
      inOneLine(writeMass({ massG, units: system }));
    const both = (what: string, massG: number) => ({
      what,
      amount: mass(massG, own),
      beside: mass(massG, other),
    });
    const { outcome, range } = found;
    const vessel = shelf.vessels.find(({ id }) => id === plan.value.vesselId)?.name ?? '';
    const dial = shelf.shop.mill.settings[plan.value.grind];
    const volume = (volumeMl: number) => inOneLine(writeVolume({ volumeMl, units: own }));
    const pct = (frac: number) => `${(100 * frac).toFixed(2)} %`;
    const { separation } = plan.value;
    return {
      title: `${coffee.value.name}, ${vessel}`,
      shop: shelf.shop.name,
      amounts: [
        {
          ...both('Coffee', plan.value.doseG),
          what: `Coffee, ${plan.value.grind}${dial ? `, mill ${dial}` : ''}`,
        },
        both(
          `Water at ${inOneLine(writeTemp({ tempC: plan.value.waterC, units: own }))}`,
          plan.value.waterG,
        ),
        ...(separation.rinseG > 0 ? [both('Rinse', separation.rinseG)] : []),
        { what: 'Ratio', amount: `1:${outcome.ratio.toFixed(1)}`, beside: 'by mass' },
      ],
      steps: [
        ...input.timeline.value.map(({ what, when }) => ({ what, when })),
        {
          when: 'Wet',
          what: `${WETTINGS[plan.value.wetting].label}: ${WETTINGS[plan.value.wetting].reason}`,
        },
        {
          when: 'Strain',
          what: `${SEPARATIONS[separation.method].label}: ${SEPARATIONS[separation.method].reason}`,
        },
      ],
      expected: [
        { what: 'Level', amount: volume(outcome.slurryMl) },
        { what: 'Brew', amount: volume(outcome.brewMl) },
        { what: 'between', amount: `${volume(range.brewMl.low)} and ${volume(range.brewMl.high)}` },
        { what: 'Strength', amount: pct(outcome.strengthFrac) },
        {
          what: 'between',
          amount: `${pct(range.strengthFrac.low)} and ${pct(range.strengthFrac.high)}`,
        },
      ],
      cautions: found.cautions.map(({ text }) => text),
    };
  });
}
