import { isDeepStrictEqual } from 'node:util';
import {
  predictPlan,
  type Batch,
  type BatchActual,
  type BatchInFull,
  type NoteActualRequest,
  type Plan,
  type PlanOutcome,
  type Prediction,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import { modelOf } from '@ratio/core/brew';
import { useBy } from '@ratio/core/calendar';
import type { Coffee } from '@ratio/core/coffee';
import { CONSTANTS } from '@ratio/core/constants';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { derivedId } from '../derivedId.ts';
import { fillJug, type NewJug } from '../jugs/service.ts';
import { ProblemError } from '../problem.ts';

export interface BatchService {
  readonly list: (caller: Caller) => Promise<Batch[]>;
  readonly get: (caller: Caller, id: string) => Promise<BatchInFull>;
  readonly start: (caller: Caller, request: StartBatchRequest) => Promise<Batch>;
  /** Notes something that really happened; sent again with the same id it counts once. */
  readonly note: (
    caller: Caller,
    input: { id: string; request: NoteActualRequest },
  ) => Promise<BatchInFull>;
  readonly strain: (
    caller: Caller,
    input: { id: string; seenVersion: number | null; request: StrainBatchRequest },
  ) => Promise<Batch>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

const HOUR_MS = 3_600_000;
const NOTHING_NOTED = { massG: null, tempC: null, strengthFrac: null, note: '' };

/** @returns the use cases of a batch, each in one transaction */
export function createBatchService({ db, clock, changes }: Needs): BatchService {
  const { batches, batchActuals, write } = db;

  async function predict(shopId: string, plan: Plan, transaction: Transaction) {
    const [coffee, vessel] = await Promise.all([
      db.coffees.get(shopId, plan.coffeeId, transaction),
      db.vessels.get(shopId, plan.vesselId, transaction),
    ]);
    const { solubleFrac, robustaFrac, decafFrac } = coffee;
    const traits = { solubleFrac, robustaFrac, decafFrac };
    const model = modelOf(coffee);
    const predicted = predictPlan({ plan, model, vessel, horizonHours: 1 });
    if (predicted.fit.fit === 'overflows')
      throw new ProblemError('out_of_range', `It does not go into ${vessel.name}.`, {
        issues: [{ path: 'plan.waterG', message: 'Take less water, or a larger vessel.' }],
      });
    return { coffee, traits, model, vessel, predicted };
  }

  /** Whether this very strain was done already; another one into the same jug is refused. */
  async function isRepeatedStrain(of: {
    shopId: string;
    batch: Batch;
    request: StrainBatchRequest;
    transaction: Transaction;
  }): Promise<boolean> {
    const { shopId, batch, request, transaction } = of;
    const asked = strainedActuals({ id: batch.id, request, at: '' });
    const found = await Promise.all(
      STRAIN_NOTES.map((what) =>
        batchActuals.find(shopId, derivedId(request.jugId, what), transaction),
      ),
    );
    const known = found.flatMap((one) => (one === null ? [] : [answered(one)]));
    if (known.length === 0) return false;
    const facts = ({ at: _, ...actual }: Omit<BatchActual, 'author'>) => actual;
    const isSame = isDeepStrictEqual(
      known.map(({ author: _, ...row }) => facts(row)),
      asked.map(facts),
    );
    if (isSame) return true;
    throw new ProblemError('already_exists', 'Something else was strained into this jug.');
  }

  async function inFull(caller: Caller, id: string): Promise<BatchInFull> {
    const batch = await batches.get(caller.shopId, id);
    const actuals = await batchActuals.about(caller.shopId, id);
    return { ...batch, actuals: actuals.map(answered) };
  }

  return {
    list: ({ shopId }) => batches.list(shopId),
    get: inFull,

    start: async (caller, { id, plan, startedAt: at }) => {
      const { shopId } = caller;
      const batch = await write(async (transaction) => {
        const before = await batches.find(shopId, id, transaction);
        if (before) return repeated(before, { plan, at });
        const { coffee, traits, model, vessel, predicted } = await predict(
          shopId,
          plan,
          transaction,
        );
        const startedAt = clock.momentOf(at);
        const hours = plan.steep.reduce((sum, piece) => sum + piece.hours, 0);
        const body: Omit<Batch, 'id' | 'version'> = {
          coffeeName: coffee.name,
          vesselName: vessel.name,
          coffee: traits,
          model,
          plan,
          predicted: predictionOf(predicted),
          status: 'steeping',
          startedAt: startedAt.toISOString(),
          endsAt: new Date(startedAt.getTime() + hours * HOUR_MS).toISOString(),
          strainedAt: null,
        };
        return batches.save(caller, { id, seenVersion: 0, body }, transaction);
      });
      changes.publish(caller, { noun: 'batches', id });
      return batch;
    },

    note: async (caller, { id, request }) => {
      const { shopId } = caller;
      const { at, ...seen } = request;
      await write(async (transaction) => {
        await batches.get(shopId, id, transaction);
        const before = await batchActuals.find(shopId, request.id, transaction);
        const actual = {
          ...NOTHING_NOTED,
          ...seen,
          batchId: id,
          at: at ?? before?.at ?? clock.now().toISOString(),
        };
        if (!before) return batchActuals.add(caller, actual, transaction);
        const { author: _, ...known } = answered(before);
        if (isDeepStrictEqual(known, actual)) return before;
        throw new ProblemError('already_exists', 'Something else was noted under this id.');
      });
      changes.publish(caller, { noun: 'batches', id });
      return inFull(caller, id);
    },

    strain: async (caller, { id, seenVersion, request }) => {
      const { shopId } = caller;
      const batch = await write(async (transaction) => {
        const current = await batches.get(shopId, id, transaction);
        if (await isRepeatedStrain({ shopId, batch: current, request, transaction }))
          return current;
        requireStrainable(current, seenVersion, request);
        const strainedAt = strainedWhen(current, clock.momentOf(request.strainedAt), request);
        const { zone } = await db.shops.get(shopId, shopId, transaction);
        const coffee = await db.coffees.find(shopId, current.plan.coffeeId, transaction);
        await fillJug(db, {
          caller,
          transaction,
          id: request.jugId,
          massG: request.brewG,
          jug: jugOf({ batch: current, request, strainedAt, coffee, zone }),
        });
        for (const actual of strainedActuals({ id, request, at: strainedAt.toISOString() }))
          await batchActuals.add(caller, actual, transaction);
        const { id: _, version: __, ...body } = current;
        const strained = {
          ...body,
          status: 'strained' as const,
          strainedAt: strainedAt.toISOString(),
        };
        return batches.save(caller, { id, seenVersion, body: strained }, transaction);
      });
      changes.publish(caller, { noun: 'batches', id });
      changes.publish(caller, { noun: 'jugs', id: request.jugId });
      return batch;
    },
  };
}

/** The same request again is answered with what it did; another plan under its id is refused. */
function repeated(before: Batch, { plan, at }: { plan: Plan; at: string | undefined }): Batch {
  const isSame = at === undefined || Date.parse(at) === Date.parse(before.startedAt);
  if (isSame && isDeepStrictEqual(before.plan, plan)) return before;
  throw new ProblemError(
    'already_exists',
    'A batch with this id was started with another plan, or at another time.',
  );
}

function requireStrainable(
  current: Batch,
  seenVersion: number | null,
  { brewG }: StrainBatchRequest,
): void {
  if (seenVersion === null)
    throw new ProblemError('version_required', 'Send the version that you saw as If-Match.');
  if (seenVersion !== current.version)
    throw new ProblemError('stale', 'Somebody else changed this batch first.', { current });
  if (current.status !== 'steeping')
    throw new ProblemError('not_possible_now', 'This batch is strained already.');
  const { doseG, waterG, filtration } = current.plan;
  const inputG = doseG + waterG + filtration.rinseG;
  if (brewG > inputG)
    throw new ProblemError('out_of_range', 'More brew than what went in.', {
      issues: [{ path: 'brewG', message: `At most ${Math.round(inputG)} g went in.` }],
    });
}

/** A strain is never before its start, though the machine's clock was put back meanwhile. */
function strainedWhen({ startedAt }: Batch, at: Date, request: StrainBatchRequest): Date {
  if (at.getTime() >= Date.parse(startedAt)) return at;
  if (request.strainedAt !== undefined)
    throw new ProblemError('out_of_range', 'It cannot be strained before it began.', {
      issues: [{ path: 'strainedAt', message: `It began at ${startedAt}.` }],
    });
  return new Date(startedAt);
}

/** What straining notes, each under an identity of its own that follows from the jug's. */
const STRAIN_NOTES = ['strained', 'read'] as const;

/** What straining notes: what came out, and the reading where there is one. */
function strainedActuals(of: {
  id: string;
  request: StrainBatchRequest;
  at: string;
}): Omit<BatchActual, 'author'>[] {
  const { id, request, at } = of;
  const { jugId, brewG, strengthFrac } = request;
  const row = { ...NOTHING_NOTED, batchId: id, at };
  return [
    { ...row, id: derivedId(jugId, 'strained'), kind: 'strained', massG: brewG },
    ...(strengthFrac === undefined
      ? []
      : [{ ...row, id: derivedId(jugId, 'read'), kind: 'read' as const, strengthFrac }]),
  ];
}

function predictionOf({ outcome, range }: Pick<PlanOutcome, 'outcome' | 'range'>): Prediction {
  const { extractionYieldFrac, releasedFrac, strengthFrac, strengthName } = outcome;
  const { brewG, brewMl, retainedG, caffeineMgPerG } = outcome;
  return {
    extractionYieldFrac,
    releasedFrac,
    strengthFrac,
    strengthName,
    brewG,
    brewMl,
    retainedG,
    caffeineMgPerG,
    strengthLowFrac: range.strengthFrac.low,
    strengthHighFrac: range.strengthFrac.high,
  };
}

function jugOf(of: {
  batch: Batch;
  request: StrainBatchRequest;
  strainedAt: Date;
  coffee: Coffee | null;
  zone: string;
}): NewJug {
  const { batch, request, strainedAt, coffee, zone } = of;
  const { predicted } = batch;
  const strengthFrac = request.strengthFrac ?? predicted.strengthFrac;
  const { atMs } = useBy({ fromMs: strainedAt.getTime(), days: CONSTANTS.keepDays.value, zone });
  return {
    label: `${batch.coffeeName}, ${batch.vesselName}`,
    coffeeName: batch.coffeeName,
    batchId: batch.id,
    strengthFrac,
    readBy: request.strengthFrac === undefined ? 'prediction' : 'refractometer',
    // Caffeine comes out with the solids: a stronger reading holds more of both.
    caffeineMgPerG:
      predicted.strengthFrac === 0
        ? 0
        : (predicted.caffeineMgPerG * strengthFrac) / predicted.strengthFrac,
    pricePerKg: coffee ? (coffee.pricePerKg * batch.plan.doseG) / request.brewG : null,
    capacityMl: Math.ceil(request.brewG / 500) * 500,
    madeAt: strainedAt.toISOString(),
    useBy: new Date(atMs).toISOString(),
  };
}
