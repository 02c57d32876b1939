import { brew } from '../brew/brew.ts';
import { brewRange } from '../brew/range.ts';
import { countedObservations } from './countedObservations.ts';
import { measuredSteep, steepBeganMs } from './measuredSteep.ts';
import type { ProbeHistory } from './places.ts';
import { planInput } from './plan.ts';
import { predictionOf } from './predict.ts';
import type { Batch, Observation, Prediction } from './schema.ts';

/**
 * What a batch comes to when it is strained at a time: by the hours that it really had, by what was
 * noted of it meanwhile, and by the plan where nobody noted anything.
 *
 * @param input.probes how warm its places were, as far as it was measured
 * @param input.drawnOffG what was poured off before, while it stood on its grounds, g
 * @param input.strainedAt ISO instant, not before the start
 * @throws {DomainError} out_of_range where the ratio is absurd
 */
export function predictStrain(input: {
  batch: Pick<Batch, 'plan' | 'model' | 'startedAt'>;
  observations: readonly Observation[];
  probes?: readonly ProbeHistory[];
  drawnOffG?: number;
  strainedAt: string;
}): Prediction {
  const { batch, observations, probes = [], drawnOffG = 0, strainedAt } = input;
  const beganMs = steepBeganMs({ batch, observations: countedObservations(observations) });
  const strainedS = Math.max(1, (Date.parse(strainedAt) - beganMs) / 1000);
  const steep = planInput(batch.plan, {
    ...measuredSteep({ batch, observations, probes }),
    strainedS,
  });
  const prediction = predictionOf({
    outcome: brew(steep, batch.model),
    range: brewRange(steep, batch.model),
  });
  return withoutDrawnOff(prediction, drawnOffG);
}

/** What is left to come out of a batch that was poured from on its grounds. */
function withoutDrawnOff(prediction: Prediction, drawnOffG: number): Prediction {
  const { brewG, brewMl } = prediction;
  const leftG = Math.max(0, brewG - drawnOffG);
  return leftG === brewG
    ? prediction
    : { ...prediction, brewG: leftG, brewMl: (brewMl * leftG) / brewG };
}

/**
 * What could be poured off a batch now, by the hours that it has had: of one that is left on its grounds.
 *
 * @param input.atMs ms since 1970 UTC; before the start it counts as the start
 */
export function brewAt(input: {
  batch: Pick<Batch, 'plan' | 'model' | 'startedAt'>;
  atMs: number;
}): Pick<Prediction, 'strengthFrac' | 'caffeineMgPerG'> {
  const { batch, atMs } = input;
  const strainedS = Math.max(1, (atMs - Date.parse(batch.startedAt)) / 1000);
  const { strengthFrac, caffeineMgPerG } = brew(planInput(batch.plan, { strainedS }), batch.model);
  return { strengthFrac, caffeineMgPerG };
}

/** How far a strain is from its plan. */
export interface StrainTiming {
  /** Hours after the plan's end; below 0 before it. */
  readonly lateHours: number;
  /** Whether somebody should look twice before it is written down. */
  readonly isFarOff: boolean;
}

/** This far off the plan's hours, and by at least an hour, a slip of the finger is likely. */
const FAR_OFF_FRAC = 0.25;

/** @returns how early or late a strain is, and whether that is far off */
export function strainTiming(input: {
  batch: Pick<Batch, 'startedAt' | 'endsAt'>;
  strainedAt: string;
}): StrainTiming {
  const [from, to, at] = [input.batch.startedAt, input.batch.endsAt, input.strainedAt].map(
    (instant) => Date.parse(instant) / 3_600_000,
  ) as [number, number, number];
  const lateHours = at - to;
  return {
    lateHours,
    isFarOff: Math.abs(lateHours) > Math.max(1, FAR_OFF_FRAC * (to - from)),
  };
}
