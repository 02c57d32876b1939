import type { BatchInFull } from '@ratio/core/batch';
import { releaseProxy, wrap } from 'comlink';
import { onScopeDispose } from 'vue';
import type { Learning, LearnWorker } from './learn.worker.ts';

/** @returns a fit of batches in a worker; leaving the page stops it */
export function useLearning(): (batches: readonly BatchInFull[]) => Promise<Learning> {
  const thread = new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<LearnWorker>(thread);
  onScopeDispose(() => {
    remote[releaseProxy]();
    thread.terminate();
  });
  return (batches) => remote.learn(batches);
}
