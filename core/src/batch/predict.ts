import { brew, brewCurve, type BrewInput, type BrewOutcome, type BrewPoint } from '../brew/brew.ts';
import { looseMassG, modelOf, type BrewModel } from '../brew/model.ts';
import { brewRange, type BrewRange } from '../brew/range.ts';
import { constantTemperature } from '../brew/temperature.ts';
import { vesselFit, vesselTimeConstantS, waterToLineG, type VesselFit } from '../brew/vessel.ts';
import type { Caution } from '../caution.ts';
import { DomainError } from '../errors.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { batchCautions } from './cautions.ts';
import type { MeasuredSteep } from './measuredSteep.ts';
import { planInput, scoopOf } from './plan.ts';
import type { PredictBatchRequest, PredictBatchResponse } from './predictSchema.ts';
import type { Plan, Prediction } from './schema.ts';

const CURVE_POINTS = 121;

/** Everything that a plan leads to. */
export interface PlanOutcome {
  readonly outcome: BrewOutcome;
  readonly range: BrewRange;
  /** Even steps from 0 to the horizon, as if the steep went on in its last place. */
  readonly curve: readonly BrewPoint[];
  readonly fit: VesselFit;
  readonly cautions: readonly Caution[];
}

/**
 * What a plan leads to in its vessel, with the slurry approaching the temperature of each place.
 *
 * @param input.model of the coffee
 * @param input.vessel brim volume, and whether it will be shaken
 * @param input.scooped whether the coffee was measured by volume, which widens the range
 * @param input.horizonHours how far the curve goes, h, above 0
 * @param input.measured what really happened, in place of what was planned
 * @throws {DomainError} out_of_range where the ratio is absurd
 */
export function predictPlan(input: {
  plan: Plan;
  model: BrewModel;
  vessel: { brimMl: number; shaken: boolean; bagHoldsG?: number | null; fitsFridge?: boolean };
  horizonHours: number;
  scooped?: boolean;
  measured?: MeasuredSteep;
}): PlanOutcome {
  const { plan, model, vessel, horizonHours } = input;
  const brewInput = planInput(plan, input.measured);
  const outcome = brew(brewInput, model);
  return {
    outcome,
    range: brewRange(brewInput, model, input.scooped ? { ofScoop: scoopOf(brewInput) } : {}),
    curve: brewCurve({ ...brewInput, horizonS: horizonHours * 3600, points: CURVE_POINTS }, model),
    fit: vesselFit({
      slurryMl: outcome.slurryMl,
      vesselMl: vessel.brimMl,
      shaken: vessel.shaken,
    }),
    cautions: batchCautions({
      outcome,
      retainedGPerG: model.retainedGPerG[plan.filtration.method],
      steep: plan.steep,
      slurry: {
        history: brewInput.history,
        timeConstantS: vesselTimeConstantS(outcome.slurryMl),
      },
      dry: {
        looseMl: brewInput.doseG / model.looseDensityGPerMl[plan.grind],
        brimMl: vessel.brimMl,
      },
      waterC: plan.waterC,
      bagHoldsG: vessel.bagHoldsG ?? null,
      tooLargeForFridge:
        vessel.fitsFridge === false && plan.steep.some(({ place }) => place === 'fridge'),
    }),
  };
}

/** @returns an outcome and its range as they are kept with a batch */
export function predictionOf({
  outcome,
  range,
}: {
  outcome: BrewOutcome;
  range: BrewRange;
}): Prediction {
  const { extractionYieldFrac, releasedFrac, strengthFrac, strengthName } = outcome;
  const { brewG, brewMl, retainedG, caffeineMgPerG } = outcome;
  return {
    extractionYieldFrac,
    releasedFrac,
    strengthFrac,
    strengthName,
    brewG,
    brewMl,
    retainedG,
    caffeineMgPerG,
    strengthLowFrac: range.strengthFrac.low,
    strengthHighFrac: range.strengthFrac.high,
  };
}

/**
 * From what goes in to what comes out, however the amounts are given.
 *
 * @param request a parsed request; the slurry's temperature is given piece by piece
 * @returns outcome after filtration and rinse, its range, the curve to the end of the steep
 * @throws {DomainError} out_of_range where a line leaves no room for water, or a ratio is absurd
 */
export function predictBatch(request: PredictBatchRequest): PredictBatchResponse {
  const { dose } = request;
  const model = modelOf(request.coffee);
  const inputAt = (densityFactor: number) => requestInput({ request, model, densityFactor });
  const input = inputAt(1);
  const outcome = brew(input, model);
  return {
    ...outcome,
    range: brewRange(input, model, 'massG' in dose ? {} : { ofScoop: inputAt }),
    curve: brewCurve({ ...input, horizonS: input.steepS, points: CURVE_POINTS }, model),
    cautions: batchCautions({
      outcome,
      retainedGPerG: model.retainedGPerG[request.filtration.method],
      steep: request.steep,
      waterC: request.steep[0]!.tempC,
    }),
  };
}

function requestInput(input: {
  request: PredictBatchRequest;
  model: BrewModel;
  densityFactor: number;
}): BrewInput {
  const { request, model, densityFactor } = input;
  const { dose, grind, wetting, steep, agitationHours, bed, filtration } = request;
  const doseG =
    'massG' in dose
      ? dose.massG
      : looseMassG({ volumeMl: dose.volumeMl * densityFactor, form: dose.form, grind }, model);
  const pieces = steep.map(({ hours, tempC }) => ({ durationS: hours * 3600, tempC }));
  return {
    doseG,
    waterG: waterOf(request, doseG),
    grind,
    wetting,
    history: constantTemperature(pieces),
    steepS: pieces.reduce((sum, { durationS }) => sum + durationS, 0),
    agitationS: agitationHours.map((hours) => hours * 3600),
    bed,
    filtration,
  };
}

function waterOf(request: PredictBatchRequest, doseG: number): number {
  const { water, steep } = request;
  if ('massG' in water) return water.massG;
  if ('volumeMl' in water) return water.volumeMl * waterDensityGPerMl(water.tempC);
  if ('ratio' in water) return water.ratio * doseG;
  const waterG = waterToLineG({ lineMl: water.fillToMl, doseG, tempC: steep[0]!.tempC });
  if (waterG <= 0)
    throw new DomainError('out_of_range', { name: 'water.fillToMl', value: water.fillToMl, doseG });
  return waterG;
}
