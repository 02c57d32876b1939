import { countedObservations } from '../batch/countedObservations.ts';
import { measuredSteep, steepBeganMs } from '../batch/measuredSteep.ts';
import type { ProbeHistory } from '../batch/places.ts';
import { planInput, scoopByTablesG } from '../batch/plan.ts';
import type { Batch, ObservationRow } from '../batch/schema.ts';
import type { BrewInput } from '../brew/brew.ts';
import { modelOf, type BrewModel } from '../brew/model.ts';

/** One batch as it can be learned from: what was done, and what was found. */
export interface Observation {
  readonly batchId: string;
  readonly coffeeId: string;
  readonly coffeeName: string;
  readonly atMs: number;
  /** The brew as it really was, with the handbook's model of its coffee. */
  readonly input: BrewInput;
  readonly model: BrewModel;
  /** Strength after the strain, as it was read; null where nobody did. */
  readonly strengthFrac: number | null;
  /** What came out, g; null where nobody weighed it. */
  readonly brewG: number | null;
  /** Read of the slurry while it steeped. */
  readonly slurry: readonly { readonly atS: number; readonly strengthFrac: number }[];
  /** What a scoop was taken to hold by the tables, and what it was weighed at, g; null where nothing was both. */
  readonly scoop: { readonly expectedG: number; readonly foundG: number } | null;
}

/**
 * What a batch teaches.
 *
 * @param input.actuals in the order of writing
 * @returns null for one that is not strained, or of which nothing was read or weighed
 */
export function observationOf(input: {
  batch: Batch;
  observations: readonly ObservationRow[];
  probes?: readonly ProbeHistory[];
}): Observation | null {
  const { batch, observations, probes = [] } = input;
  const { plan, coffee, coffeeName, strainedAt } = batch;
  if (batch.status !== 'strained' || strainedAt === null) return null;
  const counted = countedObservations(observations);
  const beganMs = steepBeganMs({ batch, observations: counted });
  const strainedMs = Date.parse(strainedAt);
  const measured = measuredSteep({ batch, observations, probes });
  const steepS = Math.max(1, (strainedMs - beganMs) / 1000);
  const slurry = counted.flatMap(({ kind, at, strengthFrac }) => {
    const atS = (Date.parse(at) - beganMs) / 1000;
    const isSlurry = kind === 'read' && atS > 0 && Date.parse(at) < strainedMs;
    return isSlurry && strengthFrac !== null ? [{ atS, strengthFrac }] : [];
  });
  const weighed = counted.findLast(({ kind }) => kind === 'came-out' || kind === 'strained')?.massG;
  const strengthFrac = batch.strengthBy === 'reading' ? batch.strengthFrac : null;
  const scoop =
    plan.scooped && measured.doseG !== undefined
      ? { expectedG: scoopByTablesG(batch), foundG: measured.doseG }
      : null;
  if (strengthFrac === null && !weighed && slurry.length === 0 && !scoop) return null;
  return {
    batchId: batch.id,
    coffeeId: plan.coffeeId,
    coffeeName,
    atMs: strainedMs,
    input: { ...planInput(plan, measured), steepS },
    model: modelOf(coffee),
    strengthFrac,
    brewG: weighed ?? null,
    slurry,
    scoop,
  };
}
