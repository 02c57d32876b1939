import { isDeepStrictEqual } from 'node:util';
import {
  isUncleaned,
  leavesToClean,
  MOST_LISTED,
  NOTHING_NOTED,
  predictStrain,
  startedBatch,
  steepHoursOf,
  vesselInUse,
  vesselOf,
  type Batch,
  type BatchActual,
  type BatchInFull,
  type NoteActualRequest,
  type Plan,
  type Prediction,
  type SplitBatchRequest,
  type StartBatchRequest,
  type StrainBatchRequest,
} from '@ratio/core/batch';
import type { Vessel } from '@ratio/core/brew';
import { dayAndTime } from '@ratio/core/calendar';
import { usualCoffee } from '@ratio/core/coffee';
import { massOfStoredG } from '@ratio/core/matter';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { probesOf } from '../instruments/probeHistory.ts';
import { derivedId } from '../derivedId.ts';
import { endOnGrounds, fillJug, onGroundsId, useByOf, vesselsOfJugs } from '../jugs/filling.ts';
import { ProblemError } from '../problem.ts';
import { splitBatch } from './split.ts';
import { followActuals, requireNotable } from './notes.ts';
import { isAgain, momentOnce } from '../rowAgain.ts';

export interface BatchService {
  /** The ones that ended first at the head. */
  readonly list: (caller: Caller, query: { readonly count: number }) => Promise<Batch[]>;
  /** Those that steep, each as `get` has it. */
  readonly running: (caller: Caller) => Promise<BatchInFull[]>;
  readonly get: (caller: Caller, id: string) => Promise<BatchInFull>;
  readonly start: (caller: Caller, request: StartBatchRequest) => Promise<Batch>;
  /** Notes something that really happened; sent again with the same id it counts once. */
  readonly note: (
    caller: Caller,
    input: { id: string; request: NoteActualRequest },
  ) => Promise<BatchInFull>;
  /** Splits a running batch in two; sent again with the same id it is split once. */
  readonly split: (
    caller: Caller,
    input: { id: string; request: SplitBatchRequest },
  ) => Promise<Batch>;
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

/** @returns the use cases of a batch, each in one transaction */
export function createBatchService({ db, clock, changes }: Needs): BatchService {
  const { batches, batchActuals, write } = db;

  /** The batch that a plan begins. */
  async function begun(
    shopId: string,
    { plan, startedAt }: { plan: Plan; startedAt: Date },
    transaction: Transaction,
  ) {
    const [coffee, vessel] = await Promise.all([
      usualCoffee(plan.coffeeId) ?? db.coffees.get(shopId, plan.coffeeId, transaction),
      vesselOf(plan, []) ?? db.vessels.get(shopId, plan.vesselId, transaction),
    ]);
    const last = (await db.learnedVersions.about(shopId, 'model', transaction)).at(-1);
    const known = last?.learned ? { learned: last.learned, version: last.number } : null;
    const { batch, fit } = startedBatch({ plan, coffee, vessel, startedAt, known });
    if (fit.fit === 'overflows')
      throw new ProblemError('out_of_range', `It does not go into ${vessel.name}.`, {
        issues: [{ path: 'plan.waterG', message: 'Take less water, or a larger vessel.' }],
      });
    await requireFree({ shopId, plan, vessel, startedAt, transaction });
    return batch;
  }

  /** A vessel holds one batch at a time; of any vessel there are always more. */
  async function requireFree(of: {
    shopId: string;
    plan: Plan;
    vessel: Vessel;
    startedAt: Date;
    transaction: Transaction;
  }): Promise<void> {
    const { shopId, plan, vessel, startedAt, transaction } = of;
    const all = await batches.list(shopId, { is: { status: 'steeping' } }, transaction);
    const inIt = vesselInUse({
      batches: all,
      vesselId: vessel.id,
      startMs: startedAt.getTime(),
      hours: steepHoursOf(plan),
      nowMs: clock.now().getTime(),
    });
    if (!inIt) return;
    const [vessels, { zone, clock: clockStyle }] = await Promise.all([
      db.vessels.list(shopId, {}, transaction),
      db.shops.get(shopId, shopId, transaction),
    ]);
    const others = vessels
      .filter(({ id, use }) => use !== 'jug' && !all.some((one) => one.plan.vesselId === id))
      .map(({ name }) => name);
    const until = dayAndTime({ atMs: Date.parse(inIt.endsAt), zone, clock: clockStyle });
    throw new ProblemError(
      'not_possible_now',
      `${vessel.name} holds ${inIt.coffeeName} until ${until}. ${others.length > 0 ? `Free: ${others.join(', ')}.` : 'Strain it first.'}`,
      { issues: [{ path: 'plan.vesselId', message: `In use by batch ${inIt.id}.` }] },
    );
  }

  /** What a strain leads to: the batch as it is then, its jugs, and what is noted of it. */
  async function strainedBatch(of: {
    shopId: string;
    current: Batch;
    request: StrainBatchRequest;
    strainedAt: Date;
    transaction: Transaction;
  }) {
    const { shopId, current, request, transaction } = of;
    const strainedAt = of.strainedAt.toISOString();
    const actuals = await batchActuals.about(shopId, current.id, transaction);
    const probes = await probesOf(db, { shopId, batch: current, untilMs: of.strainedAt.getTime() });
    const predicted = predictStrain({
      batch: current,
      actuals: actuals.map(answered),
      probes,
      strainedAt,
    });
    const strengthFrac = request.strengthFrac ?? predicted.strengthFrac;
    const masses = request.jugs.map(
      ({ massG, volumeMl = 0 }) => massG ?? massOfStoredG({ volumeMl, strengthFrac }),
    );
    const brewG = masses.reduce((sum, massG) => sum + massG, 0);
    requireNoMore(current, brewG);
    const [coffee, { zone, steps = [] }, standing] = await Promise.all([
      usualCoffee(current.plan.coffeeId) ??
        db.coffees.find(shopId, current.plan.coffeeId, transaction),
      db.shops.get(shopId, shopId, transaction),
      vesselsOfJugs(db, { shopId, transaction }),
    ]);
    const shared = {
      coffeeName: current.coffeeName,
      batchId: current.id,
      ...strengthOf({ predicted, strengthFrac, isRead: request.strengthFrac !== undefined }),
      pricePerKg:
        coffee?.pricePerKg == null ? null : (coffee.pricePerKg * current.plan.doseG) / brewG,
      madeAt: strainedAt,
      useBy: useByOf(strainedAt, zone),
    };
    const jugs = request.jugs.map(({ jugId, vesselId, label }, i) => {
      const massG = masses[i]!;
      const path = `jugs.${i}`;
      const into = standing.take({ vesselId, massG, strengthFrac, path });
      const usual = into.label ?? `${current.coffeeName}, ${current.vesselName}`;
      return { jugId, massG, jug: { ...shared, ...into, label: label ?? usual } };
    });
    const batch: Batch = {
      ...current,
      status: 'strained',
      needsCleaning: leavesToClean({ batch: current, shopSteps: steps }),
      strainedAt,
      strengthFrac,
      strengthBy: request.strengthFrac === undefined ? 'prediction' : 'reading',
      predictedAtStrain: predicted,
      strain: request,
    };
    const noted = strainedActuals({ batchId: current.id, request, at: strainedAt, brewG });
    return { batch, jugs, actuals: noted };
  }

  /** A batch that is left on its grounds can be poured from at once. */
  async function fillOnGrounds(of: {
    caller: Caller;
    id: string;
    body: Omit<Batch, 'id' | 'version'>;
    transaction: Transaction;
  }): Promise<void> {
    const { caller, id, body, transaction } = of;
    const { coffeeName, vesselName, predicted, plan, startedAt } = body;
    const [{ zone }, coffee] = await Promise.all([
      db.shops.get(caller.shopId, caller.shopId, transaction),
      usualCoffee(plan.coffeeId) ?? db.coffees.find(caller.shopId, plan.coffeeId, transaction),
    ]);
    const { strengthFrac, caffeineMgPerG, brewG: massG } = predicted;
    if (massG <= 0) return;
    const jug = {
      label: `${vesselName}, on its grounds`,
      coffeeName,
      batchId: id,
      onGrounds: true,
      vesselId: null,
      capacityMl: null,
      filledRange: null,
      strengthFrac,
      readBy: 'prediction' as const,
      caffeineMgPerG,
      pricePerKg: coffee?.pricePerKg == null ? null : (coffee.pricePerKg * plan.doseG) / massG,
      madeAt: startedAt,
      useBy: useByOf(startedAt, zone),
    };
    await fillJug(db, { caller, transaction, id: onGroundsId(id), massG, jug });
  }

  async function inFull(caller: Caller, id: string): Promise<BatchInFull> {
    const batch = await batches.get(caller.shopId, id);
    const actuals = await batchActuals.about(caller.shopId, id);
    const untilMs = batch.strainedAt ? Date.parse(batch.strainedAt) : clock.now().getTime();
    const probes = await probesOf(db, { shopId: caller.shopId, batch, untilMs });
    const photos = await db.batchPhotos.briefly(caller.shopId, id);
    return { ...batch, actuals: actuals.map(answered), photos, probes };
  }

  return {
    list: async ({ shopId }, { count }) => {
      const [latest, steeping] = await Promise.all([
        batches.list(shopId, { last: MOST_LISTED }),
        batches.list(shopId, { is: { status: 'steeping' } }),
      ]);
      const known = new Set(latest.map(({ id }) => id));
      const lastFrom = latest.length - count;
      return [
        ...steeping.filter(({ id }) => !known.has(id)),
        ...latest.filter(
          (batch, i) => i >= lastFrom || batch.status === 'steeping' || isUncleaned(batch),
        ),
      ];
    },
    running: async (caller) => {
      const steeping = await batches.list(caller.shopId, { is: { status: 'steeping' } });
      return Promise.all(steeping.map(({ id }) => inFull(caller, id)));
    },
    get: inFull,

    start: async (caller, { id, plan, startedAt: at }) => {
      const { shopId } = caller;
      const batch = await write(async (transaction) => {
        const before = await batches.find(shopId, id, transaction);
        if (before) return repeated(before, { plan, at });
        const startedAt = clock.momentOf(at);
        const body = await begun(shopId, { plan, startedAt }, transaction);
        // A draft that is started is one no more, on any tablet.
        const draft = await db.drafts.find(shopId, id, transaction);
        if (draft) await db.drafts.remove(caller, { id, seenVersion: draft.version }, transaction);
        if (plan.filtration.method === 'on-grounds')
          await fillOnGrounds({ caller, id, body, transaction });
        return batches.save(caller, { id, seenVersion: 0, body }, transaction);
      });
      changes.publish(caller, { noun: 'batches', id });
      changes.publish(caller, { noun: 'drafts', id });
      return batch;
    },

    note: async (caller, { id, request }) => {
      const { shopId } = caller;
      const { at, ...seen } = request;
      await write(async (transaction) => {
        const batch = await batches.get(shopId, id, transaction);
        const before = await batchActuals.find(shopId, request.id, transaction);
        const actual = {
          ...NOTHING_NOTED,
          ...seen,
          batchId: id,
          at: momentOnce({ clock, at, before }),
        };
        if (isAgain(before, actual)) return;
        const noting = { db, clock, caller, batch, transaction };
        await requireNotable({ ...noting, request });
        await batchActuals.add(caller, actual, transaction);
        await followActuals(noting);
      });
      changes.publish(caller, { noun: 'batches', id });
      if (request.kind === 'abandoned')
        changes.publish(caller, { noun: 'jugs', id: onGroundsId(id) });
      return inFull(caller, id);
    },

    split: async (caller, { id, request }) => {
      const made = await write((transaction) =>
        splitBatch({ db, clock, caller, transaction, id, request }),
      );
      for (const one of [id, made.id]) changes.publish(caller, { noun: 'batches', id: one });
      return made;
    },

    strain: async (caller, { id, seenVersion, request }) => {
      const { shopId } = caller;
      const batch = await write(async (transaction) => {
        const current = await batches.get(shopId, id, transaction);
        if (isDeepStrictEqual(current.strain, request)) return current;
        requireStrainable(current, seenVersion);
        const strainedAt = strainedWhen(current, clock.momentOf(request.strainedAt), request);
        const strained = await strainedBatch({ shopId, current, request, strainedAt, transaction });
        await endOnGrounds(db, {
          caller,
          transaction,
          batchId: id,
          at: strainedAt.toISOString(),
        });
        for (const { jugId, massG, jug } of strained.jugs)
          await fillJug(db, { caller, transaction, id: jugId, massG, jug });
        for (const actual of strained.actuals) await batchActuals.add(caller, actual, transaction);
        const { id: _, version: __, ...body } = strained.batch;
        return batches.save(caller, { id, seenVersion, body }, transaction);
      });
      changes.publish(caller, { noun: 'batches', id });
      changes.publish(caller, { noun: 'jugs', id: onGroundsId(id) });
      for (const { jugId } of request.jugs) changes.publish(caller, { noun: 'jugs', id: jugId });
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

function requireStrainable(current: Batch, seenVersion: number | null): void {
  if (seenVersion === null)
    throw new ProblemError('version_required', 'Send the version that you saw as If-Match.');
  if (current.status === 'abandoned')
    throw new ProblemError(
      'not_possible_now',
      'This batch was given up. Take that back first, if it is strained after all.',
      { current },
    );
  if (current.status !== 'steeping')
    throw new ProblemError('already_exists', 'This batch is strained already.', { current });
  if (seenVersion !== current.version)
    throw new ProblemError('stale', 'Somebody else changed this batch first.', { current });
}

function requireNoMore({ plan: { doseG, waterG, filtration } }: Batch, brewG: number): void {
  const inputG = doseG + waterG + filtration.rinseG;
  if (brewG > inputG)
    throw new ProblemError('out_of_range', 'More brew than what went in.', {
      issues: [{ path: 'jugs', message: `At most ${Math.round(inputG)} g went in.` }],
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

/** What straining notes, each under an identity of its own that follows from the batch's. */
function strainedActuals(of: {
  batchId: string;
  request: StrainBatchRequest;
  at: string;
  brewG: number;
}): Omit<BatchActual, 'author'>[] {
  const { batchId, request, at, brewG } = of;
  const row = { ...NOTHING_NOTED, batchId, at };
  const { strengthFrac } = request;
  return [
    { ...row, id: derivedId(batchId, 'strained'), kind: 'strained', massG: brewG },
    ...(strengthFrac === undefined
      ? []
      : [{ ...row, id: derivedId(batchId, 'read'), kind: 'read' as const, strengthFrac }]),
  ];
}

/** How strong what came out is, and whence that is known. */
const strengthOf = (of: { predicted: Prediction; strengthFrac: number; isRead: boolean }) => ({
  strengthFrac: of.strengthFrac,
  readBy: of.isRead ? ('refractometer' as const) : ('prediction' as const),
  filledRange: of.isRead
    ? null
    : { low: of.predicted.strengthLowFrac, high: of.predicted.strengthHighFrac },
  // Caffeine comes out with the solids: a stronger reading holds more of both.
  caffeineMgPerG:
    of.predicted.strengthFrac === 0
      ? 0
      : (of.predicted.caffeineMgPerG * of.strengthFrac) / of.predicted.strengthFrac,
});
