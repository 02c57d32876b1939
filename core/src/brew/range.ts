import { brew, type BrewInput, type BrewOutcome } from './brew.ts';
import type { BrewModel } from './model.ts';
import { knownTimes } from './learned.ts';
import { NO_DEVIATION } from './release.ts';
import { SHIFTS, SHOWN_SIGMAS, SIGMAS, type GrindBy } from './spreads.ts';

/** 5th and 95th percentile. */
export interface Range {
  readonly low: number;
  readonly high: number;
}

export interface BrewRange {
  readonly strengthFrac: Range;
  readonly brewMl: Range;
  readonly caffeineMgPerG: Range;
}

const RANGED = ['strengthFrac', 'brewMl', 'caffeineMgPerG'] as const;

/**
 * Range of a brew's strength, volume and caffeine from the spread of all that nobody knows exactly:
 * equilibrium yield, diffusivity, retained liquid, lost water, size of the grind, wetting, temperature, caffeine,
 * and the density of the loose coffee where it was scooped.
 *
 * First-order propagation: central differences over one standard deviation either way, added in
 * squares.
 *
 * @param options.ofScoop the brew that the same scoop gives when the loose coffee is denser by a
 *   factor; left out where the coffee was weighed
 * @param options.grindBy whether a mill's setting stands behind the grind, as is usual
 */
export function brewRange(
  input: BrewInput,
  model: BrewModel,
  options: { ofScoop?: (densityFactor: number) => BrewInput; grindBy?: GrindBy } = {},
): BrewRange {
  const { ofScoop, grindBy = 'mill' } = options;
  const times: Readonly<Record<string, number>> = knownTimes(model, input.filtration.method);
  const shifted: ((sigmas: number) => BrewOutcome)[] = Object.entries(SHIFTS).map(
    ([name, shift]) =>
      (sigmas) => {
        const by = sigmas * (times[name] ?? 1);
        return brew({ ...input, deviation: { ...NO_DEVIATION, ...shift(by, grindBy) } }, model);
      },
  );
  if (ofScoop !== undefined)
    shifted.push((sigmas) =>
      brew(ofScoop(1 + sigmas * times['looseDensity']! * SIGMAS.looseDensity), model),
    );
  const ends = shifted.map((at) => [at(1), at(-1)] as const);
  const middle = brew(input, model);
  const rangeOf = (key: (typeof RANGED)[number]): Range =>
    around({
      value: middle[key],
      variance: ends.reduce(
        (sum, [up, down]) => sum + ((up[key] - down[key]) / 2) ** 2,
        // Yield and rate were learned together: what one is too high, the other is too low.
        2 * (model.learned?.correlationFrac ?? 0) * slope(ends[0]!, key) * slope(ends[1]!, key),
      ),
    });
  return Object.fromEntries(RANGED.map((key) => [key, rangeOf(key)])) as unknown as BrewRange;
}

const slope = (
  [up, down]: readonly [BrewOutcome, BrewOutcome],
  key: (typeof RANGED)[number],
): number => (up[key] - down[key]) / 2;

function around(input: { value: number; variance: number }): Range {
  const reach = SHOWN_SIGMAS * Math.sqrt(input.variance);
  return { low: Math.max(0, input.value - reach), high: input.value + reach };
}
