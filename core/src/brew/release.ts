import { GRINDS, type Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { gaussLegendre } from '../numeric/gaussLegendre.ts';
import { spreadReleaseFrac } from './spreadRelease.ts';
import type { TemperatureHistory } from './temperature.ts';
import { WETTINGS, type Wetting } from './wetting.ts';

/** Share of the equilibrium yield that is out after a time in s, 0–1. */
export type Release = (timeS: number) => number;

const PANEL = gaussLegendre(8);
const WETTING_BREAKS = [1, 2, 4, 8, 16];

/**
 * Release of the soluble matter with time: each share of the grounds gives its free part when it
 * becomes wet and diffuses from then on.
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
}): Release {
  const { history, diffusivity22M2PerS } = input;
  const { diameterUm, freeFrac } = GRINDS[input.grind];
  const perRadius2 = (4 * diffusivity22M2PerS) / (diameterUm * 1e-6) ** 2;
  const ofCohort = (equivalentS: number): number =>
    freeFrac + (1 - freeFrac) * spreadReleaseFrac(perRadius2 * equivalentS);

  const { wetFrac } = WETTINGS[input.wetting];
  const tau = CONSTANTS.wettingTimeS.value;
  const agitations = [...input.agitationS].sort((a, b) => a - b);
  const left = 1 - CONSTANTS.agitationWetsFrac.value;
  // Share still dry just after the first `stirs` agitations, at a time.
  const dryFrac = (timeS: number, stirs: number): number =>
    (1 - wetFrac) * left ** stirs * Math.exp(-timeS / tau);
  const breaks = [
    ...new Set([0, ...agitations, ...history.breaksS, ...WETTING_BREAKS.map((n) => n * tau)]),
  ].sort((a, b) => a - b);
  const stirsAt = breaks.map((from) => agitations.filter((at) => at <= from).length);

  return (timeS) => {
    if (timeS < 0) return 0;
    const now = history.equivalentS(timeS);
    let out = wetFrac * ofCohort(now);
    agitations.forEach((at, i) => {
      if (at > timeS) return;
      const wetted = dryFrac(at, i) - dryFrac(at, i + 1);
      out += wetted * ofCohort(now - history.equivalentS(at));
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
        const share = ofCohort(now - history.equivalentS(at));
        out += PANEL.weights[i]! * half * 2 * s * rate * share;
      }
    }
    return Math.min(out, 1);
  };
}
