/** What counts as standing still. */
const STEADY_MS = 800;
const LEAST_SAMPLES = 3;

/**
 * Tells whether a mass stands still, for scales that do not say so themselves.
 *
 * @param input.withinG how far it may wander meanwhile, g
 * @returns takes each sample in order; whether the mass has stood still for 0.8 s
 */
export function createSteadiness(input: {
  withinG: number;
}): (sample: { atMs: number; massG: number }) => boolean {
  let recent: { atMs: number; massG: number }[] = [];
  return (sample) => {
    const masses = recent.map(({ massG }) => massG);
    const spread = Math.max(sample.massG, ...masses) - Math.min(sample.massG, ...masses);
    // What came before it moved says nothing any more.
    recent = spread > input.withinG ? [sample] : [...recent, sample].slice(-50);
    return recent.length >= LEAST_SAMPLES && sample.atMs - recent[0]!.atMs >= STEADY_MS;
  };
}
