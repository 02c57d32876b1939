import {
  convert,
  coffeeOf,
  immersionYieldFrac,
  inOneLine,
  reckonPlan,
  waterToLineG,
  writeVolume,
  type PlanOutcome,
} from '@ratio/core';
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { clockTime, dayName, duration } from '../../clock/formatClock.ts';
import { cssColour } from '../../drawing/colour.ts';
import { useDraft } from '../../stores/draft.ts';
import { useMenu } from '../../stores/menu.ts';
import { useSettings } from '../../stores/settings.ts';
import { useShop } from '../../stores/shop.ts';

const HOUR_MS = 3_600_000;
const KEEP_DAYS_AFTER = 6;
const BED_ML_PER_G = 2.77;

/** The draft, what it leads to, and how the page shows it. Nothing is computed here but by the core. */
export function usePlan() {
  const shelf = useShop();
  const drafts = useDraft();
  const menu = useMenu();
  const { units } = storeToRefs(useSettings());
  const { draft, plan } = storeToRefs(drafts);
  const { shop, coffees, vessels, zone, now } = storeToRefs(shelf);

  const coffee = computed(
    () => coffees.value.find(({ id }) => id === plan.value.coffeeId) ?? coffees.value[0],
  );
  const vessel = computed(
    () => vessels.value.find(({ id }) => id === plan.value.vesselId) ?? vessels.value[0],
  );
  const hours = computed(() => plan.value.steep.reduce((sum, piece) => sum + piece.hours, 0));

  const reckoned = computed<PlanOutcome | { failure: string } | null>(() => {
    if (!coffee.value || !vessel.value) return null;
    const horizonHours = Math.max(30, Math.ceil((hours.value + 4) / 6) * 6);
    try {
      return reckonPlan({
        plan: plan.value,
        coffee: coffee.value,
        vessel: vessel.value,
        horizonHours,
      });
    } catch (error) {
      return { failure: error instanceof Error ? error.message : 'It cannot be computed.' };
    }
  });
  const result = computed(() =>
    reckoned.value && 'outcome' in reckoned.value ? reckoned.value : null,
  );
  const failure = computed(() =>
    reckoned.value && 'failure' in reckoned.value ? reckoned.value.failure : '',
  );

  const volume = (volumeMl: number): string =>
    inOneLine(writeVolume({ volumeMl, units: units.value }));
  const perUnitMl = computed(() =>
    units.value === 'metric' ? 1000 : convert({ value: 1, from: 'quart', to: 'millilitre' }),
  );

  const drawing = computed(() => {
    const found = result.value;
    if (!found || !vessel.value) return null;
    const { outcome, fit, curve } = found;
    const steeped = curve.find((point) => point.hours >= hours.value) ?? curve.at(-1)!;
    const bedMl = Math.min(fit.slurryMl, plan.value.doseG * BED_ML_PER_G);
    const head =
      fit.fit === 'fits'
        ? `${volume(fit.headspaceMl)} headspace: fits`
        : fit.fit === 'tight'
          ? `${volume(fit.headspaceMl)} headspace: tight`
          : `${volume(-fit.headspaceMl)} too much: overflows`;
    return {
      vessel: vessel.value,
      slurryMl: fit.slurryMl,
      workingMl: fit.workingMl,
      bedMl,
      brewMl: outcome.brewMl,
      retainedText: `${volume(outcome.retainedG)} stays in the grounds`,
      brewText: volume(outcome.brewMl),
      levelText: `${volume(fit.slurryMl)} to the level`,
      headText: head,
      steepText: `${duration(Math.round(hours.value * 60))}, then strain`,
      steepColour: cssColour(coffeeOf({ massG: 1, strengthFrac: steeped.strengthFrac })),
      brewColour: cssColour(coffeeOf({ massG: 1, strengthFrac: outcome.strengthFrac })),
      perUnitMl: perUnitMl.value,
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

  const later = (addedHours: number): Date => new Date(now.value.getTime() + addedHours * HOUR_MS);
  const clockAt = (atHours: number): string => clockTime({ at: later(atHours), zone: zone.value });
  const clock = computed(() => ({
    start: clockTime({ at: now.value, zone: zone.value }),
    strain: clockAt(hours.value),
    inTime: duration(Math.round(hours.value * 60)),
    useBy: dayName({ at: later(hours.value + KEEP_DAYS_AFTER * 24), zone: zone.value }),
  }));

  /** How many of each drink the brew makes, were it the jug; strongest demand first as on the menu. */
  const pours = computed(() => {
    const found = result.value;
    if (!found || found.outcome.brewG <= 0) return [];
    return menu.poursOf(found.outcome).slice(0, 4);
  });

  /** Water that brings the slurry to a level of the vessel, or null where the grounds reach it. */
  const waterForLevel = (lineMl: number): number | null => {
    const { doseG, waterC } = plan.value;
    const waterG = waterToLineG({ lineMl, doseG, tempC: waterC });
    return waterG > 0 ? waterG : null;
  };

  return {
    shop,
    coffees,
    vessels,
    coffee,
    vessel,
    draft,
    plan,
    hours,
    result,
    failure,
    drawing,
    chart,
    clock,
    clockAt,
    pours,
    units,
    volume,
    waterForLevel,
    drafts,
  };
}
