import { brew } from '../brew/brew.ts';
import { slurryStrengthFrac } from '../brew/readings.ts';
import { countedObservations } from '../batch/countedObservations.ts';
import { measuredSteep, steepBeganMs } from '../batch/measuredSteep.ts';
import { planInput, scoopByTablesG } from '../batch/plan.ts';
import type { Batch, ObservationRow } from '../batch/schema.ts';
import type { Step } from '../steps/stepsOf.ts';
import { hiddenModel, scoopTimes } from './simulate.ts';

/** What stand-ins find at a batch. */
export interface Found {
  /** What the step in hand puts on the scale, g; null where it weighs nothing. */
  readonly massG: number | null;
  /** Whether it comes on top of what the scale holds already. */
  readonly isOnTop: boolean;
  /** Of a drop of it, before or after it is strained, 0–1. */
  readonly strengthFrac: number;
  /** Of its slurry, °C. */
  readonly tempC: number;
}

/**
 * What stand-ins measure at a batch: by the batch's own model with parameters of its coffee that nobody
 * was told.
 *
 * @param input.step in hand; null for none
 * @param input.seed of the shop's stand-ins
 * @throws {DomainError} out_of_range where the ratio is absurd
 */
export function foundAt(input: {
  batch: Pick<Batch, 'plan' | 'model' | 'startedAt'>;
  observations: readonly ObservationRow[];
  step: Pick<Step, 'note' | 'amountG'> | null;
  nowMs: number;
  seed: number;
}): Found {
  const { batch, observations, step, nowMs, seed } = input;
  const model = hiddenModel({ model: batch.model, coffeeId: batch.plan.coffeeId, seed });
  const counted = countedObservations(observations);
  const beganMs = steepBeganMs({ batch, observations: counted });
  const drawn = counted.find((row) => row.step === 'strain');
  const endMs = drawn ? Date.parse(drawn.at) : nowMs;
  const steepS = Math.max(1, (endMs - beganMs) / 1000);
  const steep = { ...planInput(batch.plan, measuredSteep({ batch, observations })), steepS };
  const strained = brew(steep, model);
  function massOf(): number | null {
    if (step?.note === 'came-out') return strained.brewG;
    if (step?.note === 'weighed' && batch.plan.scooped)
      return scoopByTablesG(batch) * scoopTimes(seed);
    return step?.amountG ?? null;
  }
  return {
    massG: massOf(),
    isOnTop: step?.note === 'poured',
    strengthFrac: drawn ? strained.strengthFrac : slurryStrengthFrac(steep, model),
    tempC: steep.history.tempC(steepS),
  };
}
