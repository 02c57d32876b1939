import { brew, type BrewInput, type BrewOutcome } from './brew.ts';
import type { BrewModel } from './model.ts';
import { MODEL_SHIFTS, SHOWN_SIGMAS, SIGMAS } from './spreads.ts';

/** 5th and 95th percentile. */
export interface Range {
  readonly low: number;
  readonly high: number;
}

export interface BrewRange {
  readonly strengthFrac: Range;
  readonly brewMl: Range;
}

/**
 * Range of a brew's strength and volume from the spread of what it depends on: equilibrium yield,
 * diffusivity, retained liquid, and the density of the loose coffee where it was scooped.
 *
 * First-order propagation: central differences over one standard deviation either way, added in
 * squares.
 *
 * @param options.ofScoop the brew that the same scoop gives when the loose coffee is denser by a
 *   factor; left out where the coffee was weighed
 */
export function brewRange(
  input: BrewInput,
  model: BrewModel,
  options: { ofScoop?: (densityFactor: number) => BrewInput } = {},
): BrewRange {
  const shifted: ((sigmas: number) => BrewOutcome)[] = Object.values(MODEL_SHIFTS).map(
    (shift) => (sigmas) => brew(input, shift(model, sigmas)),
  );
  const { ofScoop } = options;
  if (ofScoop !== undefined)
    shifted.push((sigmas) => brew(ofScoop(1 + sigmas * SIGMAS.looseDensity), model));
  let strengthVariance = 0;
  let volumeVariance = 0;
  for (const at of shifted) {
    const [up, down] = [at(1), at(-1)];
    strengthVariance += ((up.strengthFrac - down.strengthFrac) / 2) ** 2;
    volumeVariance += ((up.brewMl - down.brewMl) / 2) ** 2;
  }
  const middle = brew(input, model);
  return {
    strengthFrac: around({ value: middle.strengthFrac, variance: strengthVariance }),
    brewMl: around({ value: middle.brewMl, variance: volumeVariance }),
  };
}

function around(input: { value: number; variance: number }): Range {
  const reach = SHOWN_SIGMAS * Math.sqrt(input.variance);
  return { low: Math.max(0, input.value - reach), high: input.value + reach };
}
