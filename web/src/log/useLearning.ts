import type { BatchInFull } from '@ratio/core/batch';
import type { Learning, LearnWorker } from './learn.worker.ts';
import { useThread } from '../sync/index.ts';

/** @returns a fit of batches in a worker; leaving the page stops it */
export function useLearning(): (batches: readonly BatchInFull[]) => Promise<Learning> {
  const remote = useThread<LearnWorker>(
    new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' }),
  );
  return (batches) => remote.learn(batches);
}
