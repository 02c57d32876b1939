import type { OldLogReader } from './oldLogReader.ts';
import { useThread } from '../sync/index.ts';

/** @returns a reader of old logs that works beside the page */
export const useOldLogReader = () =>
  useThread<OldLogReader>(
    new Worker(new URL('./oldLog.worker.ts', import.meta.url), { type: 'module' }),
  );
