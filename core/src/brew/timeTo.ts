import { findRoot } from '../numeric/findRoot.ts';
import { createRelease } from './release.ts';
import { equilibriumYieldFrac, immersionYieldFrac } from './strength.ts';
import type { BatchInput } from './batch.ts';

/**
 * When a steep has come to a strength.
 *
 * @param input the batch; it goes on in its last place
 * @param input.strengthFrac of the liquid around the grounds, 0–1
 * @returns hours from the start; null where it never comes to it, or not within a week
 */
export function hoursToStrength(
  input: Pick<
    BatchInput,
    'doseG' | 'waterG' | 'coffee' | 'grind' | 'wetting' | 'agitationS' | 'history'
  > & { strengthFrac: number },
): number | null {
  const { doseG, waterG, coffee, strengthFrac } = input;
  const wanted = immersionYieldFrac({ doseG, waterG, strengthFrac });
  const reachable = equilibriumYieldFrac({
    ratio: waterG / doseG,
    solubleFrac: coffee.solubleFrac,
  });
  return hoursToRelease({ ...input, releasedFrac: wanted / reachable });
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
  input: Pick<BatchInput, 'grind' | 'wetting' | 'agitationS' | 'history'> & {
    releasedFrac: number;
  },
): number | null {
  const release = createRelease(input);
  const over = (hours: number): number => release(hours * 3600) - input.releasedFrac;
  if (over(0) >= 0) return 0;
  if (over(LONGEST_HOURS) < 0) return null;
  return findRoot({ f: over, low: 0, high: LONGEST_HOURS, tolerance: 1e-6 });
}
