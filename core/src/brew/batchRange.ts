import { CONSTANTS } from '../constants.ts';
import { batch, type BatchInput } from './batch.ts';
import { SHOWN_SIGMAS, SIGMAS } from './spreads.ts';

/** 5th and 95th percentile. */
export interface Range {
  readonly low: number;
  readonly high: number;
}

export interface BatchRange {
  readonly strengthFrac: Range;
  readonly brewMl: Range;
}

const { diffusivity22M2PerS } = CONSTANTS;

/** One uncertain input, moved by a number of standard deviations. */
type Shift = (input: BatchInput, sigmas: number) => ReturnType<typeof batch>;

const shiftSoluble: Shift = (input, sigmas) => {
  const factor = 1 + sigmas * SIGMAS.soluble;
  const coffee = { ...input.coffee, solubleFrac: input.coffee.solubleFrac * factor };
  return batch({ ...input, coffee });
};

const shiftDiffusivity: Shift = (input, sigmas) =>
  batch(input, {
    diffusivity22M2PerS: diffusivity22M2PerS.value * Math.exp(sigmas * SIGMAS.logDiffusivity),
    retainedShiftGPerG: 0,
  });

const shiftRetained: Shift = (input, sigmas) =>
  batch(input, {
    diffusivity22M2PerS: diffusivity22M2PerS.value,
    retainedShiftGPerG: sigmas * SIGMAS.retainedGPerG,
  });

/**
 * Range of a batch's strength and volume from the spread of what it depends on: soluble share,
 * diffusivity, liquid kept, and the density of the loose coffee where it was scooped.
 *
 * First-order propagation: central differences over one standard deviation either way, added in
 * squares.
 *
 * @param input.ofScoop the batch that the same scoop gives when the loose coffee is denser by a
 *   factor; left out where the coffee was weighed
 */
export function batchRange(
  input: BatchInput,
  options: { ofScoop?: (densityFactor: number) => BatchInput } = {},
): BatchRange {
  const shifts = [shiftSoluble, shiftDiffusivity, shiftRetained];
  const { ofScoop } = options;
  if (ofScoop !== undefined)
    shifts.push((_, sigmas) => batch(ofScoop(1 + sigmas * SIGMAS.looseDensity)));
  let strengthVariance = 0;
  let volumeVariance = 0;
  for (const shift of shifts) {
    const up = shift(input, 1);
    const down = shift(input, -1);
    strengthVariance += ((up.strengthFrac - down.strengthFrac) / 2) ** 2;
    volumeVariance += ((up.brewMl - down.brewMl) / 2) ** 2;
  }
  const middle = batch(input);
  return {
    strengthFrac: around({ value: middle.strengthFrac, variance: strengthVariance }),
    brewMl: around({ value: middle.brewMl, variance: volumeVariance }),
  };
}

function around(input: { value: number; variance: number }): Range {
  const reach = SHOWN_SIGMAS * Math.sqrt(input.variance);
  return { low: Math.max(0, input.value - reach), high: input.value + reach };
}
