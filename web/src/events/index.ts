export { useBatches } from './batches.ts';
export { onHandMl, useJugs } from './jugs.ts';
export { useProgress } from './useProgress.ts';
