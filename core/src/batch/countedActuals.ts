import type { BatchActual } from './schema.ts';

/**
 * The rows that count: what was taken back does not, and a step that two people noted counts once, as
 * it was noted first. Rows may come twice: the second one changes nothing.
 *
 * @param actuals in the order of writing
 * @returns in the same order, without those that only take back
 */
export function countedActuals<A extends Pick<BatchActual, 'id' | 'kind' | 'step' | 'undoes'>>(
  actuals: readonly A[],
): A[] {
  const counted = new Map<string, A>();
  const seen = new Set<string>();
  const ofStep = new Map<string, string>();
  for (const actual of actuals) {
    if (seen.has(actual.id)) continue;
    seen.add(actual.id);
    const { kind, step, undoes, id } = actual;
    if (kind === 'undone') {
      const taken = undoes === null ? undefined : counted.get(undoes);
      if (!taken) continue;
      counted.delete(taken.id);
      if (taken.step !== null) ofStep.delete(taken.step);
    } else if (step === null) counted.set(id, actual);
    else if (!ofStep.has(step)) {
      ofStep.set(step, id);
      counted.set(id, actual);
    }
  }
  return [...counted.values()];
}
