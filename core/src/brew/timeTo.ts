import { findRoot } from '../numeric/findRoot.ts';
import { createRelease } from './release.ts';
import { immersionYieldFrac, waterLeftG, yieldAtRatioFrac } from './strength.ts';
import type { BrewInput } from './brew.ts';
import type { BrewModel } from './model.ts';

/** A steep that goes on in its last place. */
type Steep = Pick<BrewInput, 'grind' | 'wetting' | 'agitationS' | 'history'>;

/**
 * When a steep has come to a strength.
 *
 * @param input the batch; it goes on in its last place
 * @param input.strengthFrac of the liquid around the grounds, 0–1
 * @returns hours from the start; null where it never comes to it, or not within a week
 */
export function hoursToStrength(
  input: Steep & Pick<BrewInput, 'doseG' | 'waterG'> & { strengthFrac: number },
  model: BrewModel,
): number | null {
  const { doseG, waterG, strengthFrac } = input;
  const { equilibriumYieldFrac, lossFrac } = model;
  const leftG = waterLeftG(waterG, lossFrac);
  const wanted = immersionYieldFrac({ doseG, waterG: leftG, strengthFrac });
  const reachable = yieldAtRatioFrac({ ratio: waterG / doseG, equilibriumYieldFrac });
  return hoursToRelease({ ...input, releasedFrac: wanted / reachable }, model);
}

const LONGEST_HOURS = 168;

/**
 * When a steep has given a share of what it would give for ever.
 *
 * @param input the steep; it goes on in its last place
 * @param input.releasedFrac share of the equilibrium yield, 0–1
 * @returns hours from the start; 0 where it is free at once, null where a week does not do
 */
export function hoursToRelease(
  input: Steep & { releasedFrac: number },
  { diffusivity22M2PerS }: BrewModel,
): number | null {
  const { releasedFrac, ...steep } = input;
  const release = createRelease({ ...steep, diffusivity22M2PerS });
  const over = (hours: number): number => release(hours * 3600) - releasedFrac;
  if (over(0) >= 0) return 0;
  if (over(LONGEST_HOURS) < 0) return null;
  return findRoot({ f: over, low: 0, high: LONGEST_HOURS, tolerance: 1e-6 });
}
