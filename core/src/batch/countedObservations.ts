import type { ObservationRow } from './schema.ts';

/**
 * The rows that count: what was taken back does not, and a step that two people noted counts once, as
 * it was noted first. Rows may come twice: the second one changes nothing.
 *
 * @param observations in the order of writing
 * @returns in the same order, without those that only take back
 */
export function countedObservations<
  A extends Pick<ObservationRow, 'id' | 'kind' | 'step' | 'undoes'>,
>(observations: readonly A[]): A[] {
  const counted = new Map<string, A>();
  const seen = new Set<string>();
  const ofStep = new Map<string, string>();
  for (const observation of observations) {
    if (seen.has(observation.id)) continue;
    seen.add(observation.id);
    const { kind, step, undoes, id } = observation;
    if (kind === 'undone') {
      const taken = undoes === null ? undefined : counted.get(undoes);
      if (!taken) continue;
      counted.delete(taken.id);
      if (taken.step !== null) ofStep.delete(taken.step);
    } else if (step === null) counted.set(id, observation);
    else if (!ofStep.has(step)) {
      ofStep.set(step, id);
      counted.set(id, observation);
    }
  }
  return [...counted.values()];
}
