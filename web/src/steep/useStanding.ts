import { brewAt, vesselIdOf, vesselNameOf, vesselOf, type Batch } from '@ratio/core/batch';
import { anyVessel, bedMlOf, slurryMl } from '@ratio/core/brew';
import { coffeeOf } from '@ratio/core/matter';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { useBatches } from '../events/index.ts';
import { cssColour } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

/** How each batch stands in its vessel now, by its identity: to be drawn, and how strong it is by now. */
export function useStanding() {
  const shop = useShop();
  const batches = useBatches();
  const format = useAmountFormat();

  function standing(batch: Batch) {
    const { plan } = batch;
    const vesselId = vesselIdOf(batch);
    const fullMl = slurryMl({ ...plan, tempC: plan.waterC });
    const { strengthFrac } = brewAt({ batch, atMs: shop.now.getTime() });
    return {
      strength: percentText(strengthFrac, 1),
      drawn: {
        vessel: vesselOf({ ...plan, vesselId }, shop.vessels) ?? anyVessel(fullMl),
        slurryMl: fullMl,
        bedMl: bedMlOf(plan),
        colour: cssColour(coffeeOf({ massG: 1, strengthFrac })),
        perUnitMl: format.value.vesselUnitMl,
        text: `${vesselNameOf(batch)}, ${format.value.volume(fullMl)} in it`,
      },
    };
  }
  return computed(() => new Map(batches.steeping.map((one) => [one.id, standing(one)])));
}
