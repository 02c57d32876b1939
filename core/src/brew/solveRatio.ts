import { findRoot } from '../numeric/findRoot.ts';
import { strengthFrac, yieldAtRatioFrac } from './strength.ts';

/** Thinnest and strongest ratio that is looked for. */
const RATIO_SPAN = { low: 0.5, high: 100 } as const;

/**
 * The ratio that steeps to a strength, before any rinse. What is released with time does not
 * depend on the ratio, so one equation in it is left.
 *
 * @param input.strengthFrac wanted, 0–1
 * @param input.releasedFrac share of the equilibrium yield that will be out, 0–1
 * @param input.equilibriumYieldFrac of the model, 0–1
 * @returns water over coffee by mass; null where no ratio between 0.5 and 100 reaches it
 */
export function ratioForStrength(input: {
  strengthFrac: number;
  releasedFrac: number;
  equilibriumYieldFrac: number;
}): number | null {
  const { releasedFrac, equilibriumYieldFrac } = input;
  const over = (ratio: number): number =>
    strengthFrac({
      doseG: 1,
      waterG: ratio,
      yieldFrac: releasedFrac * yieldAtRatioFrac({ ratio, equilibriumYieldFrac }),
    }) - input.strengthFrac;
  if (over(RATIO_SPAN.low) < 0 || over(RATIO_SPAN.high) > 0) return null;
  return findRoot({ f: over, low: RATIO_SPAN.low, high: RATIO_SPAN.high });
}
