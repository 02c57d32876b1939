import { freeFracOf, GRINDS, type Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { spreadReleaseFrac } from './spreadRelease.ts';
import { diffusivityFactor } from './diffusivity.ts';
import type { TemperatureHistory } from './temperature.ts';
import { wettingCourse } from './wetted.ts';
import { WETTINGS, type Wetting } from './wetting.ts';

/** Share of the equilibrium yield that is out after a time in s, 0–1. */
export type Release = (timeS: number) => number;

/** How the grounds lie in the water: loose, or held together where little liquid passes. */
export const BEDS = ['loose', 'held'] as const;
export type Bed = (typeof BEDS)[number];

/** How a brew differs from what was stated of it, in what nobody knows exactly. */
export interface Deviation {
  /** Median diameter over that of its grind. */
  readonly diameterTimes: number;
  /** Added to the share that is wet from the start. */
  readonly wetFrac: number;
  /** Added to the temperature of every place, °C. */
  readonly tempC: number;
  /** Equilibrium yield, rate and caffeine over those of the model. */
  readonly yieldTimes: number;
  readonly rateTimes: number;
  readonly caffeineTimes: number;
  /** Added to what the grounds retain, g/g. */
  readonly retainedGPerG: number;
  /** Added to the share of the water that goes without coffee. */
  readonly lossFrac: number;
}
export const NO_DEVIATION: Deviation = Object.freeze({
  diameterTimes: 1,
  wetFrac: 0,
  tempC: 0,
  yieldTimes: 1,
  rateTimes: 1,
  caffeineTimes: 1,
  retainedGPerG: 0,
  lossFrac: 0,
});

/**
 * Release of the soluble matter with time: each share of the grounds gives its free part when it
 * becomes wet and diffuses from then on.
 *
 * A stir also renews the liquid between the particles: for a while after it they give faster, and
 * never more than at equilibrium. Grounds that are held together give slower.
 *
 * @param input.agitationS moments of agitation, s from the start, any order; later ones than the
 *   time asked about have no effect
 * @param input.diffusivity22M2PerS apparent diffusivity of the bed at 22 °C, m²/s, above 0
 * @returns a function of time in s, from the free share to 1, never falling; within 1e-7
 * @see test/brew/release.test.ts for the check against an ODE library
 */
export function createRelease(input: {
  grind: Grind;
  wetting: Wetting;
  agitationS: readonly number[];
  history: TemperatureHistory;
  diffusivity22M2PerS: number;
  bed?: Bed;
  deviation?: Deviation;
}): Release {
  const { history, bed = 'loose', deviation = NO_DEVIATION } = input;
  const diameterUm = GRINDS[input.grind].diameterUm * deviation.diameterTimes;
  const freeFrac = freeFracOf(diameterUm);
  const held = bed === 'held' ? CONSTANTS.heldBedTimes.value : 1;
  const perRadius2 =
    (4 *
      input.diffusivity22M2PerS *
      deviation.rateTimes *
      held *
      warmerTimes(history, deviation.tempC)) /
    (diameterUm * 1e-6) ** 2;
  const ofCohort = (equivalentS: number): number =>
    freeFrac + (1 - freeFrac) * spreadReleaseFrac(perRadius2 * equivalentS);

  const wetFrac = Math.min(1, Math.max(0, WETTINGS[input.wetting].wetFrac + deviation.wetFrac));
  const wettedAt = wettingCourse(history, input.agitationS);

  return (timeS) => {
    if (timeS < 0) return 0;
    const { wholeS, shares, sinceS } = wettedAt(timeS);
    let later = 0;
    for (let i = 0; i < shares.length; i++) later += shares[i]! * ofCohort(sinceS[i]!);
    return Math.min(1, wetFrac * ofCohort(wholeS) + (1 - wetFrac) * later);
  };
}

/** How much faster everything diffuses in places that are warmer by so much, to first order. */
function warmerTimes(history: TemperatureHistory, byC: number): number {
  if (byC === 0) return 1;
  const settledC = history.tempC(history.breaksS.at(-1) ?? Infinity);
  return diffusivityFactor(Math.max(0, settledC + byC)) / diffusivityFactor(settledC);
}
