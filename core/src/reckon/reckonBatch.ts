import { batch, batchCurve, type BatchInput } from '../brew/batch.ts';
import { batchRange } from '../brew/batchRange.ts';
import { heldTemperature } from '../brew/temperature.ts';
import { waterToLineG } from '../brew/vessel.ts';
import { batchCautions } from '../caution/batchCautions.ts';
import { looseDensityGPerMl } from '../coffee/grinds.ts';
import { DomainError } from '../errors.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import type { ReckonBatchRequest, ReckonBatchResponse } from '../schemas/reckonBatch.ts';

const CURVE_POINTS = 121;

/**
 * From what goes in to what comes out, however the amounts are told.
 *
 * @param request a parsed request; the slurry's temperature is told piece by piece
 * @returns outcome after separation and rinse, its range, the curve to the end of the steep
 * @throws {DomainError} out_of_range where a line leaves no room for water, or a ratio is absurd
 */
export function reckonBatch(request: ReckonBatchRequest): ReckonBatchResponse {
  const { dose } = request;
  const input = batchInput(request, 1);
  const outcome = batch(input);
  const told = 'massG' in dose ? {} : { ofScoop: (factor: number) => batchInput(request, factor) };
  return {
    ...outcome,
    range: batchRange(input, told),
    curve: batchCurve({ ...input, horizonS: input.steepS, points: CURVE_POINTS }),
    cautions: batchCautions({
      outcome,
      method: request.separation.method,
      steep: request.steep,
      waterC: request.steep[0]!.tempC,
    }),
  };
}

function batchInput(request: ReckonBatchRequest, densityFactor: number): BatchInput {
  const { dose, grind, coffee, wetting, steep, agitationHours, separation } = request;
  const doseG =
    'massG' in dose
      ? dose.massG
      : dose.volumeMl * densityFactor * looseDensityGPerMl({ form: dose.form, grind });
  const pieces = steep.map(({ hours, tempC }) => ({ durationS: hours * 3600, tempC }));
  return {
    doseG,
    waterG: waterOf(request, doseG),
    grind,
    coffee,
    wetting,
    history: heldTemperature(pieces),
    steepS: pieces.reduce((sum, { durationS }) => sum + durationS, 0),
    agitationS: agitationHours.map((hours) => hours * 3600),
    separation,
  };
}

function waterOf(request: ReckonBatchRequest, doseG: number): number {
  const { water, steep } = request;
  if ('massG' in water) return water.massG;
  if ('volumeMl' in water) return water.volumeMl * waterDensityGPerMl(water.tempC);
  if ('ratio' in water) return water.ratio * doseG;
  const waterG = waterToLineG({ lineMl: water.fillToMl, doseG, tempC: steep[0]!.tempC });
  if (waterG <= 0)
    throw new DomainError('out_of_range', { name: 'water.fillToMl', value: water.fillToMl, doseG });
  return waterG;
}
