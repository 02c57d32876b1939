import { group } from 'd3-array';
import { brew, type BrewInput } from '../brew/brew.ts';
import { learnedModel, SCOOP } from '../brew/learned.ts';
import type { Estimate, Learned, LearnedCoffee } from '../brew/learnedSchema.ts';
import type { FiltrationMethod } from '../brew/filtration.ts';
import { slurryStrengthFrac } from '../brew/readings.ts';
import { NO_DEVIATION } from '../brew/release.ts';
import { SHIFTS, SIGMAS } from '../brew/spreads.ts';
import { CONSTANTS } from '../constants.ts';
import { leastSquares } from '../numeric/leastSquares.ts';
import type { Observation } from './observation.ts';

/** Something read or weighed that lies far from all the rest. */
export interface Outlier {
  readonly batchId: string;
  readonly what: 'strength' | 'slurry' | 'brew' | 'scoop';
  /** Found over expected, less 1. */
  readonly offFrac: number;
  /** The same in standard deviations of both. */
  readonly sigmas: number;
}

/** What a log teaches, and what it rests on. */
export interface Fit {
  readonly learned: Learned;
  /** Readings and weighings that were counted, of each coffee. */
  readonly counts: readonly {
    readonly coffeeId: string;
    readonly coffeeName: string;
    readonly readings: number;
    readonly weighings: number;
    /** How far off its strengths were expected before and after, as a root mean square, relative. */
    readonly beforeFrac: number;
    readonly afterFrac: number;
  }[];
  /** Those that count less, because nothing else says the same; never left out in silence. */
  readonly outliers: readonly Outlier[];
}

/** How the handbook's spread is shared between what all coffees have and what one has of its own (ours). */
const SHARED = { yield: 0.7, rate: 0.8 } as const;
const PRIOR = {
  yieldShop: SIGMAS.soluble * SHARED.yield,
  yieldOwn: SIGMAS.soluble * Math.sqrt(1 - SHARED.yield ** 2),
  rateShop: SIGMAS.logDiffusivity * SHARED.rate,
  rateOwn: SIGMAS.logDiffusivity * Math.sqrt(1 - SHARED.rate ** 2),
  retained: SIGMAS.retainedGPerG,
  loss: SIGMAS.lossFrac,
} as const;
/** What a shop has for all of its batches, in this order: yield, rate, lost water. */
const OF_SHOP = [PRIOR.yieldShop, PRIOR.rateShop, PRIOR.loss] as const;
/** A scale, a strainer that still drips, and a jug that is not quite dry (practice). */
const WEIGHED = { sigmaG: 15, sigmaFrac: 0.008 } as const;
/** Degrees of freedom of Student's t: what lies far off counts less and less (Lange, Little and Taylor 1989, memory). */
const TAILS = 4;
const tailWeight = (z: number): number => Math.min(1, (TAILS + 1) / (TAILS + z * z));
/** Beyond so many standard deviations a value is named. */
const NAMED = 3.5;
const ROUNDS = 8;
/** Nothing that anybody would see is nearer than this, in standard deviations. */
const SETTLED_SIGMAS = 1e-3;
const STEP = 1e-3;

/** What a batch's own chances move, and nobody measures: size of the grind, wetting, temperature. */
const CHANCES = ['grindSize', 'wetting', 'temperature'] as const;

/** Yield and rate as logarithms over the handbook's, lost water and retained liquid as more than its own. */
interface Local {
  readonly yieldLog: number;
  readonly rateLog: number;
  readonly lossFrac: number;
  readonly retainedG: number;
}
const LOCAL_KEYS = ['yieldLog', 'rateLog', 'lossFrac', 'retainedG'] as const;
const HANDBOOK: Local = { yieldLog: 0, rateLog: 0, lossFrac: 0, retainedG: 0 };

/** What a batch's values are expected to be; strengths as logarithms. */
function expected(given: Observation, local: Local, input: BrewInput = given.input): number[] {
  const { method } = input.filtration;
  const model = {
    ...given.model,
    equilibriumYieldFrac: Math.min(
      0.4,
      given.model.equilibriumYieldFrac * Math.exp(local.yieldLog),
    ),
    diffusivity22M2PerS: given.model.diffusivity22M2PerS * Math.exp(local.rateLog),
    lossFrac: local.lossFrac,
    retainedGPerG: {
      ...given.model.retainedGPerG,
      [method]: Math.max(0, given.model.retainedGPerG[method] + local.retainedG),
    },
  };
  const outcome = brew(input, model);
  return [
    ...(given.strengthFrac === null ? [] : [Math.log(outcome.strengthFrac)]),
    ...given.slurry.map(({ atS }) =>
      Math.log(slurryStrengthFrac({ ...input, steepS: atS }, model)),
    ),
    ...(given.brewG === null ? [] : [outcome.brewG]),
  ];
}

const KINDS = (observation: Observation): Outlier['what'][] => [
  ...(observation.strengthFrac === null ? [] : (['strength'] as const)),
  ...observation.slurry.map(() => 'slurry' as const),
  ...(observation.brewG === null ? [] : (['brew'] as const)),
];
const found = (input: Observation): number[] => [
  ...(input.strengthFrac === null ? [] : [Math.log(input.strengthFrac)]),
  ...input.slurry.map(({ strengthFrac }) => Math.log(strengthFrac)),
  ...(input.brewG === null ? [] : [input.brewG]),
];

/** One standard deviation of each value: the instrument's, and what a batch's own chances bring. */
function noiseOf(given: Observation): number[] {
  const own = [
    ...(given.strengthFrac === null ? [] : [readingSigma(given.strengthFrac)]),
    ...given.slurry.map(({ strengthFrac }) => readingSigma(strengthFrac)),
    ...(given.brewG === null ? [] : [Math.hypot(WEIGHED.sigmaG, WEIGHED.sigmaFrac * given.brewG)]),
  ];
  const moved = CHANCES.map((name) => {
    const at = (sigmas: number) =>
      expected(given, HANDBOOK, {
        ...given.input,
        deviation: { ...NO_DEVIATION, ...SHIFTS[name](sigmas, 'mill') },
      });
    const [up, down] = [at(0.5), at(-0.5)];
    return up.map((value, i) => value - down[i]!);
  });
  return own.map((sigma, i) => Math.hypot(sigma, ...moved.map((by) => by[i]!)));
}
const readingSigma = (strengthFrac: number): number =>
  Math.hypot(CONSTANTS.readingStepFrac.value / strengthFrac, CONSTANTS.readingSpreadFrac.value / 2);

/**
 * Fits yield, rate, lost water, retained liquid and loose density to a log, with the handbook's values as what is
 * known before: hierarchically, what all coffees share and what each has of its own, so that a coffee that nobody has
 * read begins from the shop and not from the book.
 *
 * Weighted non-linear least squares with the priors as residuals, values that lie far off counting less
 * (weights of Student's t); the covariance is the inverse curvature there (a Laplace approximation).
 *
 * @param observations of batches, in any order; none gives the handbook back
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., chapters 4.1 and 5 (memory)
 */
export function fitLog(observations: readonly Observation[]): Fit {
  const scoops = scoopsOf(observations);
  const coffees = [...new Set(observations.map(({ coffeeId }) => coffeeId))];
  const methods = [...new Set(observations.map(({ input }) => input.filtration.method))];
  // Yield, rate and lost water of the shop, retained liquid of each filtration, then yield and rate of each
  // coffee.
  const retainedAt = (method: FiltrationMethod): number => OF_SHOP.length + methods.indexOf(method);
  const ownFrom = OF_SHOP.length + methods.length;
  const yieldAt = (coffeeId: string): number => ownFrom + 2 * coffees.indexOf(coffeeId);
  const size = ownFrom + 2 * coffees.length;
  const priors = Array.from({ length: size }, (_, i) => {
    if (i < OF_SHOP.length) return OF_SHOP[i]!;
    if (i < ownFrom) return PRIOR.retained;
    return (i - ownFrom) % 2 === 0 ? PRIOR.yieldOwn : PRIOR.rateOwn;
  });
  const localOf = (p: readonly number[], given: Observation): Local => ({
    yieldLog: p[0]! + p[yieldAt(given.coffeeId)]!,
    rateLog: p[1]! + p[yieldAt(given.coffeeId) + 1]!,
    lossFrac: p[2]!,
    retainedG: p[retainedAt(given.input.filtration.method)]!,
  });
  const seen = observations.map((input) => ({
    of: input,
    found: found(input),
    noise: noiseOf(input),
  }));
  const standardized = (p: readonly number[]): number[][] =>
    seen.map(({ of, found: values, noise }) =>
      expected(of, localOf(p, of)).map((value, i) => (value - values[i]!) / noise[i]!),
    );

  let weights = seen.map(({ found: values }) => values.map(() => 1));
  let parameters: readonly number[] = priors.map(() => 0);
  let covariance = priors.map((sigma, i) => priors.map((_, j) => (i === j ? sigma ** 2 : 0)));
  for (let round = 0; round < (seen.length > 0 ? ROUNDS : 0); round++) {
    const fit = leastSquares({
      start: parameters,
      mostRounds: 30,
      settledSigmas: SETTLED_SIGMAS,
      residuals: (p) => [
        ...standardized(p).flatMap((all, k) => all.map((z, i) => z * weights[k]![i]!)),
        ...p.map((value, i) => value / priors[i]!),
      ],
      // A batch depends on what is its own alone.
      jacobian: (p) => [
        ...seen.flatMap(({ of, noise }, k) => {
          const local = localOf(p, of);
          const slopes = LOCAL_KEYS.map((key) => {
            const at = (by: number) => expected(of, { ...local, [key]: local[key] + by });
            const [up, down] = [at(STEP), at(-STEP)];
            return up.map((value, i) => (value - down[i]!) / (2 * STEP));
          });
          return noise.map((sigma, i) => {
            const row = new Array<number>(size).fill(0);
            const scale = weights[k]![i]! / sigma;
            const [byYield, byRate, byLoss, byRetained] = slopes.map((slope) => slope[i]! * scale);
            row[0] = byYield!;
            row[1] = byRate!;
            row[2] = byLoss!;
            row[yieldAt(of.coffeeId)] = byYield!;
            row[yieldAt(of.coffeeId) + 1] = byRate!;
            row[retainedAt(of.input.filtration.method)] = byRetained!;
            return row;
          });
        }),
        ...priors.map((sigma, i) => priors.map((_, j) => (i === j ? 1 / sigma : 0))),
      ],
    });
    parameters = fit.parameters;
    covariance = fit.covariance.map((row) => [...row]);
    const before = weights;
    weights = standardized(parameters).map((all) => all.map((z) => Math.sqrt(tailWeight(z))));
    const isSettled = weights.every((all, k) =>
      all.every((weight, i) => Math.abs(weight - before[k]![i]!) < 1e-3),
    );
    if (isSettled) break;
  }

  const sumOf = (...at: readonly number[]): Estimate => ({
    value: at.reduce((sum, i) => sum + parameters[i]!, 0),
    sigma: Math.sqrt(
      at.reduce((sum, i) => sum + at.reduce((s, j) => s + covariance[i]![j]!, 0), 0),
    ),
  });
  const coffeeOf = (coffeeId: string): LearnedCoffee => {
    const own = yieldAt(coffeeId);
    const [yieldLog, rateLog] = [sumOf(0, own), sumOf(1, own + 1)];
    const shared = [0, own].reduce(
      (sum, i) => sum + [1, own + 1].reduce((s, j) => s + covariance[i]![j]!, 0),
      0,
    );
    return {
      yieldLog,
      rateLog,
      correlationFrac: within(shared / (yieldLog.sigma * rateLog.sigma)),
    };
  };
  const [yieldShop, rateShop] = [sumOf(0), sumOf(1)];
  const anyYield = Math.hypot(yieldShop.sigma, PRIOR.yieldOwn);
  const anyRate = Math.hypot(rateShop.sigma, PRIOR.rateOwn);
  const learned: Learned = {
    anyCoffee: {
      yieldLog: { value: yieldShop.value, sigma: anyYield },
      rateLog: { value: rateShop.value, sigma: anyRate },
      correlationFrac: within(covariance[0]![1]! / (anyYield * anyRate)),
    },
    coffees: Object.fromEntries(coffees.map((id) => [id, coffeeOf(id)])),
    lossFrac: sumOf(2),
    retainedGPerG: Object.fromEntries(methods.map((method) => [method, sumOf(retainedAt(method))])),
    ...(scoops.length > 0 && { looseLog: scoopLog(scoops) }),
  };
  return {
    learned,
    counts: countsOf({ observations, learned }),
    outliers: [
      ...outliersOf({ seen, off: standardized(parameters) }),
      ...(learned.looseLog ? scoopOutliers(scoops, learned.looseLog) : []),
    ],
  };
}

interface Scoop {
  readonly batchId: string;
  /** Weighed over what the tables expect, as a logarithm. */
  readonly log: number;
}
const scoopsOf = (observations: readonly Observation[]): Scoop[] =>
  observations.flatMap(({ batchId, scoop }) =>
    scoop ? [{ batchId, log: Math.log(scoop.foundG / scoop.expectedG) }] : [],
  );

/** How densely a bench scoops: it hangs together with nothing else, so that its sum is closed. */
function scoopLog(scoops: readonly Scoop[]): Estimate {
  let value = 0;
  let precision = 0;
  for (let round = 0; round < ROUNDS; round++) {
    precision = SCOOP.benchSigma ** -2;
    let sum = 0;
    for (const { log } of scoops) {
      const z = (log - value) / SCOOP.eachSigma;
      const weight = tailWeight(z) / SCOOP.eachSigma ** 2;
      precision += weight;
      sum += weight * log;
    }
    value = sum / precision;
  }
  return { value, sigma: precision ** -0.5 };
}

const scoopOutliers = (scoops: readonly Scoop[], { value }: Estimate): Outlier[] =>
  scoops
    .map(({ batchId, log }): Outlier => ({
      batchId,
      what: 'scoop',
      offFrac: Math.expm1(log - value),
      sigmas: (log - value) / SCOOP.eachSigma,
    }))
    .filter(({ sigmas }) => Math.abs(sigmas) > NAMED);

const within = (value: number): number => Math.min(1, Math.max(-1, value));

function countsOf(given: {
  observations: readonly Observation[];
  learned: Learned;
}): Fit['counts'] {
  const { observations, learned } = given;
  return [...group(observations, ({ coffeeId }) => coffeeId)].map(([coffeeId, own]) => {
    const read = own.filter(({ strengthFrac }) => strengthFrac !== null);
    const offBy = (modelOfOne: (one: Observation) => Observation['model']): number =>
      Math.sqrt(
        read.reduce(
          (sum, one) =>
            sum + (one.strengthFrac! / brew(one.input, modelOfOne(one)).strengthFrac - 1) ** 2,
          0,
        ) / Math.max(1, read.length),
      );
    return {
      coffeeId,
      coffeeName: own.at(-1)!.coffeeName,
      readings: read.length + own.reduce((sum, { slurry }) => sum + slurry.length, 0),
      weighings: own.filter(({ brewG }) => brewG !== null).length,
      beforeFrac: offBy(({ model }) => model),
      afterFrac: offBy(({ model }) => learnedModel({ model, coffeeId, learned, version: 1 })),
    };
  });
}

function outliersOf(input: {
  seen: readonly { of: Observation; found: readonly number[]; noise: readonly number[] }[];
  off: readonly (readonly number[])[];
}): Outlier[] {
  return input.seen
    .flatMap(({ of: one, found: values, noise }, k) =>
      KINDS(one).map((what, i): Outlier => {
        const sigmas = -input.off[k]![i]!;
        const spread = noise[i]! * sigmas;
        return {
          batchId: one.batchId,
          what,
          sigmas,
          offFrac: what === 'brew' ? spread / (values[i]! - spread) : Math.expm1(spread),
        };
      }),
    )
    .filter(({ sigmas }) => Math.abs(sigmas) > NAMED)
    .toSorted((a, b) => Math.abs(b.sigmas) - Math.abs(a.sigmas));
}
