import { CONSTANTS } from '../constants.ts';
import type { Deviation } from './release.ts';

const { solubleFrac, diffusivity22M2PerS, retainedSpreadGPerG, looseDensitySpreadFrac } = CONSTANTS;
const { lossSpreadFrac, diameterSpreadFrac, diameterStepFrac, wetSpreadFrac, placeSpreadC } =
  CONSTANTS;
const { arabicaCaffeineFrac } = CONSTANTS;

/** Standard deviations in half of a 95 % interval, which is what the constants hold. */
const HALF_WIDTH_SIGMAS = 1.959964;

/** Standard deviations from the middle to the 5th or 95th percentile, which is what is shown. */
export const SHOWN_SIGMAS = 1.644854;

/** One standard deviation of each uncertain input; of the logarithm where it says so. */
export const SIGMAS = {
  soluble: (solubleFrac.high - solubleFrac.low) / 2 / solubleFrac.value / HALF_WIDTH_SIGMAS,
  logDiffusivity:
    Math.log(diffusivity22M2PerS.high / diffusivity22M2PerS.low) / 2 / HALF_WIDTH_SIGMAS,
  retainedGPerG: retainedSpreadGPerG.value / HALF_WIDTH_SIGMAS,
  lossFrac: lossSpreadFrac.value / HALF_WIDTH_SIGMAS,
  looseDensity: looseDensitySpreadFrac.value / HALF_WIDTH_SIGMAS,
  logDiameter: Math.log(1 + diameterSpreadFrac.value) / HALF_WIDTH_SIGMAS,
  logDiameterByWord: Math.log(1 + diameterStepFrac.value) / HALF_WIDTH_SIGMAS,
  wetFrac: wetSpreadFrac.value / HALF_WIDTH_SIGMAS,
  tempC: placeSpreadC.value / HALF_WIDTH_SIGMAS,
  // Of every species as of arabica, whose range is the best known.
  logCaffeine: Math.log(arabicaCaffeineFrac.high / arabicaCaffeineFrac.low) / 2 / HALF_WIDTH_SIGMAS,
} as const;

/** Whether a mill's setting stands behind the grind, or no more than its word. */
export type GrindBy = 'mill' | 'word';

/** One uncertain input, moved by a number of standard deviations. */
type Shift = (sigmas: number, by: GrindBy) => Partial<Deviation>;

/**
 * How each input that a brewer does not know exactly is uncertain: yield, retained liquid, lost water,
 * wetting and temperature normal, the rate, the diameter and the caffeine lognormal.
 */
export const SHIFTS = {
  equilibriumYield: (sigmas) => ({ yieldTimes: Math.max(0.2, 1 + sigmas * SIGMAS.soluble) }),
  diffusivity: (sigmas) => ({ rateTimes: Math.exp(sigmas * SIGMAS.logDiffusivity) }),
  retained: (sigmas) => ({ retainedGPerG: sigmas * SIGMAS.retainedGPerG }),
  loss: (sigmas) => ({ lossFrac: sigmas * SIGMAS.lossFrac }),
  grindSize: (sigmas, by) => ({
    diameterTimes: Math.exp(
      sigmas * (by === 'word' ? SIGMAS.logDiameterByWord : SIGMAS.logDiameter),
    ),
  }),
  wetting: (sigmas) => ({ wetFrac: sigmas * SIGMAS.wetFrac }),
  temperature: (sigmas) => ({ tempC: sigmas * SIGMAS.tempC }),
  caffeine: (sigmas) => ({ caffeineTimes: Math.exp(sigmas * SIGMAS.logCaffeine) }),
} as const satisfies Record<string, Shift>;
