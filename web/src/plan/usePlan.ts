import {
  predictPlan,
  steepHoursOf,
  vesselOf,
  type Plan,
  type PlanOutcome,
} from '@ratio/core/batch';
import { anyVessel, bedMlOf, immersionYieldFrac, slurryMl } from '@ratio/core/brew';
import { drinksLeft } from '@ratio/core/drink';
import { coffeeOf } from '@ratio/core/matter';
import { storeToRefs } from 'pinia';
import { computed, watchEffect } from 'vue';
import type { RangeJob } from './range.worker.ts';
import { useSampledRange } from './useSampledRange.ts';
import { useDraft } from './draft.ts';
import { solutionSentence } from './planText.ts';
import { useDrinks, useMenuCount } from '../drink/index.ts';
import { cssColour, duration } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

const DRAWS = 5000;
/** Drinks that the page counts. */
const NAMED_DRINKS = 3;
const DAY_MS = 86_400_000;

/** Hours that a plan's curve goes on. */
export const horizonOf = (plan: Plan): number =>
  Math.max(30, Math.ceil((steepHoursOf(plan) + 4) / 6) * 6);

/** The draft and what it leads to, as the page shows it. Everything is computed by the core. */
export function usePlan() {
  const shop = useShop();
  const drafts = useDraft();
  const drinks = useDrinks();
  const format = useAmountFormat();
  const { plan, coffee, model, draft, conflict } = storeToRefs(drafts);
  watchEffect(drafts.fillIn);
  // A vessel that left the shelf is taken for any.
  const vessel = computed(
    () =>
      vesselOf(plan.value, shop.vessels) ??
      anyVessel(slurryMl({ ...plan.value, tempC: plan.value.waterC })),
  );
  /** Days since the roast; null where its date is not known. */
  const restedDays = computed(() => {
    const { roastedOn } = coffee.value;
    if (roastedOn === null) return null;
    return Math.max(0, Math.floor((shop.now.getTime() - Date.parse(roastedOn)) / DAY_MS));
  });
  const hours = computed(() => steepHoursOf(plan.value));

  const predicted = computed<PlanOutcome | { failure: string }>(() => {
    try {
      return predictPlan({
        plan: plan.value,
        model: model.value,
        vessel: vessel.value,
        horizonHours: horizonOf(plan.value),
        scooped: draft.value.scooped,
      });
    } catch (error) {
      return { failure: error instanceof Error ? error.message : 'It cannot be computed.' };
    }
  });
  const result = computed(() => ('outcome' in predicted.value ? predicted.value : null));
  const failure = computed(() => ('failure' in predicted.value ? predicted.value.failure : ''));

  const job = computed<RangeJob | null>(() => {
    if (!result.value) return null;
    return {
      plan: plan.value,
      model: model.value,
      scooped: draft.value.scooped,
      draws: DRAWS,
    };
  });
  const sampled = useSampledRange(job);

  const volume = (volumeMl: number): string => format.value.volume(volumeMl);

  const drawing = computed(() => {
    const found = result.value;
    if (!found) return null;
    const { outcome, fit, curve } = found;
    const steeped = curve.find((point) => point.hours >= hours.value) ?? curve.at(-1)!;
    const bedMl = Math.min(fit.slurryMl, bedMlOf(plan.value));
    const head = {
      fits: `${volume(fit.headspaceMl)} headspace: fits`,
      tight: `${volume(fit.headspaceMl)} headspace: tight`,
      overflows: `overflows by ${volume(-fit.headspaceMl)}`,
    }[fit.fit];
    return {
      vessel: vessel.value,
      slurryMl: fit.slurryMl,
      workingMl: fit.workingMl,
      bedMl,
      brewMl: outcome.brewMl,
      texts: {
        retained: `${volume(outcome.retainedG)} stays in the grounds`,
        brew: volume(outcome.brewMl),
        level: `${volume(fit.slurryMl)} to the level`,
        head,
        steep: `${duration(Math.round(hours.value * 60))}, then strain`,
      },
      colours: {
        steep: cssColour(coffeeOf({ massG: 1, strengthFrac: steeped.strengthFrac })),
        brew: cssColour(coffeeOf({ massG: 1, strengthFrac: outcome.strengthFrac })),
      },
      perUnitMl: format.value.vesselUnitMl,
    };
  });

  const chart = computed(() => {
    const found = result.value;
    if (!found) return null;
    const { outcome, range, curve } = found;
    const { doseG, waterG } = plan.value;
    return {
      curve,
      hours: hours.value,
      yieldFrac: outcome.extractionYieldFrac,
      releasedFrac: outcome.releasedFrac,
      spread: {
        low: range.strengthFrac.low / outcome.strengthFrac,
        high: range.strengthFrac.high / outcome.strengthFrac,
      },
      yieldOfStrength: (strengthFrac: number) =>
        immersionYieldFrac({ doseG, waterG, strengthFrac }),
    };
  });

  const drawn = useMenuCount('draws', () => result.value && [result.value.outcome]);
  /** How many of the first few drinks it makes; 0 where it is too weak for one. */
  const pours = computed(() => {
    const found = result.value;
    if (!found || found.outcome.brewG <= 0 || !drawn.value?.[0]) return [];
    const [each] = drawn.value;
    const { brewG: onHandG } = found.outcome;
    return drinks.drinks.slice(0, NAMED_DRINKS).flatMap((drink) => {
      const eachG = each!.get(drink.id);
      return eachG === undefined ? [] : [{ drink, eachG, count: drinksLeft({ eachG, onHandG }) }];
    });
  });
  /** What a litre of it costs, or a quart. */
  const cost = computed(() => {
    const brewMl = result.value?.outcome.brewMl ?? 0;
    const pricePerKg = coffee.value.pricePerKg;
    if (pricePerKg === null || brewMl <= 0) return null;
    const { pricedVolume, vesselUnitMl } = format.value;
    const price = (plan.value.doseG / 1000) * pricePerKg * (vesselUnitMl / brewMl);
    return { figure: price.toFixed(2), unit: `per ${pricedVolume}` };
  });
  /** Which amount cannot be had with the others, and what can; null where all of them can. */
  const refused = computed(() =>
    conflict.value
      ? { key: conflict.value.key, text: solutionSentence(conflict.value, format.value.units) }
      : null,
  );

  return {
    vessel,
    restedDays,
    hours,
    result,
    failure,
    sampled,
    drawing,
    chart,
    pours,
    cost,
    refused,
    format,
    volume,
  };
}
