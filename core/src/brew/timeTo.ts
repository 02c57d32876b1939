import { findRoot } from '../numeric/findRoot.ts';
import { createRelease } from './release.ts';
import type { BatchInput } from './batch.ts';

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
