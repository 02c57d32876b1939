import { caffeineMgPerG } from '../coffee/caffeine.ts';
import type { Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { DomainError, requireWithin } from '../errors.ts';
import { storedCoffeeMl } from '../matter/properties.ts';
import { createRelease } from './release.ts';
import { SEPARATIONS, separate, type SeparationMethod } from './separation.ts';
import { equilibriumYieldFrac, strengthFrac } from './strength.ts';
import { strengthName, type StrengthName } from './strengthName.ts';
import type { TemperatureHistory } from './temperature.ts';
import { slurryMl } from './vessel.ts';
import type { Wetting } from './wetting.ts';

/** All that decides a batch, each amount known. */
export interface BatchInput {
  readonly doseG: number;
  readonly waterG: number;
  readonly grind: Grind;
  readonly coffee: {
    readonly solubleFrac: number;
    readonly robustaFrac: number;
    readonly decafFrac: number;
  };
  readonly wetting: Wetting;
  readonly history: TemperatureHistory;
  /** When the steep ends, s from the start. */
  readonly steepS: number;
  readonly agitationS: readonly number[];
  readonly separation: { readonly method: SeparationMethod; readonly rinseG: number };
}

/** Constants of the model that a coffee or a shop can know better than the table. */
export interface BatchModel {
  readonly diffusivity22M2PerS: number;
  /** Liquid kept by the grounds beyond the table's, g/g. */
  readonly retainedShiftGPerG: number;
}

const DEFAULT_MODEL: BatchModel = Object.freeze({
  diffusivity22M2PerS: CONSTANTS.diffusivity22M2PerS.value,
  retainedShiftGPerG: 0,
});

/** What comes out of a batch. */
export interface BatchOutcome {
  readonly doseG: number;
  readonly waterG: number;
  readonly ratio: number;
  readonly extractionYieldFrac: number;
  /** Of what the coffee would give for ever, the share that is out, 0–1. */
  readonly releasedFrac: number;
  readonly strengthFrac: number;
  readonly strengthName: StrengthName;
  readonly brewG: number;
  readonly brewMl: number;
  readonly retainedG: number;
  readonly slurryMl: number;
  readonly caffeineMgPerG: number;
}

/** One point of the curve over time, before the brew is parted from its grounds. */
export interface BatchPoint {
  readonly hours: number;
  readonly extractionYieldFrac: number;
  readonly strengthFrac: number;
}

/**
 * What comes out of a batch: yield, strength, brew, what the grounds keep, caffeine.
 *
 * @param input amounts above 0; ratio 0.1…200; steepS 0 or more
 * @returns after separation and rinse; brewMl at 4 °C; brewG is 0 where the bed drinks it all
 * @throws {DomainError} not_finite, out_of_range
 */
export function batch(input: BatchInput, model: BatchModel = DEFAULT_MODEL): BatchOutcome {
  requireBatch(input);
  const { doseG, waterG, coffee, separation } = input;
  const { reachable, release } = yieldCourse(input, model);
  const releasedFrac = release(input.steepS);
  const extractionYieldFrac = reachable * releasedFrac;
  const steeped = strengthFrac({ doseG, waterG, yieldFrac: extractionYieldFrac });
  const liquidG = waterG + extractionYieldFrac * doseG;
  const parted = separate({
    doseG,
    liquidG,
    strengthFrac: steeped,
    retainedGPerG: SEPARATIONS[separation.method].retainedGPerG + model.retainedShiftGPerG,
    rinseG: separation.rinseG,
  });
  const steepedCaffeine =
    (caffeineMgPerG(coffee) * doseG * CONSTANTS.caffeineOutFrac.value * releasedFrac) / liquidG;
  return {
    doseG,
    waterG,
    ratio: waterG / doseG,
    extractionYieldFrac,
    releasedFrac,
    strengthFrac: parted.strengthFrac,
    strengthName: strengthName(parted.strengthFrac),
    brewG: parted.brewG,
    brewMl: storedCoffeeMl({ massG: parted.brewG, strengthFrac: parted.strengthFrac }),
    retainedG: parted.retainedG,
    slurryMl: slurryMl({ doseG, waterG, tempC: input.history.tempC(0) }),
    // Rinsing dilutes caffeine and solids alike.
    caffeineMgPerG: (steepedCaffeine * parted.strengthFrac) / steeped,
  };
}

/**
 * Yield and strength of the slurry over time, at even steps from 0 to a horizon.
 *
 * @param input.horizonS last time, s, above 0
 * @param input.points how many, 2 or more
 * @returns ascending by hours; strength before separation and rinse
 * @throws {DomainError} not_finite, out_of_range
 */
export function batchCurve(
  input: BatchInput & { horizonS: number; points: number },
  model: BatchModel = DEFAULT_MODEL,
): BatchPoint[] {
  requireBatch(input);
  const { doseG, waterG, horizonS, points } = input;
  const { reachable, release } = yieldCourse(input, model);
  return Array.from({ length: points }, (_, i) => {
    const timeS = (horizonS * i) / (points - 1);
    const yieldFrac = reachable * release(timeS);
    return {
      hours: timeS / 3600,
      extractionYieldFrac: yieldFrac,
      strengthFrac: strengthFrac({ doseG, waterG, yieldFrac }),
    };
  });
}

function yieldCourse(input: BatchInput, model: BatchModel) {
  const { doseG, waterG, coffee, grind, wetting, agitationS, history } = input;
  return {
    reachable: equilibriumYieldFrac({
      ratio: waterG / doseG,
      solubleFrac: coffee.solubleFrac,
    }),
    release: createRelease({
      grind,
      wetting,
      agitationS,
      history,
      diffusivity22M2PerS: model.diffusivity22M2PerS,
    }),
  };
}

function requireBatch(input: BatchInput): void {
  const { doseG, waterG, steepS, coffee, separation } = input;
  if (!(doseG > 0)) throw new DomainError('out_of_range', { name: 'doseG', value: doseG, min: 0 });
  requireWithin({ name: 'ratio', value: waterG / doseG, min: 0.1, max: 200 });
  requireWithin({ name: 'steepS', value: steepS, min: 0, max: 1e7 });
  requireWithin({ name: 'solubleFrac', value: coffee.solubleFrac, min: 0.01, max: 0.4 });
  requireWithin({ name: 'robustaFrac', value: coffee.robustaFrac, min: 0, max: 1 });
  requireWithin({ name: 'decafFrac', value: coffee.decafFrac, min: 0, max: 1 });
  requireWithin({ name: 'rinseG', value: separation.rinseG, min: 0, max: 1e6 });
}
