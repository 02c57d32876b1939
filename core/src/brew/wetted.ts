import { CONSTANTS } from '../constants.ts';
import { gaussLegendre } from '../numeric/gaussLegendre.ts';
import type { TemperatureHistory } from './temperature.ts';

/** What of the dry grounds is wet by a moment, and for how long: no matter which coffee it is. */
interface Wetted {
  /** ∫D_eff(T)/D_eff(22 °C) dt from the start, s: what was wet at once has had all of it. */
  readonly wholeS: number;
  /** Shares of what was dry at first, and the same integral since each became wet, s. */
  readonly shares: readonly number[];
  readonly sinceS: readonly number[];
}

const PANEL = gaussLegendre(8);
const WETTING_BREAKS = [1, 2, 4, 8, 16];

interface Course {
  readonly agitationS: readonly number[];
  readonly at: (timeS: number) => Wetted;
}
// Draws, ranges and fits ask the same steep again and again, of other coffees.
const courses = new WeakMap<TemperatureHistory, Course>();

/**
 * How the dry grounds become wet: with a time constant, and each agitation wets most of what is left.
 * The continuous wetting is integrated in s = √(t − τ), which removes the root of short diffusion times.
 *
 * @param agitationS moments of agitation, s from the start, any order
 * @returns a function of time in s, 0 or more
 */
export function wettingCourse(
  history: TemperatureHistory,
  agitationS: readonly number[],
): (timeS: number) => Wetted {
  let course = courses.get(history);
  if (course?.agitationS !== agitationS) {
    course = { agitationS, at: lastKept(createCourse(history, agitationS)) };
    courses.set(history, course);
  }
  return course.at;
}

function lastKept<T>(f: (x: number) => T): (x: number) => T {
  let last: { readonly x: number; readonly value: T } | undefined;
  return (x) => {
    if (last?.x !== x) last = { x, value: f(x) };
    return last.value;
  };
}

function createCourse(
  history: TemperatureHistory,
  agitationS: readonly number[],
): (timeS: number) => Wetted {
  const tau = CONSTANTS.wettingTimeS.value;
  const agitations = [...agitationS].sort((a, b) => a - b);
  const left = 1 - CONSTANTS.agitationWetsFrac.value;
  const renewed = renewedStretches(agitations);
  const equivalentS = renewed.length === 0 ? history.equivalentS : renewedS(history, renewed);
  // Share still dry just after the first `stirs` agitations, at a time.
  const dryFrac = (timeS: number, stirs: number): number => left ** stirs * Math.exp(-timeS / tau);
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
    const wholeS = equivalentS(timeS);
    const shares: number[] = [];
    const sinceS: number[] = [];
    agitations.forEach((at, i) => {
      if (at > timeS) return;
      shares.push(dryFrac(at, i) - dryFrac(at, i + 1));
      sinceS.push(wholeS - equivalentS(at));
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
        shares.push(PANEL.weights[i]! * half * 2 * s * rate);
        sinceS.push(wholeS - equivalentS(at));
      }
    }
    return { wholeS, shares, sinceS };
  };
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
