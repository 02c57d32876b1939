import '../zodWithoutEval.ts';
import { planInput, scoopOf, type Plan } from '@ratio/core/batch';
import { createMonteCarlo, type BrewModel, type MonteCarloResult } from '@ratio/core/brew';
import { expose } from 'comlink';

/** A plan to sample, as it can be sent to a worker. */
export interface RangeJob {
  readonly plan: Plan;
  readonly model: BrewModel;
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
    const brew = planInput(job.plan);
    const sampling = createMonteCarlo({
      brew,
      model: job.model,
      seed: SEED,
      ...(job.scooped ? { ofScoop: scoopOf(brew) } : {}),
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
