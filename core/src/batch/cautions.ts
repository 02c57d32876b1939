import type { BrewOutcome } from '../brew/brew.ts';
import { GROUNDS_AS_WATER, type TemperatureHistory } from '../brew/temperature.ts';
import { CONSTANTS } from '../constants.ts';
import { densityGPerMl } from '../matter/properties.ts';
import { coffeeOf } from '../matter/composition.ts';
import type { Caution } from '../caution.ts';

const GLASS_ML = 120;
const HOT_C = 60;

interface PlannedBatch {
  readonly outcome: BrewOutcome;
  /** What the grounds retain with this filtration, g per g. */
  readonly retainedGPerG: number;
  readonly steep: readonly { hours: number; tempC: number }[];
  /** How warm the slurry itself is meanwhile; as warm as its places where left out. */
  readonly slurry?: { readonly history: TemperatureHistory; readonly timeConstantS: number };
  /** Room that the dry, loose coffee takes, and what the vessel holds to the brim, mL. */
  readonly dry?: { readonly looseMl: number; readonly brimMl: number };
  /** Most coffee that the vessel's bag takes, g; null without one. */
  readonly bagHoldsG?: number | null;
  /** Whether a part of the steep is planned for a fridge that the vessel does not fit. */
  readonly tooLargeForFridge?: boolean;
  /** Water temperature at the start, °C. */
  readonly waterC: number;
}

/** Hours above the limit of cold holding: of the slurry, and of them those in a place that is cold. */
interface WarmHours {
  readonly all: number;
  readonly inCold: number;
}

type Rule = (planned: PlannedBatch & { readonly warmHours: WarmHours }) => Caution | null;

const COLD_C = CONSTANTS.coldHoldingC.value;
const STEPS_PER_HOUR = 12;

function hoursAboveCold({ steep, slurry }: PlannedBatch): WarmHours {
  let [all, inCold, fromH] = [0, 0, 0];
  for (const { hours, tempC } of steep) {
    const steps = Math.max(1, Math.ceil(hours * STEPS_PER_HOUR));
    const stepH = hours / steps;
    const isWarm = (i: number): boolean =>
      (slurry ? slurry.history.tempC(3600 * (fromH + (i + 0.5) * stepH)) : tempC) > COLD_C;
    const warmH = stepH * Array.from({ length: steps }, (_, i) => i).filter(isWarm).length;
    all += warmH;
    if (tempC <= COLD_C) inCold += warmH;
    fromH += hours;
  }
  return { all, inCold };
}

const bedAbsorbsAll: Rule = ({ outcome, retainedGPerG }) => {
  if (outcome.brewG > 0) return null;
  const enoughG = Math.ceil((outcome.doseG * (retainedGPerG + 0.5)) / 10) * 10;
  return {
    code: 'bed_drinks_all',
    severity: 'warn',
    text: `The grounds absorb all of the water, so nothing drains. Take less coffee, or at least ${enoughG} g of water.`,
  };
};

const longSteep: Rule = ({ warmHours: { all, inCold } }) => {
  if (all > CONSTANTS.warmSteepHours.value && inCold < all)
    return {
      code: 'steep_over_24_h',
      severity: 'warn',
      text: 'More than 24 h above 5 °C lets microbes grow. Move the steep to the fridge or end it sooner; the local food code decides.',
    };
  if (all > CONSTANTS.counterSteepHours.value && inCold < all)
    return {
      code: 'counter_steep_over_12_h',
      severity: 'warn',
      text: 'More than 12 h above 5 °C is longer than many food codes allow. Check the local one, or finish the steep in the fridge sooner.',
    };
  return null;
};

/** What is put into the fridge warm, or in a large vessel, stays warm there. */
const slowToCool: Rule = ({ slurry, steep, waterC, outcome, warmHours: { inCold } }) => {
  const fridgeC = Math.min(...steep.map(({ tempC }) => tempC));
  if (!slurry || inCold <= CONSTANTS.coolingHours.value || fridgeC >= COLD_C) return null;
  const limitS = 3600 * CONSTANTS.coolingHours.value;
  const above = COLD_C - fridgeC;
  const mixedC = fridgeC + above * Math.exp(limitS / slurry.timeConstantS);
  // The grounds are at the room's temperature, and warm the water a little.
  const groundsG = outcome.doseG * GROUNDS_AS_WATER;
  const helpsC = mixedC - (CONSTANTS.groundsC.value - mixedC) * (groundsG / outcome.waterG);
  const litres = (limitS / Math.log((slurry.history.tempC(0) - fridgeC) / above) / VESSEL_S) ** 3;
  const remedies = [
    ...(helpsC < waterC ? [`water of at most ${Math.floor(helpsC)} °C`] : []),
    ...(litres >= 0.2 ? [`vessels of at most ${(Math.floor(10 * litres) / 10).toFixed(1)} L`] : []),
  ];
  return {
    code: 'slow_to_cool',
    severity: inCold > CONSTANTS.counterSteepHours.value ? 'warn' : 'note',
    text: `Above 5 °C for about ${Math.round(inCold)} h in the fridge; ${CONSTANTS.coolingHours.value} h is usual, the local food code decides. Take ${remedies.join(' or ') || 'ice for a part of the water'}.`,
  };
};
const VESSEL_S = CONSTANTS.vesselTimeSPerLitreThird.value;

const dryDoesNotFit: Rule = ({ dry }) =>
  dry && dry.looseMl > dry.brimMl
    ? {
        code: 'dry_does_not_fit',
        severity: 'warn',
        text: `The dry coffee alone takes ${litresText(dry.looseMl)}, more than the ${litresText(dry.brimMl)} that the vessel holds. Take a larger one, or wet it in portions.`,
      }
    : null;
const litresText = (volumeMl: number): string => `${(volumeMl / 1000).toFixed(1)} L`;

const strongUndiluted: Rule = ({ outcome }) => {
  const { strengthFrac, caffeineMgPerG } = outcome;
  // Where nothing drains there is nothing to drink.
  if (outcome.brewG <= 0) return null;
  if (outcome.strengthName !== 'concentrate' && outcome.strengthName !== 'essence') return null;
  const density = densityGPerMl({ composition: coffeeOf({ massG: 1, strengthFrac }), tempC: 4 });
  const mg = Math.round((GLASS_ML * density * caffeineMgPerG) / 10) * 10;
  return {
    code: 'undiluted_concentrate',
    severity: mg > CONSTANTS.singleCaffeineMg.value ? 'warn' : 'note',
    text: `Undiluted, a ${GLASS_ML} mL glass holds about ${mg} mg of caffeine. Label the jug “dilute”.`,
  };
};

const fullBag: Rule = ({ outcome, bagHoldsG }) =>
  bagHoldsG && outcome.doseG > bagHoldsG
    ? {
        code: 'bag_too_full',
        severity: 'warn',
        text: `The bag takes ${bagHoldsG} g. Stuffed fuller the middle stays dry: split it over ${Math.ceil(outcome.doseG / bagHoldsG)} bags.`,
      }
    : null;

const noFridge: Rule = ({ tooLargeForFridge }) =>
  tooLargeForFridge
    ? {
        code: 'vessel_not_in_fridge',
        severity: 'warn',
        text: 'This vessel does not fit the fridge. Take another, split the batch, or steep on the counter by the local rules.',
      }
    : null;

const hotWater: Rule = ({ waterC }) =>
  waterC > HOT_C
    ? {
        code: 'hot_water_in_glass',
        severity: 'warn',
        text: 'Hot water cracks cold glass and scalds. Warm the vessel first, or start below 60 °C.',
      }
    : null;

/** Rules about planning a batch, gravest first within a concern. */
const BATCH_RULES: readonly Rule[] = [
  bedAbsorbsAll,
  longSteep,
  slowToCool,
  dryDoesNotFit,
  fullBag,
  noFridge,
  hotWater,
  strongUndiluted,
];

/** @returns cautions about a planned batch, each with its reason and what to do */
export function batchCautions(planned: PlannedBatch): Caution[] {
  const warmHours = hoursAboveCold(planned);
  return BATCH_RULES.map((rule) => rule({ ...planned, warmHours })).filter(
    (caution) => caution !== null,
  );
}
