import { CONSTANTS } from '../constants.ts';
import { knownTimes } from './learned.ts';
import { inverseOf } from '../numeric/inverseOf.ts';
import { brew, type BrewInput, type BrewOutcome } from './brew.ts';
import type { BrewModel } from './model.ts';
import type { Range } from './range.ts';
import { NO_DEVIATION, type Deviation } from './release.ts';
import { SHIFTS, SHOWN_SIGMAS } from './spreads.ts';

/** A strength that was read of the slurry while it steeped. */
export interface SlurryReading {
  readonly atS: number;
  readonly strengthFrac: number;
}

/** What readings say of a brew. */
export interface ReadBrew {
  /** The brew with what the readings make most likely of all that nobody knows exactly. */
  readonly input: BrewInput;
  readonly outcome: BrewOutcome;
  readonly range: { readonly strengthFrac: Range; readonly brewMl: Range };
  /** Of each reading, how far it lies from what was expected before it, in standard deviations of both. */
  readonly surprises: readonly number[];
}

/** What a reading can say something of; caffeine it cannot. */
const READ_BY = [
  'equilibriumYield',
  'diffusivity',
  'retained',
  'loss',
  'grindSize',
  'wetting',
  'temperature',
] as const;
const NONE: readonly number[] = READ_BY.map(() => 0);
const ROUNDS = 6;
const SETTLED = 1e-6;
const HALF_STEP = 0.5;

/** The deviation at so many standard deviations of each. */
const deviationAt = (
  sigmas: readonly number[],
  times: Readonly<Record<string, number>>,
): Deviation =>
  READ_BY.reduce<Deviation>(
    (sum, key, i) => ({ ...sum, ...SHIFTS[key](sigmas[i]! * (times[key] ?? 1), 'mill') }),
    NO_DEVIATION,
  );

/** Standard deviation of a reading of coffee strength, as a fraction of the whole. */
const readingSigmaFrac = (strengthFrac: number): number =>
  Math.hypot(CONSTANTS.readingStepFrac.value, CONSTANTS.readingSpreadFrac.value * strengthFrac);

/**
 * A brew as its readings correct it: the most likely values of yield, rate, grind size, wetting and
 * temperature, given what is known of each and what was read, and the range that they leave.
 *
 * Gauss–Newton for the most likely values, with the curvature there as their covariance (a Laplace
 * approximation); the range by first order from that covariance.
 *
 * @param input the brew as it is known otherwise; `steepS` is when it ends
 * @param readings of the slurry, before any rinse; none leaves what was known
 * @see Tarantola 2005, Inverse Problem Theory, section 3.4 (memory)
 * @throws {DomainError} as `brew`
 */
export function brewByReadings(
  input: BrewInput,
  model: BrewModel,
  readings: readonly SlurryReading[],
): ReadBrew {
  const times = knownTimes(model, input.filtration.method);
  const at = (sigmas: readonly number[]): BrewInput => ({
    ...input,
    deviation: deviationAt(sigmas, times),
  });
  const slurry = (sigmas: readonly number[]): number[] =>
    readings.map(({ atS }) => slurryStrengthFrac({ ...at(sigmas), steepS: atS }, model));
  const noise = readings.map(({ strengthFrac }) => readingSigmaFrac(strengthFrac));

  let sigmas = NONE;
  let covariance = identity(READ_BY.length);
  const before = slurry(NONE);
  const surprises: number[] = [];
  for (let round = 0; readings.length > 0 && round < ROUNDS; round++) {
    const expected = round === 0 ? before : slurry(sigmas);
    const slopes = slopesOf(slurry, sigmas);
    if (round === 0)
      readings.forEach(({ strengthFrac }, j) =>
        surprises.push(
          (strengthFrac - before[j]!) / Math.hypot(noise[j]!, ...slopes.map((slope) => slope[j]!)),
        ),
      );
    covariance = covarianceOf({ slopes, noise });
    const pull = slopes.map((slope) =>
      readings.reduce((sum, { strengthFrac }, j) => {
        const fit = expected[j]! - slopes.reduce((s, other, i) => s + other[j]! * sigmas[i]!, 0);
        return sum + (slope[j]! * (strengthFrac - fit)) / noise[j]! ** 2;
      }, 0),
    );
    const next = covariance.map((row) => row.reduce((sum, c, i) => sum + c * pull[i]!, 0));
    const moved = Math.hypot(...next.map((value, i) => value - sigmas[i]!));
    sigmas = next;
    if (moved < SETTLED) break;
  }

  const found = at(sigmas);
  const outcome = brew(found, model);
  const ends = (values: readonly number[]): number[] => {
    const { strengthFrac, brewMl } = brew(at(values), model);
    return [strengthFrac, brewMl];
  };
  const slopes = slopesOf(ends, sigmas);
  const rangeOf = (value: number, k: number): Range => {
    const variance = slopes.reduce(
      (sum, a, i) =>
        sum + slopes.reduce((inner, b, j) => inner + a[k]! * covariance[i]![j]! * b[k]!, 0),
      0,
    );
    const reach = SHOWN_SIGMAS * Math.sqrt(Math.max(0, variance));
    return { low: Math.max(0, value - reach), high: value + reach };
  };
  return {
    input: found,
    outcome,
    range: { strengthFrac: rangeOf(outcome.strengthFrac, 0), brewMl: rangeOf(outcome.brewMl, 1) },
    surprises,
  };
}

/** Strength of the liquid around the grounds at the end of a steep, before filtration and rinse. */
export const slurryStrengthFrac = (input: BrewInput, model: BrewModel): number =>
  brew({ ...input, filtration: { ...input.filtration, rinseG: 0 } }, model).strengthFrac;

/** Of each input, how each value moves with one standard deviation of it. */
const slopesOf = (
  valuesAt: (sigmas: readonly number[]) => readonly number[],
  sigmas: readonly number[],
): number[][] =>
  sigmas.map((_, i) => {
    const [up, down] = [HALF_STEP, -HALF_STEP].map((step) =>
      valuesAt(sigmas.with(i, sigmas[i]! + step)),
    ) as [readonly number[], readonly number[]];
    return up.map((value, j) => value - down[j]!);
  });

/** What is left uncertain: one unit of knowledge of each input, and what the readings add. */
function covarianceOf(input: {
  slopes: readonly number[][];
  noise: readonly number[];
}): number[][] {
  const { slopes, noise } = input;
  const information = slopes.map((a, i) =>
    slopes.map((b, j) =>
      noise.reduce((sum, sigma, k) => sum + (a[k]! * b[k]!) / sigma ** 2, i === j ? 1 : 0),
    ),
  );
  return inverseOf(information)!;
}

const identity = (n: number): number[][] =>
  Array.from({ length: n }, (_, i) => Array.from({ length: n }, (__, j) => (i === j ? 1 : 0)));
