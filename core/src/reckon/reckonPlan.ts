import {
  batch,
  batchCurve,
  type BatchInput,
  type BatchOutcome,
  type BatchPoint,
} from '../brew/batch.ts';
import { batchRange, type BatchRange } from '../brew/batchRange.ts';
import type { BatchSetting } from '../brew/solveBatch.ts';
import { approachingTemperature } from '../brew/temperature.ts';
import { slurryMl, vesselFit, vesselTimeConstantS, type VesselFit } from '../brew/vessel.ts';
import { batchCautions } from '../caution/batchCautions.ts';
import type { Caution } from '../caution/caution.ts';
import type { Plan } from '../schemas/batch.ts';

const CURVE_POINTS = 121;

/** Everything that a plan leads to. */
export interface PlanOutcome {
  readonly outcome: BatchOutcome;
  readonly range: BatchRange;
  /** Even steps from 0 to the horizon, as if the steep went on in its last place. */
  readonly curve: readonly BatchPoint[];
  readonly fit: VesselFit;
  readonly cautions: readonly Caution[];
}

/**
 * What a plan leads to in its vessel, with the slurry approaching the temperature of each place.
 *
 * @param input.coffee soluble share and species of the coffee
 * @param input.vessel brim volume, and whether it will be shaken
 * @param input.scooped whether the coffee was measured by volume, which widens the range
 * @param input.horizonHours how far the curve goes, h, above 0
 * @throws {DomainError} out_of_range where the ratio is absurd
 */
export function reckonPlan(input: {
  plan: Plan;
  coffee: BatchInput['coffee'];
  vessel: { brimMl: number; shaken: boolean; bagHoldsG?: number | null; fitsFridge?: boolean };
  horizonHours: number;
  scooped?: boolean;
}): PlanOutcome {
  const { plan, vessel, horizonHours } = input;
  const batchInput = planInput(input);
  const outcome = batch(batchInput);
  return {
    outcome,
    range: batchRange(batchInput, input.scooped ? { ofScoop: scoopOf(batchInput) } : {}),
    curve: batchCurve({
      ...batchInput,
      horizonS: horizonHours * 3600,
      points: CURVE_POINTS,
    }),
    fit: vesselFit({
      slurryMl: outcome.slurryMl,
      vesselMl: vessel.brimMl,
      shaken: vessel.shaken,
    }),
    cautions: batchCautions({
      outcome,
      method: plan.separation.method,
      steep: plan.steep,
      waterC: plan.waterC,
      bagHoldsG: vessel.bagHoldsG ?? null,
      tooLargeForFridge:
        vessel.fitsFridge === false && plan.steep.some(({ place }) => place === 'fridge'),
    }),
  };
}

/** The batch that the same scoop gives when the loose coffee is denser by a factor. */
export const scoopOf =
  (batchInput: BatchInput) =>
  (densityFactor: number): BatchInput => ({
    ...batchInput,
    doseG: batchInput.doseG * densityFactor,
  });

/** @returns the plan as the model takes it */
export function planInput(input: { plan: Plan; coffee: BatchInput['coffee'] }): BatchInput {
  const { plan } = input;
  const { doseG, waterG } = plan;
  const { waterC: _, historyOf, ...rest } = batchSetting(input);
  return { ...rest, doseG, waterG, history: historyOf({ doseG, waterG }) };
}

/** @returns all of a plan but its coffee and water, for whoever solves for those */
export function batchSetting(input: {
  plan: Omit<Plan, 'doseG' | 'waterG'>;
  coffee: BatchInput['coffee'];
}): BatchSetting {
  const { plan, coffee } = input;
  const { waterC, grind, wetting, steep, separation, agitationHours } = plan;
  const { solubleFrac, robustaFrac, decafFrac } = coffee;
  const places = steep.map(({ hours, tempC }) => ({ durationS: hours * 3600, tempC }));
  return {
    grind,
    coffee: { solubleFrac, robustaFrac, decafFrac },
    wetting,
    waterC,
    historyOf: ({ doseG, waterG }) =>
      approachingTemperature({
        waterC,
        places,
        timeConstantS: vesselTimeConstantS(slurryMl({ doseG, waterG, tempC: waterC })),
      }),
    steepS: places.reduce((sum, { durationS }) => sum + durationS, 0),
    agitationS: agitationHours.map((hours) => hours * 3600),
    separation,
  };
}
