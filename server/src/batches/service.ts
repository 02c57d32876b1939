import {
  CONSTANTS,
  reckonPlan,
  type Batch,
  type Plan,
  type Prediction,
  type ShelfCoffee,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core';
import { isDeepStrictEqual } from 'node:util';
import type { Transaction } from 'sequelize';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { findDocument, listDocuments } from '../database/documents.ts';
import type { DocumentRow } from '../database/models.ts';
import { fillJug } from '../jugs/service.ts';
import { ProblemError } from '../problem.ts';

const DAY_MS = 86_400_000;

export interface BatchService {
  readonly list: () => Promise<Batch[]>;
  readonly start: (request: StartBatchRequest) => Promise<Batch>;
  readonly strain: (input: {
    id: string;
    seenVersion: number | null;
    request: StrainBatchRequest;
  }) => Promise<Batch>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

/** @returns the use cases of a batch, each in one transaction */
export function createBatchService({ db, clock, changes }: Needs): BatchService {
  const { models, write } = db;

  async function predict(plan: Plan, transaction: Transaction) {
    const [coffee, vessel] = await Promise.all([
      findDocument(models.coffees, { id: plan.coffeeId, what: 'coffee', transaction }),
      findDocument(models.vessels, { id: plan.vesselId, what: 'vessel', transaction }),
    ]);
    const { solubleFrac, robustaFrac, decafFrac } = coffee.body;
    const reckoned = reckonPlan({
      plan,
      coffee: { solubleFrac, robustaFrac, decafFrac },
      vessel: vessel.body,
      horizonHours: 1,
    });
    if (reckoned.fit.fit === 'overflows')
      throw new ProblemError('out_of_range', `It does not go into ${vessel.body.name}.`, {
        issues: [{ path: 'plan.waterG', message: 'Take less water, or a larger vessel.' }],
      });
    return { coffee: coffee.body, vessel: vessel.body, reckoned };
  }

  return {
    list: async () =>
      (await listDocuments<Batch>(models.batches)).sort((a, b) => a.endsAt.localeCompare(b.endsAt)),

    start: async ({ id, plan }) => {
      const batch = await write(async (transaction) => {
        const before = await models.batches.findByPk(id, { transaction });
        if (before) return repeated({ ...before.body, id, version: before.version }, plan);
        const { coffee, vessel, reckoned } = await predict(plan, transaction);
        const { outcome, range } = reckoned;
        const startedAt = clock.now();
        const hours = plan.steep.reduce((sum, piece) => sum + piece.hours, 0);
        const body: Omit<Batch, 'id' | 'version'> = {
          coffeeName: coffee.name,
          vesselName: vessel.name,
          coffee: {
            solubleFrac: coffee.solubleFrac,
            robustaFrac: coffee.robustaFrac,
            decafFrac: coffee.decafFrac,
          },
          plan,
          predicted: predictionOf({ outcome, range }),
          status: 'steeping',
          startedAt: startedAt.toISOString(),
          endsAt: new Date(startedAt.getTime() + hours * 3_600_000).toISOString(),
          strainedAt: null,
        };
        await models.batches.create({ id, body }, { transaction });
        return { id, version: 1, ...body };
      });
      changes.tell({ noun: 'batches', id });
      return batch;
    },

    strain: async ({ id, seenVersion, request }) => {
      const batch = await write(async (transaction) => {
        const row = await findDocument(models.batches, { id, what: 'batch', transaction });
        const current = { ...row.body, id, version: row.version };
        if (seenVersion === null)
          throw new ProblemError('version_required', 'Send the version that you saw as If-Match.');
        if (seenVersion !== row.version)
          throw new ProblemError('stale', 'Somebody else changed this batch first.', { current });
        if (row.body.status !== 'steeping')
          throw new ProblemError('not_possible_now', 'This batch is strained already.');
        const inputG = row.body.plan.doseG + row.body.plan.waterG + row.body.plan.separation.rinseG;
        if (request.brewG > inputG)
          throw new ProblemError('out_of_range', 'More brew than what went in.', {
            issues: [{ path: 'brewG', message: `At most ${Math.round(inputG)} g went in.` }],
          });
        const strainedAt = clock.now();
        await fillJug(models, {
          transaction,
          id: request.jugId,
          massG: request.brewG,
          body: jugOf({
            batch: current,
            request,
            strainedAt,
            coffee: await models.coffees.findByPk(row.body.plan.coffeeId, { transaction }),
          }),
        });
        const body = {
          ...row.body,
          status: 'strained' as const,
          strainedAt: strainedAt.toISOString(),
        };
        await row.update({ body, version: row.version + 1 }, { transaction });
        return { id, ...body, version: row.version };
      });
      changes.tell({ noun: 'batches', id });
      changes.tell({ noun: 'jugs', id: request.jugId });
      return batch;
    },
  };
}

/** The same request again is answered with what it did; another plan under its id is refused. */
function repeated(before: Batch, plan: Plan): Batch {
  if (isDeepStrictEqual(before.plan, plan)) return before;
  throw new ProblemError('already_exists', 'A batch with this id was started with another plan.');
}

function predictionOf({
  outcome,
  range,
}: Pick<ReturnType<typeof reckonPlan>, 'outcome' | 'range'>): Prediction {
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

function jugOf(input: {
  batch: Batch;
  request: StrainBatchRequest;
  strainedAt: Date;
  coffee: DocumentRow<ShelfCoffee> | null;
}) {
  const { batch, request, strainedAt, coffee } = input;
  const { doseG } = batch.plan;
  const { predicted } = batch;
  const strengthFrac = request.strengthFrac ?? predicted.strengthFrac;
  return {
    label: `${batch.coffeeName}, ${batch.vesselName}`,
    coffeeName: batch.coffeeName,
    batchId: batch.id,
    strengthFrac,
    readBy:
      request.strengthFrac === undefined ? ('prediction' as const) : ('refractometer' as const),
    // Caffeine comes out with the solids: a stronger reading holds more of both.
    caffeineMgPerG: (predicted.caffeineMgPerG * strengthFrac) / predicted.strengthFrac,
    pricePerKg: coffee ? (coffee.body.pricePerKg * doseG) / request.brewG : null,
    capacityMl: Math.ceil(request.brewG / 500) * 500,
    madeAt: strainedAt.toISOString(),
    // Seven days counting the day of making (FDA Food Code 3-501.17).
    useBy: new Date(strainedAt.getTime() + (CONSTANTS.keepDays.value - 1) * DAY_MS).toISOString(),
  };
}
