import { CONSTANTS } from '../constants.ts';
import { FILTRATION_METHODS } from './filtration.ts';
import type { BrewModel } from './model.ts';

const { solubleFrac, diffusivity22M2PerS, retainedSpreadGPerG, looseDensitySpreadFrac } = CONSTANTS;

/** Standard deviations in half of a 95 % interval, which is what the constants hold. */
const HALF_WIDTH_SIGMAS = 1.959964;

/** Standard deviations from the middle to the 5th or 95th percentile, which is what is shown. */
export const SHOWN_SIGMAS = 1.644854;

/** One standard deviation of each uncertain input: relative, of the logarithm, g/g, relative. */
export const SIGMAS = {
  soluble: (solubleFrac.high - solubleFrac.low) / 2 / solubleFrac.value / HALF_WIDTH_SIGMAS,
  logDiffusivity:
    Math.log(diffusivity22M2PerS.high / diffusivity22M2PerS.low) / 2 / HALF_WIDTH_SIGMAS,
  retainedGPerG: retainedSpreadGPerG.value / HALF_WIDTH_SIGMAS,
  looseDensity: looseDensitySpreadFrac.value / HALF_WIDTH_SIGMAS,
} as const;

/** A model with one of its parameters moved by a number of standard deviations. */
type Shift = (model: BrewModel, sigmas: number) => BrewModel;

/** How each parameter of the model is uncertain: yield and retained liquid normal, the rate lognormal. */
export const MODEL_SHIFTS = {
  equilibriumYield: (model, sigmas) => ({
    ...model,
    equilibriumYieldFrac: model.equilibriumYieldFrac * Math.max(0.2, 1 + sigmas * SIGMAS.soluble),
  }),
  diffusivity: (model, sigmas) => ({
    ...model,
    diffusivity22M2PerS: model.diffusivity22M2PerS * Math.exp(sigmas * SIGMAS.logDiffusivity),
  }),
  retained: (model, sigmas) => ({
    ...model,
    retainedGPerG: Object.fromEntries(
      FILTRATION_METHODS.map((method) => [
        method,
        model.retainedGPerG[method] + sigmas * SIGMAS.retainedGPerG,
      ]),
    ) as BrewModel['retainedGPerG'],
  }),
} as const satisfies Record<string, Shift>;
