import { DomainError } from '../errors.ts';
import { slurryMl } from '../brew/vessel.ts';
import { CONSTANTS } from '../constants.ts';

/** Why a batch has to be split: its slurry over the vessel, its coffee over the bag, or neither. */
type SplitReason = 'vessel' | 'bag' | null;

/** A batch shared out over equal vessels. */
export interface SplitBatch {
  readonly vessels: number;
  readonly reason: SplitReason;
  readonly doseG: number;
  readonly waterG: number;
}

/**
 * How many vessels of a kind a batch needs, each with an equal share, its headspace kept and its
 * bag not stuffed.
 *
 * @param input.brimMl brim volume of one vessel, mL, above 0
 * @param input.bagHoldsG most coffee of one bag, g; null without one
 * @returns shares; one vessel where the batch goes in whole
 */
export function splitBatch(input: {
  doseG: number;
  waterG: number;
  waterC: number;
  brimMl: number;
  shaken: boolean;
  bagHoldsG: number | null;
}): SplitBatch {
  const { doseG, waterG, waterC, brimMl, shaken, bagHoldsG } = input;
  if (!(brimMl > 0))
    throw new DomainError('out_of_range', { name: 'brimMl', value: brimMl, min: 0 });
  const kept = (shaken ? CONSTANTS.shakenHeadspaceFrac : CONSTANTS.headspaceFrac).value;
  const whole = slurryMl({ doseG, waterG, tempC: waterC });
  const byVessel = Math.ceil(whole / (brimMl * (1 - kept)) - 1e-9);
  const byBag = bagHoldsG === null ? 1 : Math.ceil(doseG / bagHoldsG - 1e-9);
  const vessels = Math.max(1, byVessel, byBag);
  const reason = vessels === 1 ? null : byVessel >= byBag ? 'vessel' : 'bag';
  return { vessels, reason, doseG: doseG / vessels, waterG: waterG / vessels };
}

/** Something that coffee is measured by: a scale's step, a scoop, a filled bag. */
export interface BenchMeasure {
  readonly name: string;
  /** Coffee in one of it, g. */
  readonly oneG: number;
}

/**
 * A dose in whole measures, the water following so that the ratio stays.
 *
 * @param input.measure oneG above 0
 * @returns at least one measure; `count` whole ones
 */
export function roundedToMeasures(input: {
  doseG: number;
  waterG: number;
  measure: BenchMeasure;
}): {
  count: number;
  doseG: number;
  waterG: number;
} {
  const { doseG, waterG, measure } = input;
  const count = Math.max(1, Math.round(doseG / measure.oneG));
  const measuredG = count * measure.oneG;
  return { count, doseG: measuredG, waterG: (waterG / doseG) * measuredG };
}

/** What the bench can measure: the step of its scale. */
const BENCH_STEPS = { doseG: 5, waterG: 10 } as const;

/** @returns coffee and water rounded to the steps of the bench, never to nothing */
export function roundedToBench(input: { doseG: number; waterG: number }): {
  doseG: number;
  waterG: number;
} {
  const to = (value: number, step: number): number =>
    Math.max(step, Math.round(value / step) * step);
  return {
    doseG: to(input.doseG, BENCH_STEPS.doseG),
    waterG: to(input.waterG, BENCH_STEPS.waterG),
  };
}
