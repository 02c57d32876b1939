import { CONSTANTS } from '../constants.ts';

const { solubleFrac, diffusivity22M2PerS, retainedSpreadGPerG, looseDensitySpreadFrac } = CONSTANTS;

/** Standard deviations in half of a 95 % interval, which is what the constants hold. */
export const HALF_WIDTH_SIGMAS = 1.959964;

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
