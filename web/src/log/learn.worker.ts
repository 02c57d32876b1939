import '../zodWithoutEval.ts';
import type { BatchInFull } from '@ratio/core/batch';
import { fitLog, observationOf, type Fit } from '@ratio/core/learn';
import { expose } from 'comlink';

/** A fit, and how many batches it rests on. */
export interface Learning {
  readonly fit: Fit;
  readonly batchCount: number;
}

const worker = {
  /** What the batches teach. */
  learn(batches: readonly BatchInFull[]): Learning {
    const observations = batches.flatMap(
      (batch) => observationOf({ batch, observations: batch.actuals, probes: batch.probes }) ?? [],
    );
    return { fit: fitLog(observations), batchCount: observations.length };
  },
};

export type LearnWorker = typeof worker;
expose(worker);
