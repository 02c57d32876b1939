import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { lidoSeason } from '../../demo/season.ts';
import { compareBatches } from '../src/learn/compare.ts';
import { fitLog } from '../src/learn/fit.ts';
import { observationOf, type Observation } from '../src/learn/observation.ts';
import { brew } from '../src/brew/brew.ts';
import { medianMs } from './timed.ts';

const COUNT = 200;

const { batches, observations: noted } = lidoSeason();
const seen = batches.flatMap((batch) => {
  const own = noted.filter(({ batchId }) => batchId === batch.id);
  return observationOf({ batch, observations: own }) ?? [];
});
/** The season's batches, and the same again where it has too few. */
const observations: readonly Observation[] = Array.from({ length: COUNT }, (_, i) => {
  const one = seen[i % seen.length]!;
  return { ...one, batchId: `${one.batchId}-${Math.floor(i / seen.length)}` };
});

/** Yield and rate of all coffees together, by a general least-squares solver: a part of what is fitted. */
function generalFit(of: readonly Observation[]): number {
  const read = of.filter(({ strengthFrac }) => strengthFrac !== null);
  const { parameterError } = levenbergMarquardt(
    { x: read.map((_, i) => i), y: read.map(({ strengthFrac }) => Math.log(strengthFrac!)) },
    ([yieldLog = 0, rateLog = 0]: number[]) =>
      (i: number) => {
        const { input, model } = read[i]!;
        return Math.log(
          brew(input, {
            ...model,
            equilibriumYieldFrac: model.equilibriumYieldFrac * Math.exp(yieldLog),
            diffusivity22M2PerS: model.diffusivity22M2PerS * Math.exp(rateLog),
          }).strengthFrac,
        );
      },
    { initialValues: [0, 0], maxIterations: 8, gradientDifference: 1e-3 },
  );
  return parameterError;
}

/** @returns lines: a fit of 200 batches, its growth from a tenth, beside a general solver with two parameters */
export function benchFit(): string[] {
  // Every tenth one, so that its readings that lie far off are in it too.
  const tenth = observations.filter((_, i) => i % 10 === 0);
  const wholeMs = medianMs({ run: () => fitLog(observations), forMs: 6000 });
  const tenthMs = medianMs({ run: () => fitLog(tenth), forMs: 1500 });
  const generalMs = medianMs({ run: () => generalFit(observations), forMs: 3000 });
  const [a, b] = [0, 4].map((i) => {
    const { batchId, input, model, strengthFrac } = seen[i]!;
    return { plan: batches.find(({ id }) => id === batchId)!.plan, input, model, strengthFrac };
  });
  const compareMs = medianMs({ run: () => compareBatches(a!, b!), forMs: 800 });
  return [
    '| learning | ms | baseline | its ms | times as long |',
    '|---|---|---|---|---|',
    `| a fit of ${COUNT} batches | ${wholeMs.toFixed(0)} | ml-levenberg-marquardt, yield and rate of all coffees alone | ${generalMs.toFixed(0)} | ${(wholeMs / generalMs).toFixed(1)} |`,
    `| a fit of ${COUNT} batches | ${wholeMs.toFixed(0)} | of ${COUNT / 10} | ${tenthMs.toFixed(0)} | ${(wholeMs / tenthMs).toFixed(1)} |`,
    '',
    `Two batches compared: ${compareMs.toFixed(1)} ms.`,
  ];
}
