import type { Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { DomainError, requireWithin } from '../errors.ts';
import { storedCoffeeMl } from '../matter/properties.ts';
import { createRelease, NO_DEVIATION, type Bed, type Deviation } from './release.ts';
import { filterSlurry, type FiltrationMethod } from './filtration.ts';
import type { BrewModel } from './model.ts';
import { strengthFrac, waterLeftG, yieldAtRatioFrac } from './strength.ts';
import { strengthName, type StrengthName } from './strengthName.ts';
import type { TemperatureHistory } from './temperature.ts';
import { slurryMl } from './vessel.ts';
import type { Wetting } from './wetting.ts';

/** All that is done to a brew, each amount known. What is known of its coffee is the model's. */
export interface BrewInput {
  readonly doseG: number;
  readonly waterG: number;
  readonly grind: Grind;
  readonly wetting: Wetting;
  readonly history: TemperatureHistory;
  /** When the steep ends, s from the start. */
  readonly steepS: number;
  readonly agitationS: readonly number[];
  /** Loose where left out. */
  readonly bed?: Bed | undefined;
  /** None where left out. */
  readonly deviation?: Deviation | undefined;
  readonly filtration: { readonly method: FiltrationMethod; readonly rinseG: number };
}

/** What comes out of a brew. */
export interface BrewOutcome {
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

/** One point of the curve over time, before filtration. */
export interface BrewPoint {
  readonly hours: number;
  readonly extractionYieldFrac: number;
  readonly strengthFrac: number;
}

/**
 * What comes out of a brew: yield, strength, mass, what the grounds retain, caffeine. The one forward
 * computation: solving, ranges, draws and curves all go through what it goes through.
 *
 * @param input amounts above 0; ratio 0.1…200; steepS 0 or more
 * @param model of its coffee; equilibriumYieldFrac 0.01…0.4
 * @returns after filtration and rinse; brewMl at 4 °C; brewG is 0 where the bed drinks it all
 * @throws {DomainError} not_finite, out_of_range
 */
export function brew(input: BrewInput, model: BrewModel): BrewOutcome {
  requireBrew(input, model);
  const { doseG, waterG, filtration, deviation = NO_DEVIATION } = input;
  const { reachable, release, leftG } = yieldCourse(input, model);
  const releasedFrac = release(input.steepS);
  const extractionYieldFrac = reachable * releasedFrac;
  const steeped = strengthFrac({ doseG, waterG: leftG, yieldFrac: extractionYieldFrac });
  const liquidG = leftG + extractionYieldFrac * doseG;
  const filtered = filterSlurry({
    doseG,
    liquidG,
    strengthFrac: steeped,
    retainedGPerG: model.retainedGPerG[filtration.method] + deviation.retainedGPerG,
    rinseG: filtration.rinseG,
  });
  const steepedCaffeine =
    (model.caffeineMgPerG *
      deviation.caffeineTimes *
      doseG *
      CONSTANTS.caffeineOutFrac.value *
      releasedFrac) /
    liquidG;
  return {
    doseG,
    waterG,
    ratio: waterG / doseG,
    extractionYieldFrac,
    releasedFrac,
    strengthFrac: filtered.strengthFrac,
    strengthName: strengthName(filtered.strengthFrac),
    brewG: filtered.brewG,
    brewMl: storedCoffeeMl({ massG: filtered.brewG, strengthFrac: filtered.strengthFrac }),
    retainedG: filtered.retainedG,
    slurryMl: slurryMl({ doseG, waterG, tempC: input.history.tempC(0) }),
    // Rinsing dilutes caffeine and solids alike.
    caffeineMgPerG: (steepedCaffeine * filtered.strengthFrac) / steeped,
  };
}

/**
 * Yield and strength of the slurry over time, at even steps from 0 to a horizon.
 *
 * @param input.horizonS last time, s, above 0
 * @param input.points how many, 2 or more
 * @returns ascending by hours; strength before filtration and rinse
 * @throws {DomainError} not_finite, out_of_range
 */
export function brewCurve(
  input: BrewInput & { horizonS: number; points: number },
  model: BrewModel,
): BrewPoint[] {
  requireBrew(input, model);
  const { doseG, horizonS, points } = input;
  const { reachable, release, leftG } = yieldCourse(input, model);
  return Array.from({ length: points }, (_, i) => {
    const timeS = (horizonS * i) / (points - 1);
    const yieldFrac = reachable * release(timeS);
    return {
      hours: timeS / 3600,
      extractionYieldFrac: yieldFrac,
      strengthFrac: strengthFrac({ doseG, waterG: leftG, yieldFrac }),
    };
  });
}

function yieldCourse(input: BrewInput, model: BrewModel) {
  const { doseG, waterG, grind, wetting, agitationS, history } = input;
  const { deviation = NO_DEVIATION } = input;
  const equilibriumYieldFrac = model.equilibriumYieldFrac * deviation.yieldTimes;
  return {
    leftG: waterLeftG(waterG, (model.lossFrac ?? 0) + deviation.lossFrac),
    reachable: yieldAtRatioFrac({ ratio: waterG / doseG, equilibriumYieldFrac }),
    release: createRelease({
      grind,
      wetting,
      agitationS,
      history,
      diffusivity22M2PerS: model.diffusivity22M2PerS,
      bed: input.bed ?? 'loose',
      deviation,
    }),
  };
}

function requireBrew(input: BrewInput, { equilibriumYieldFrac }: BrewModel): void {
  const { doseG, waterG, steepS, filtration } = input;
  if (!(doseG > 0)) throw new DomainError('out_of_range', { name: 'doseG', value: doseG, min: 0 });
  requireWithin({ name: 'ratio', value: waterG / doseG, min: 0.1, max: 200 });
  requireWithin({ name: 'steepS', value: steepS, min: 0, max: 1e7 });
  requireWithin({
    name: 'equilibriumYieldFrac',
    value: equilibriumYieldFrac,
    min: 0.01,
    max: 0.4,
  });
  requireWithin({ name: 'rinseG', value: filtration.rinseG, min: 0, max: 1e6 });
}
