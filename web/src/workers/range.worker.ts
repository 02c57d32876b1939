import {
  createMonteCarlo,
  planInput,
  scoopOf,
  type MonteCarloResult,
  type Plan,
} from '@ratio/core';
import { expose } from 'comlink';

/** A batch to sample, as it can be sent to a worker. */
export interface RangeJob {
  readonly plan: Plan;
  readonly coffee: { solubleFrac: number; robustaFrac: number; decafFrac: number };
  readonly scooped: boolean;
  readonly draws: number;
}

const CHUNK = 500;
const SEED = 20_260_613;
let latest = 0;

const worker = {
  /** Samples in chunks and tells after each; a later job ends an earlier one. */
  async sample(job: RangeJob, tell: (result: MonteCarloResult) => void): Promise<void> {
    latest += 1;
    const mine = latest;
    const batch = planInput(job);
    const sampling = createMonteCarlo({
      batch,
      seed: SEED,
      ...(job.scooped ? { ofScoop: scoopOf(batch) } : {}),
    });
    for (let done = 0; done < job.draws; done += CHUNK) {
      const result = sampling.advance(CHUNK);
      if (mine !== latest) return;
      tell(result);
      // Lets the next job's message in.
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== latest) return;
    }
  },
};

export type RangeWorker = typeof worker;
expose(worker);
