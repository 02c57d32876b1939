import type { BrewOutcome } from '../brew/brew.ts';
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
  /** Most coffee that the vessel's bag takes, g; null without one. */
  readonly bagHoldsG?: number | null;
  /** Whether a part of the steep is planned for a fridge that the vessel does not fit. */
  readonly tooLargeForFridge?: boolean;
  /** Water temperature at the start, °C. */
  readonly waterC: number;
}

type Rule = (planned: PlannedBatch) => Caution | null;

const hoursAboveCold = (steep: PlannedBatch['steep']): number =>
  steep.reduce(
    (sum, { hours, tempC }) => sum + (tempC > CONSTANTS.coldHoldingC.value ? hours : 0),
    0,
  );

const bedAbsorbsAll: Rule = ({ outcome, retainedGPerG }) => {
  if (outcome.brewG > 0) return null;
  const enoughG = Math.ceil((outcome.doseG * (retainedGPerG + 0.5)) / 10) * 10;
  return {
    code: 'bed_drinks_all',
    severity: 'warn',
    text: `The grounds absorb all of the water, so nothing drains. Take less coffee, or at least ${enoughG} g of water.`,
  };
};

const longSteep: Rule = ({ steep }) => {
  const hours = hoursAboveCold(steep);
  if (hours > CONSTANTS.warmSteepHours.value)
    return {
      code: 'steep_over_24_h',
      severity: 'warn',
      text: 'More than 24 h outside the fridge lets microbes grow. Move the steep to the fridge or end it sooner; the local food code decides.',
    };
  if (hours > CONSTANTS.counterSteepHours.value)
    return {
      code: 'counter_steep_over_12_h',
      severity: 'warn',
      text: 'More than 12 h on the counter is longer than many food codes allow. Check the local one, or finish the steep in the fridge.',
    };
  return null;
};

const strongUndiluted: Rule = ({ outcome }) => {
  const { strengthFrac, caffeineMgPerG } = outcome;
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
  fullBag,
  noFridge,
  hotWater,
  strongUndiluted,
];

/** @returns cautions about a planned batch, each with its reason and what to do */
export const batchCautions = (planned: PlannedBatch): Caution[] =>
  BATCH_RULES.map((rule) => rule(planned)).filter((caution) => caution !== null);
