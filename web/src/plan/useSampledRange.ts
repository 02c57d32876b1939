import type { MonteCarloResult } from '@ratio/core/brew';
import { proxy, type Remote } from 'comlink';
import { effectScope, shallowRef, watch, type Ref } from 'vue';
import type { RangeJob, RangeWorker } from './range.worker.ts';
import { useThread } from '../sync/index.ts';
import { whenIdle } from '../ui/browser/index.ts';

/**
 * The range of a batch by Monte Carlo in a worker, growing surer while it runs.
 *
 * @param job what to sample; a new one stops the one before, null stops all
 * @returns the latest result, null until the first chunk of a job is drawn
 */
export function useSampledRange(job: Ref<RangeJob | null>): Ref<MonteCarloResult | null> {
  const result = shallowRef<MonteCarloResult | null>(null);
  const scope = effectScope();
  let remote: Remote<RangeWorker> | undefined;
  // What is predicted stands first: two threads at once would draw neither.
  const opened = new Promise<void>((resolve) => whenIdle(resolve));
  let asked = 0;
  watch(
    job,
    async (next) => {
      asked += 1;
      const mine = asked;
      await opened;
      if (!next || mine !== asked || !scope.active) return;
      remote ??= scope.run(() =>
        useThread<RangeWorker>(
          new Worker(new URL('./range.worker.ts', import.meta.url), { type: 'module' }),
        ),
      );
      const tell = proxy((sampled: MonteCarloResult) => {
        if (mine === asked) result.value = sampled;
      });
      // Plain data: a reactive proxy cannot be cloned.
      void remote?.sample(JSON.parse(JSON.stringify(next)) as RangeJob, tell);
    },
    { immediate: true },
  );
  return result;
}
