import { freeFracOf, GRINDS, type Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { gaussLegendre } from '../numeric/gaussLegendre.ts';
import { spreadReleaseFrac } from './spreadRelease.ts';
import { diffusivityFactor } from './diffusivity.ts';
import type { TemperatureHistory } from './temperature.ts';
import { WETTINGS, type Wetting } from './wetting.ts';

/** Share of the equilibrium yield that is out after a time in s, 0–1. */
export type Release = (timeS: number) => number;

const PANEL = gaussLegendre(8);
const WETTING_BREAKS = [1, 2, 4, 8, 16];

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
}
export const NO_DEVIATION: Deviation = Object.freeze({
  diameterTimes: 1,
  wetFrac: 0,
  tempC: 0,
  yieldTimes: 1,
  rateTimes: 1,
  caffeineTimes: 1,
  retainedGPerG: 0,
});

/**
 * Release of the soluble matter with time: each share of the grounds gives its free part when it
 * becomes wet and diffuses from then on.
 *
 * A stir also renews the liquid between the particles: for a while after it they give faster, and
 * never more than at equilibrium. Grounds that are held together give slower.
 *
 * Dry grounds become wet with a time constant, and each agitation wets most of what is left. The
 * continuous wetting is integrated in s = √(t − τ), which removes the root of short diffusion times.
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
  const tau = CONSTANTS.wettingTimeS.value;
  const agitations = [...input.agitationS].sort((a, b) => a - b);
  const left = 1 - CONSTANTS.agitationWetsFrac.value;
  const renewed = renewedStretches(agitations);
  const equivalentS = renewed.length === 0 ? history.equivalentS : renewedS(history, renewed);
  // Share still dry just after the first `stirs` agitations, at a time.
  const dryFrac = (timeS: number, stirs: number): number =>
    (1 - wetFrac) * left ** stirs * Math.exp(-timeS / tau);
  const breaks = [
    ...new Set([
      0,
      ...agitations,
      ...renewed.map(([, to]) => to),
      ...history.breaksS,
      ...WETTING_BREAKS.map((n) => n * tau),
    ]),
  ].sort((a, b) => a - b);
  const stirsAt = breaks.map((from) => agitations.filter((at) => at <= from).length);

  return (timeS) => {
    if (timeS < 0) return 0;
    const now = equivalentS(timeS);
    let out = wetFrac * ofCohort(now);
    agitations.forEach((at, i) => {
      if (at > timeS) return;
      const wetted = dryFrac(at, i) - dryFrac(at, i + 1);
      out += wetted * ofCohort(now - equivalentS(at));
    });
    for (let k = 0; k < breaks.length && breaks[k]! < timeS; k++) {
      const from = breaks[k]!;
      const to = Math.min(breaks[k + 1] ?? timeS, timeS);
      const near = Math.sqrt(timeS - to);
      const half = (Math.sqrt(timeS - from) - near) / 2;
      for (let i = 0; i < PANEL.nodes.length; i++) {
        const s = near + half * (1 + PANEL.nodes[i]!);
        const at = timeS - s * s;
        const rate = dryFrac(at, stirsAt[k]!) / tau;
        const share = ofCohort(now - equivalentS(at));
        out += PANEL.weights[i]! * half * 2 * s * rate * share;
      }
    }
    return Math.min(out, 1);
  };
}

/** How much faster everything diffuses in places that are warmer by so much, to first order. */
function warmerTimes(history: TemperatureHistory, byC: number): number {
  if (byC === 0) return 1;
  const settledC = history.tempC(history.breaksS.at(-1) ?? Infinity);
  return diffusivityFactor(Math.max(0, settledC + byC)) / diffusivityFactor(settledC);
}

/** Stretches after each stir in which the liquid is renewed, s; overlapping ones are one. */
function renewedStretches(agitations: readonly number[]): [from: number, to: number][] {
  const stretches: [number, number][] = [];
  for (const from of agitations) {
    const to = from + CONSTANTS.agitationRenewsS.value;
    const last = stretches.at(-1);
    if (last && from <= last[1]) last[1] = to;
    else stretches.push([from, to]);
  }
  return stretches;
}

/** ∫D dt with the faster stretches counted as many times. */
function renewedS(
  history: TemperatureHistory,
  stretches: readonly (readonly [number, number])[],
): (timeS: number) => number {
  const more = CONSTANTS.agitationRenewsTimes.value - 1;
  const bounds = stretches.map(([from, to]) => ({
    from,
    to,
    start: history.equivalentS(from),
    whole: history.equivalentS(to) - history.equivalentS(from),
  }));
  return (timeS) => {
    const now = history.equivalentS(timeS);
    let sum = now;
    for (const { from, to, start, whole } of bounds)
      if (timeS > from) sum += more * (timeS >= to ? whole : now - start);
    return sum;
  };
}
