import { batch, batchCurve, type BatchInput } from '../src/brew/batch.ts';
import { batchRange } from '../src/brew/batchRange.ts';
import { equilibriumYieldFrac } from '../src/brew/strength.ts';
import { approachingTemperature } from '../src/brew/temperature.ts';
import { referenceRelease } from '../test/brew/referenceRelease.ts';
import { COARSE, FINE, medianMs, type BenchRow } from './timed.ts';

const HOUR = 3600;
const POINTS = 121;

const input: BatchInput = {
  doseG: 900,
  waterG: 4500,
  grind: 'coarse',
  coffee: { solubleFrac: 0.215, robustaFrac: 0, decafFrac: 0 },
  wetting: 'stages',
  history: approachingTemperature({
    waterC: 12,
    places: [{ durationS: 18 * HOUR, tempC: 4 }],
    timeConstantS: 3.5 * HOUR,
  }),
  steepS: 18 * HOUR,
  agitationS: [],
  separation: { method: 'drain', rinseG: 0 },
};
const timesS = Array.from({ length: POINTS }, (_, i) => (30 * HOUR * i) / (POINTS - 1));

/** A full re-plan as the page does it: batch, curve of 121 points, range. */
export function replan() {
  return {
    outcome: batch(input),
    range: batchRange(input),
    curve: batchCurve({ ...input, horizonS: 30 * HOUR, points: POINTS }),
  };
}

// The range needs the model at the end of the steep seven times: once as it is, six times shifted.
function referenceReplan(tolerance: number): number[] {
  const reachable = equilibriumYieldFrac({ ratio: 5, solubleFrac: 0.215 });
  for (let i = 0; i < 7; i++) referenceRelease({ ...input, timesS: [input.steepS], tolerance });
  return referenceRelease({ ...input, timesS, tolerance }).map((share) => share * reachable);
}

/** @returns the row of the re-plan */
export function benchReplan(): BenchRow {
  const ours = replan().curve;
  const theirs = referenceReplan(FINE);
  return {
    name: 're-plan: batch, 121-point curve, range',
    baseline: 'odex at 1e-6',
    oursMs: medianMs({ run: replan, forMs: 1500 }),
    baselineMs: medianMs({ run: () => referenceReplan(COARSE), forMs: 3000 }),
    // Before the first hour the baseline's cut-off series, not the integration, decides.
    difference: Math.max(
      ...ours.map(({ hours, extractionYieldFrac }, i) =>
        hours < 1 ? 0 : Math.abs(extractionYieldFrac / theirs[i]! - 1),
      ),
    ),
  };
}
