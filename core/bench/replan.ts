import { brew, brewCurve, type BrewInput } from '../src/brew/brew.ts';
import { USUAL_MODEL as model } from '../src/brew/model.ts';
import { brewRange } from '../src/brew/range.ts';
import { yieldAtRatioFrac } from '../src/brew/strength.ts';
import { slurryTemperature } from '../src/brew/temperature.ts';
import { referenceRelease } from '../test/brew/referenceRelease.ts';
import { COARSE, FINE, medianMs, type BenchRow } from './timed.ts';

const HOUR = 3600;
const POINTS = 121;

const input: BrewInput = {
  doseG: 900,
  waterG: 4500,
  grind: 'coarse',
  wetting: 'stages',
  history: slurryTemperature({
    doseG: 0,
    pours: [{ atS: 0, massG: 4500, tempC: 12 }],
    readings: [],
    places: [{ durationS: 18 * HOUR, tempC: 4 }],
    timeConstantS: 3.5 * HOUR,
  }),
  steepS: 18 * HOUR,
  agitationS: [],
  filtration: { method: 'drain', rinseG: 0 },
};
const timesS = Array.from({ length: POINTS }, (_, i) => (30 * HOUR * i) / (POINTS - 1));

/** A full re-plan as the page does it: batch, curve of 121 points, range. */
export function replan() {
  return {
    outcome: brew(input, model),
    range: brewRange(input, model),
    curve: brewCurve({ ...input, horizonS: 30 * HOUR, points: POINTS }, model),
  };
}

// The range needs the model at the end of the steep seven times: once as it is, six times shifted.
function referenceReplan(tolerance: number): number[] {
  const reachable = yieldAtRatioFrac({ ratio: 5, equilibriumYieldFrac: 0.215 });
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
