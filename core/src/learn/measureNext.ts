import { planInput, scoopOf } from '../batch/plan.ts';
import type { Plan } from '../batch/schema.ts';
import { brew, type BrewInput } from '../brew/brew.ts';
import { knownTimes } from '../brew/learned.ts';
import type { LearnedCoffee } from '../brew/learnedSchema.ts';
import type { BrewModel } from '../brew/model.ts';
import { slurryStrengthFrac } from '../brew/readings.ts';
import { NO_DEVIATION } from '../brew/release.ts';
import { SHIFTS, SIGMAS } from '../brew/spreads.ts';
import { CONSTANTS } from '../constants.ts';

/** A single thing to measure, and what it would leave of the range of the batch after. */
export interface Measurement {
  readonly what: 'mid-steep' | 'after-strain' | 'probe' | 'mill' | 'scoop';
  /** Of a reading of the slurry; null for the others. */
  readonly atHours: number | null;
  /** One standard deviation of the next strength, relative, now and after it. */
  readonly nowFrac: number;
  readonly thenFrac: number;
}

/** When a drop of the slurry can be read, as shares of the steep. */
const MOMENTS = [0.15, 0.3, 0.5] as const;
const CHANCES = ['grindSize', 'wetting', 'temperature'] as const;

/**
 * Which single reading would narrow the next strength of a coffee most, by the covariance of what is known
 * of it.
 *
 * @param input.known of the coffee: yield and rate as logarithms, and how they hang together
 * @param input.plan by which it is brewed again
 * @param input.model with the same values
 * @returns the best first
 */
export function measureNext(input: {
  known: LearnedCoffee;
  plan: Plan;
  model: BrewModel;
}): Measurement[] {
  const { known, plan, model } = input;
  const steep = planInput(plan);
  const [sy, sr] = [known.yieldLog.sigma, known.rateLog.sigma];
  const shared = known.correlationFrac * sy * sr;
  type At = (input: BrewModel, deviation: typeof NO_DEVIATION) => number;
  const end: At = (input, deviation) => Math.log(brew({ ...steep, deviation }, input).strengthFrac);
  const drop =
    (share: number): At =>
    (input, deviation) =>
      Math.log(slurryStrengthFrac({ ...steep, deviation, steepS: share * steep.steepS }, input));
  const STEP = 0.01;
  /** By yield and rate, and by each chance of a batch, in its standard deviations. */
  const slopes = (at: At) => {
    const by = (times: (s: number) => BrewModel): number =>
      (at(times(STEP), NO_DEVIATION) - at(times(-STEP), NO_DEVIATION)) / (2 * STEP);
    return {
      y: by((s) => ({
        ...model,
        equilibriumYieldFrac: model.equilibriumYieldFrac * Math.exp(s),
      })),
      r: by((s) => ({
        ...model,
        diffusivity22M2PerS: model.diffusivity22M2PerS * Math.exp(s),
      })),
      chances: CHANCES.map((name) => {
        const moved = (s: number): number =>
          at(model, { ...NO_DEVIATION, ...SHIFTS[name](s, 'mill') });
        return moved(0.5) - moved(-0.5);
      }),
    };
  };
  const next = slopes(end);
  const chanceVariance = (input: readonly number[]): number =>
    input.reduce((sum, c) => sum + c * c, 0);
  const variance = (a: { y: number; r: number }, b: { y: number; r: number }): number =>
    a.y * b.y * sy ** 2 + a.r * b.r * sr ** 2 + (a.y * b.r + a.r * b.y) * shared;
  const own = variance(next, next);
  const byScoop = plan.scooped ? scoopVariance({ steep, model }) : 0;
  const whole = own + chanceVariance(next.chances) + byScoop;
  const noise = (CONSTANTS.readingSpreadFrac.value / 2) ** 2;
  const leftBy = (at: At): number => {
    const seen = slopes(at);
    // The next batch has chances of its own: those of this one are noise of the reading.
    const total = variance(seen, seen) + chanceVariance(seen.chances) + noise;
    return whole - variance(next, seen) ** 2 / total;
  };
  const of = (what: Measurement['what'], left: number, atHours: number | null): Measurement => ({
    what,
    atHours,
    nowFrac: Math.sqrt(whole),
    thenFrac: Math.sqrt(Math.max(0, left)),
  });
  const [grind, , temperature] = next.chances;
  return [
    ...MOMENTS.map((share) => of('mid-steep', leftBy(drop(share)), (share * steep.steepS) / 3600)),
    of('after-strain', leftBy(end), null),
    // A probe knows the place to a fraction of what is guessed of it; a mill that is noted repeats.
    of('probe', whole - temperature! ** 2 * (1 - (PROBE_C / SIGMAS.tempC) ** 2), null),
    // What is weighed is no scoop any more.
    ...(plan.scooped ? [of('scoop', whole - byScoop, null)] : []),
    of('mill', whole - grind! ** 2 * (1 - REPEATS_FRAC ** 2), null),
  ].toSorted((a, b) => a.thenFrac - b.thenFrac);
}

/** What one scoop after another brings to the variance of a strength, relative. */
function scoopVariance({ steep, model }: { steep: BrewInput; model: BrewModel }): number {
  const sigma = knownTimes(model, steep.filtration.method).looseDensity * SIGMAS.looseDensity;
  const ofScoop = scoopOf(steep);
  const at = (sigmas: number): number =>
    Math.log(brew(ofScoop(1 + sigmas * sigma), model).strengthFrac);
  return (at(0.5) - at(-0.5)) ** 2;
}

/** One standard deviation of a probe's place, °C, and of a mill that is set to its own mark again (practice). */
const PROBE_C = 0.2;
const REPEATS_FRAC = 0.5;
