import { GRIND_NAMES, type Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { DomainError } from '../errors.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { planInput, scalePlan } from './plan.ts';
import type { Plan } from './schema.ts';
import { brew } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';

/** Most jars that one set may have: more cannot be tasted side by side. */
export const MOST_SAMPLES = 9;

/** One small jar of a set. */
export interface SampleJar {
  readonly number: number;
  readonly grind: Grind;
  readonly ratio: number;
  readonly hours: number;
  readonly doseG: number;
  readonly waterG: number;
  /** What it should come to. */
  readonly strengthFrac: number;
  readonly extractionYieldFrac: number;
}

const DOSE_STEP_G = 0.5;

/**
 * Small jars made from one plan: every combination of ratios, grinds and hours, each filled as far
 * as its headspace allows.
 *
 * @param input.jar brim volume of each jar, mL, and whether it will be shaken
 * @param input.hours ends of the steep, h; the plan's places keep their order and the last one gives
 * @returns jars by hours, then grind, then ratio; coffee to half a gram
 * @throws {DomainError} out_of_range for no jar, or more than nine
 */
export function sampleSet(input: {
  plan: Plan;
  model: BrewModel;
  jar: { brimMl: number; shaken: boolean };
  ratios: readonly number[];
  grinds: readonly Grind[];
  hours: readonly number[];
}): SampleJar[] {
  const { plan, model, jar, ratios, grinds, hours } = input;
  const count = ratios.length * grinds.length * hours.length;
  if (count < 1 || count > MOST_SAMPLES)
    throw new DomainError('out_of_range', {
      name: 'samples',
      value: count,
      min: 1,
      max: MOST_SAMPLES,
    });
  const combinations = hours.flatMap((h) =>
    [...grinds]
      .sort((a, b) => GRIND_NAMES.indexOf(a) - GRIND_NAMES.indexOf(b))
      .flatMap((grind) => ratios.map((ratio) => ({ grind, ratio, hours: h }))),
  );
  return combinations.map((combination, i) => {
    const { doseG, waterG } = filledJar({ ...jar, ratio: combination.ratio, waterC: plan.waterC });
    const steep = stretched(plan.steep, combination.hours);
    const { strengthFrac, extractionYieldFrac } = brew(
      planInput({
        ...scalePlan(plan, doseG / plan.doseG),
        steep,
        grind: combination.grind,
        waterG,
      }),
      model,
    );
    return { number: i + 1, ...combination, doseG, waterG, strengthFrac, extractionYieldFrac };
  });
}

/** Coffee and water that fill a jar to its headspace at a ratio. */
function filledJar(input: { brimMl: number; shaken: boolean; ratio: number; waterC: number }) {
  const { brimMl, shaken, ratio, waterC } = input;
  const kept = (shaken ? CONSTANTS.shakenHeadspaceFrac : CONSTANTS.headspaceFrac).value;
  const perG = ratio / waterDensityGPerMl(waterC) + CONSTANTS.groundsDisplaceMlPerG.value;
  const most = (brimMl * (1 - kept)) / perG;
  const doseG = Math.max(DOSE_STEP_G, Math.floor(most / DOSE_STEP_G) * DOSE_STEP_G);
  return { doseG, waterG: doseG * ratio };
}

/** The plan's places with another length: the last one gives or takes. */
function stretched(steep: Plan['steep'], hours: number): Plan['steep'] {
  const kept: Plan['steep'] = [];
  let left = hours;
  for (const [i, piece] of steep.entries()) {
    const isLast = i === steep.length - 1;
    const taken = isLast ? left : Math.min(piece.hours, left);
    if (taken > 0) kept.push({ ...piece, hours: taken });
    left -= taken;
  }
  return kept;
}

/**
 * The plan that a jar becomes when it is scaled back up: its ratio, grind and hours, with the
 * coffee of the plan that the set was made from.
 */
export function planOfSample(input: {
  plan: Plan;
  sample: Pick<SampleJar, 'grind' | 'ratio' | 'hours'>;
}): Plan {
  const { plan, sample } = input;
  return {
    ...plan,
    grind: sample.grind,
    waterG: plan.doseG * sample.ratio,
    steep: stretched(plan.steep, sample.hours),
  };
}
