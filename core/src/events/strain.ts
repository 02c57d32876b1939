import { leavesToClean } from '../batch/cleaning.ts';
import { inputG } from '../batch/inputG.ts';
import { NOTHING_NOTED } from '../batch/nothingNoted.ts';
import { pricePerKgOfBrew } from '../batch/pricePerKgOfBrew.ts';
import type { Batch, Observation, Prediction, StrainBatchRequest } from '../batch/schema.ts';
import { predictStrain } from '../batch/strain.ts';
import { caffeineAtStrength } from '../coffee/caffeineAtStrength.ts';
import { derivedId } from '../document/derivedId.ts';
import { isEqual } from '../document/isEqual.ts';
import { massOfStoredG } from '../matter/properties.ts';
import { decided, refuse, REPEATED, type Decision, type EventContext } from './decision.ts';
import { filledJug } from './filledJug.ts';
import { batchIn } from './found.ts';
import { freeVessels } from './freeVessels.ts';
import { momentOf } from './moment.ts';
import { drawnOffG, endOnGrounds } from './onGrounds.ts';
import type { EventRows, EventState } from './state.ts';

/** A strain, and the version of the batch that was seen; null where none was stated. */
export interface StrainInput {
  readonly batchId: string;
  readonly seenVersion: number | null;
  readonly request: StrainBatchRequest;
}

/** A batch is strained into one or several jugs. Repeated with the same content it is strained once. */
export const strain = (state: EventState, input: StrainInput, context: EventContext): Decision =>
  decided(state, () => strainRows(state, input, context));

function strainRows(
  state: EventState,
  { batchId, seenVersion, request }: StrainInput,
  context: EventContext,
): EventRows {
  const batch = batchIn(state, batchId);
  if (isEqual(batch.strain, request)) return REPEATED;
  requireStrainable(batch, seenVersion);
  const strainedAt = strainedWhen(batch, request, context);
  const predicted = predictedStrain(state, batch, strainedAt);
  const strengthFrac = request.strengthFrac ?? predicted.strengthFrac;
  const filled = jugsOf({ state, batch, request, strainedAt, predicted, context });
  const brewG = filled.entries.reduce((sum, { massG }) => sum + massG, 0);
  requireNoMore(batch, brewG + drawnOffG(state, batch));
  const ended = endOnGrounds(state, batchId, strainedAt);
  const strained: Batch = {
    ...batch,
    version: batch.version + 1,
    status: 'strained',
    needsCleaning: leavesToClean({ batch, shopSteps: context.shop.steps }),
    strainedAt,
    strengthFrac,
    strengthBy: request.strengthFrac === undefined ? 'prediction' : 'reading',
    predictedAtStrain: predicted,
    strain: request,
  };
  return {
    batches: [strained],
    observations: observationsOf({ batchId, request, at: strainedAt, brewG }),
    jugs: [...(ended.jugs ?? []), ...filled.jugs],
    entries: [...(ended.entries ?? []), ...filled.entries],
  };
}

/**
 * What comes out of a batch that is strained at an instant, by everything that was observed of it and
 * without what was poured off before.
 *
 * @param strainedAt ISO instant
 */
export const predictedStrain = (state: EventState, batch: Batch, strainedAt: string): Prediction =>
  predictStrain({
    batch,
    observations: state.observations.get(batch.id) ?? [],
    probes: state.probes.get(batch.id) ?? [],
    drawnOffG: drawnOffG(state, batch),
    strainedAt,
  });

function requireStrainable(current: Batch, seenVersion: number | null): void {
  if (seenVersion === null)
    refuse('version_required', 'Send the version that you saw as If-Match.');
  if (current.status === 'abandoned')
    refuse(
      'not_possible_now',
      'This batch was given up. Undo that first, if it is strained after all.',
      { current },
    );
  if (current.status !== 'steeping')
    refuse('already_exists', 'This batch is strained already.', { current });
  if (seenVersion !== current.version)
    refuse('stale', 'Somebody else changed this batch first.', { current });
}

/** A strain is never before its start, though the machine's clock was put back meanwhile. */
function strainedWhen(
  { startedAt }: Batch,
  { strainedAt }: StrainBatchRequest,
  context: EventContext,
): string {
  const at = momentOf(strainedAt, context);
  if (Date.parse(at) >= Date.parse(startedAt)) return at;
  if (strainedAt !== undefined)
    refuse('out_of_range', 'It cannot be strained before it began.', {
      issues: [{ path: 'strainedAt', message: `It began at ${startedAt}.` }],
    });
  return startedAt;
}

function requireNoMore({ plan }: Batch, brewG: number): void {
  const mostG = inputG(plan);
  if (brewG > mostG)
    refuse('out_of_range', 'More brew than what went in.', {
      issues: [{ path: 'jugs', message: `At most ${Math.round(mostG)} g went in.` }],
    });
}

/** The jugs that a strain fills, each with its first ledger row. */
function jugsOf(input: {
  state: EventState;
  batch: Batch;
  request: StrainBatchRequest;
  strainedAt: string;
  predicted: Prediction;
  context: EventContext;
}) {
  const { state, batch, request, strainedAt, predicted, context } = input;
  const isRead = request.strengthFrac !== undefined;
  const strengthFrac = request.strengthFrac ?? predicted.strengthFrac;
  const amounts = request.jugs.map(
    ({ massG, volumeMl = 0 }) => massG ?? massOfStoredG({ volumeMl, strengthFrac }),
  );
  const brewG = amounts.reduce((sum, massG) => sum + massG, 0);
  const coffee = context.coffees.find(({ id }) => id === batch.plan.coffeeId);
  const vessels = freeVessels({ state, context });
  const filled = request.jugs.map(({ jugId, vesselId, label }, i) => {
    const isTaken = request.jugs.findIndex((one) => one.jugId === jugId) < i;
    if (isTaken || state.jugs.has(jugId)) refuse('already_exists', 'A jug with this id exists.');
    const massG = amounts[i]!;
    const into = vessels.take({ vesselId, massG, strengthFrac, path: `jugs.${i}` });
    return filledJug({
      id: jugId,
      massG,
      context,
      jug: {
        label: label ?? into.label ?? `${batch.coffeeName}, ${batch.vesselName}`,
        coffeeName: batch.coffeeName,
        batchId: batch.id,
        onGrounds: false,
        vesselId: into.vesselId,
        capacityMl: into.capacityMl,
        strengthFrac,
        readBy: isRead ? 'refractometer' : 'prediction',
        filledRange: isRead
          ? null
          : { low: predicted.strengthLowFrac, high: predicted.strengthHighFrac },
        caffeineMgPerG: caffeineAtStrength({ ...predicted, wantedFrac: strengthFrac }),
        pricePerKg: pricePerKgOfBrew({
          pricePerKg: coffee?.pricePerKg,
          doseG: batch.plan.doseG,
          brewG: brewG + drawnOffG(state, batch),
        }),
        madeAt: strainedAt,
      },
    });
  });
  return {
    jugs: filled.flatMap(({ jugs }) => jugs),
    entries: filled.flatMap(({ entries }) => entries),
  };
}

/** What straining notes, each under an identity that follows from the batch's. */
function observationsOf(input: {
  batchId: string;
  request: StrainBatchRequest;
  at: string;
  brewG: number;
}): Observation[] {
  const { batchId, request, at, brewG } = input;
  const row = { ...NOTHING_NOTED, batchId, at };
  const strained = { ...row, id: derivedId(batchId, 'strained'), kind: 'strained', massG: brewG };
  const read = { ...row, id: derivedId(batchId, 'read'), kind: 'read' };
  const { strengthFrac } = request;
  return [
    strained as Observation,
    ...(strengthFrac === undefined ? [] : [{ ...read, strengthFrac } as Observation]),
  ];
}
