import { mean, quantileSorted } from 'd3-array';
import { DomainError } from '../errors.ts';
import { createRandom } from '../numeric/random.ts';
import { brew, type BrewInput } from './brew.ts';
import { knownTimes } from './learned.ts';
import type { BrewModel } from './model.ts';
import type { Range } from './range.ts';
import { NO_DEVIATION } from './release.ts';
import { SHIFTS, SIGMAS, type GrindBy } from './spreads.ts';

/** What a brew's result is uncertain by. */
const UNCERTAIN_INPUTS = [
  'equilibriumYield',
  'diffusivity',
  'retained',
  'loss',
  'grindSize',
  'wetting',
  'temperature',
  'caffeine',
  'looseDensity',
] as const;
export type UncertainInput = (typeof UNCERTAIN_INPUTS)[number];

/** What to do about each, in the words of the bench. */
export const NARROWED_BY: Readonly<Record<UncertainInput, string>> = {
  equilibriumYield: 'read a batch of this coffee with a refractometer',
  diffusivity: 'read the brew once half way through the steep',
  retained: 'weigh what comes out of the strainer',
  loss: 'cover the vessel, and wring out the bag before it goes in',
  grindSize: 'note the mill’s setting, and read a batch that was ground with it',
  wetting: 'stir it once more in the first minutes',
  temperature: 'put a thermometer into the slurry',
  caffeine: 'ask the roaster for the caffeine of this coffee',
  looseDensity: 'weigh the coffee',
};

/** A result's range, and how much of its variance each input brings, strongest first. */
interface SampledRange extends Range {
  readonly median: number;
  readonly contributions: readonly { input: UncertainInput; shareFrac: number }[];
}

export interface MonteCarloResult {
  readonly draws: number;
  readonly strengthFrac: SampledRange;
  readonly brewMl: SampledRange;
  readonly extractionYieldFrac: SampledRange;
  readonly caffeineMgPerG: SampledRange;
}

const OUTPUTS = ['strengthFrac', 'brewMl', 'extractionYieldFrac', 'caffeineMgPerG'] as const;

/** A sampling of a brew that goes on in steps, so that it can show itself and be stopped. */
export interface MonteCarlo {
  /** Draws more, and summarises all so far. */
  readonly advance: (draws: number) => MonteCarloResult;
}

/**
 * Seeded Monte Carlo over the whole chain: every input that is uncertain is drawn as SHIFTS says, a
 * scoop's density normal where the coffee was scooped.
 *
 * @param input.seed any whole number: the same seed gives the same draws
 * @param input.ofScoop the brew that the same scoop gives when the loose coffee is denser by a
 *   factor; left out where the coffee was weighed
 * @returns 5th and 95th percentile and median of each result; contributions are squared
 *   correlations with the inputs, exact where the model is linear
 */
export function createMonteCarlo(input: {
  brew: BrewInput;
  model: BrewModel;
  seed: number;
  ofScoop?: (densityFactor: number) => BrewInput;
  grindBy?: GrindBy;
}): MonteCarlo {
  const { ofScoop, grindBy = 'mill' } = input;
  const random = createRandom(input.seed);
  const inputs = UNCERTAIN_INPUTS.filter((name) => name !== 'looseDensity' || ofScoop);
  const normals: number[][] = inputs.map(() => []);
  const results = OUTPUTS.map((): number[] => []);
  const times: Readonly<Record<string, number>> = knownTimes(
    input.model,
    input.brew.filtration.method,
  );
  const shared = input.model.learned?.correlationFrac ?? 0;
  const rest = Math.sqrt(1 - shared ** 2);

  function draw(): void {
    let { brew: drawn } = input;
    const deviation = { ...NO_DEVIATION };
    inputs.forEach((name, i) => {
      const own = random.normal();
      // Yield and rate were learned together.
      const z = name === 'diffusivity' ? shared * normals[0]!.at(-1)! + rest * own : own;
      normals[i]!.push(z);
      if (name === 'looseDensity')
        drawn = ofScoop!(Math.max(0.2, 1 + z * times[name]! * SIGMAS.looseDensity));
      else Object.assign(deviation, SHIFTS[name](z * (times[name] ?? 1), grindBy));
    });
    const outcome = brew({ ...drawn, deviation }, input.model);
    OUTPUTS.forEach((name, i) => results[i]!.push(outcome[name]));
  }

  const summarise = (values: readonly number[]): SampledRange => {
    // Typed, because a comparison of numbers is most of the time of a sort.
    const sorted = [...Float64Array.from(values).sort()];
    const contributions = inputs
      .map((name, i) => ({ input: name, shareFrac: squaredCorrelation(normals[i]!, values) }))
      .sort((a, b) => b.shareFrac - a.shareFrac);
    return {
      low: quantileSorted(sorted, 0.05)!,
      median: quantileSorted(sorted, 0.5)!,
      high: quantileSorted(sorted, 0.95)!,
      contributions,
    };
  };

  return {
    advance: (draws) => {
      if (!(draws >= 1))
        throw new DomainError('out_of_range', { name: 'draws', value: draws, min: 1 });
      for (let i = 0; i < draws; i++) draw();
      const summaries = OUTPUTS.map((name, i) => [name, summarise(results[i]!)] as const);
      const ranges = Object.fromEntries(summaries) as Record<
        (typeof OUTPUTS)[number],
        SampledRange
      >;
      return { draws: results[0]!.length, ...ranges };
    },
  };
}

/**
 * The range that would be left if an input were known.
 *
 * @param shareFrac what the input brings to the variance, 0–1
 * @returns width left over width now, 0–1
 */
export const widthLeftFrac = (shareFrac: number): number => Math.sqrt(Math.max(0, 1 - shareFrac));

function squaredCorrelation(a: readonly number[], b: readonly number[]): number {
  const [meanA, meanB] = [mean(a)!, mean(b)!];
  let [ab, aa, bb] = [0, 0, 0];
  for (let i = 0; i < a.length; i++) {
    const [da, db] = [a[i]! - meanA, b[i]! - meanB];
    ab += da * db;
    aa += da * da;
    bb += db * db;
  }
  return aa === 0 || bb === 0 ? 0 : (ab * ab) / (aa * bb);
}
