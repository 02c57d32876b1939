import type { MonteCarloResult } from '@ratio/core/brew';
import { proxy } from 'comlink';
import { shallowRef, watch, type Ref } from 'vue';
import type { RangeJob, RangeWorker } from './range.worker.ts';
import { useThread } from './useThread.ts';

/**
 * The range of a batch by Monte Carlo in a worker, growing surer while it runs.
 *
 * @param job what to sample; a new one stops the one before, null stops all
 * @returns the latest result, null until the first chunk of a job is drawn
 */
export function useSampledRange(job: Ref<RangeJob | null>): Ref<MonteCarloResult | null> {
  const result = shallowRef<MonteCarloResult | null>(null);
  const remote = useThread<RangeWorker>(
    new Worker(new URL('./range.worker.ts', import.meta.url), { type: 'module' }),
  );
  let asked = 0;
  watch(
    job,
    (next) => {
      asked += 1;
      const mine = asked;
      if (!next) return;
      const tell = proxy((drawn: MonteCarloResult) => {
        if (mine === asked) result.value = drawn;
      });
      // Plain data: a reactive proxy cannot be cloned.
      void remote.sample(JSON.parse(JSON.stringify(next)) as RangeJob, tell);
    },
    { immediate: true },
  );
  return result;
}
