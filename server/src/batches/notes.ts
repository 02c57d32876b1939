import {
  CLEAN_STEP,
  countedActuals,
  leavesToClean,
  pouredAt,
  steepHoursOf,
  vesselInUse,
  type Batch,
  type BatchActual,
  type NoteActualRequest,
} from '@ratio/core/batch';
import { BATCH_LIMITS, slurryMl, vesselFit } from '@ratio/core/brew';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { endOnGrounds } from '../jugs/filling.ts';
import { ProblemError } from '../problem.ts';

const HOUR_MS = 3_600_000;

interface Noting {
  readonly db: Database;
  readonly clock: Clock;
  readonly caller: Caller;
  readonly batch: Batch;
  readonly transaction: Transaction;
}

/**
 * Whether something can be noted of a batch as it is.
 *
 * @throws {ProblemError} not_found, not_possible_now, out_of_range; each says what would do
 */
export async function requireNotable(of: Noting & { request: NoteActualRequest }): Promise<void> {
  const { db, caller, batch, transaction, request } = of;
  const { shopId } = caller;
  if (request.kind === 'undone') {
    const undone = await db.batchActuals.find(shopId, request.undoes, transaction);
    if (undone?.batchId !== batch.id)
      throw new ProblemError('not_found', 'What is taken back was not noted of this batch.');
  }
  if (request.kind === 'abandoned' && batch.status !== 'steeping')
    throw new ProblemError('not_possible_now', 'It does not steep any more: it is in its jugs.');
  if (request.kind === 'strain-moved') requireLater(batch, request.until);
  if (request.kind === 'spilled') requireInIt(batch, request.massG);
  if (request.kind === 'decanted')
    await requireGoesInto({ ...of, vesselId: request.vesselId, shareFrac: 1 });
}

/** No more is spilled than went in. */
function requireInIt({ status, plan }: Batch, massG: number): void {
  if (status !== 'steeping')
    throw new ProblemError('not_possible_now', 'It does not steep any more: write it off its jug.');
  const wholeG = plan.doseG + plan.waterG;
  if (massG < wholeG) return;
  throw new ProblemError('out_of_range', 'More was spilled than is in it: give the batch up.', {
    issues: [{ path: 'massG', message: `${wholeG.toFixed(0)} g went in.` }],
  });
}

/** A strain is moved to an hour at which the batch still steeps. */
function requireLater({ status, startedAt }: Batch, until: string): void {
  if (status !== 'steeping')
    throw new ProblemError('not_possible_now', 'It does not steep any more: its strain stands.');
  const hours = (Date.parse(until) - Date.parse(startedAt)) / HOUR_MS;
  if (hours > 0 && hours <= BATCH_LIMITS.hours) return;
  throw new ProblemError(
    'out_of_range',
    'A strain comes after the start, and within a week of it.',
    {
      issues: [{ path: 'until', message: `It began at ${startedAt}.` }],
    },
  );
}

/**
 * The vessel that a share of a running batch goes into.
 *
 * @throws {ProblemError} not_possible_now where the vessel is in use, out_of_range where it is too small
 */
export async function requireGoesInto(of: Noting & { vesselId: string; shareFrac: number }) {
  const { db, clock, caller, batch, transaction, vesselId, shareFrac } = of;
  const { shopId } = caller;
  if (batch.status !== 'steeping')
    throw new ProblemError('not_possible_now', 'It does not steep any more.');
  const vessel = await db.vessels.get(shopId, vesselId, transaction);
  const fit = vesselFit({
    slurryMl: shareFrac * slurryMl({ ...batch.plan, tempC: batch.plan.waterC }),
    vesselMl: vessel.brimMl,
    shaken: false,
  });
  if (fit.fit === 'overflows')
    throw new ProblemError('out_of_range', `It does not go into ${vessel.name}.`, {
      issues: [{ path: 'vesselId', message: 'Take a larger vessel.' }],
    });
  const steeping = await db.batches.list(shopId, { is: { status: 'steeping' } }, transaction);
  const nowMs = clock.now().getTime();
  const inIt = vesselInUse({
    // Into the one that it stands in itself it is not split.
    batches: shareFrac < 1 ? steeping : steeping.filter(({ id }) => id !== batch.id),
    vesselId: vessel.id,
    startMs: nowMs,
    hours: Math.max(0.1, (Date.parse(batch.endsAt) - nowMs) / HOUR_MS),
    nowMs,
  });
  if (inIt)
    throw new ProblemError('not_possible_now', `${vessel.name} holds ${inIt.coffeeName}.`, {
      issues: [{ path: 'vesselId', message: `In use by batch ${inIt.id}.` }],
    });
  return vessel;
}

/** Writes into the batch what follows from all that was noted of it: its clock, where it is, whether it still steeps. */
export async function followActuals(of: Noting): Promise<void> {
  const { db, caller, batch, transaction } = of;
  const { shopId } = caller;
  const rows = (await db.batchActuals.about(shopId, batch.id, transaction)).map(answered);
  const counted = countedActuals(rows);
  const poured = pouredAt({ batch, actuals: counted });
  const moved = counted.findLast(({ kind }) => kind === 'strain-moved')?.until ?? null;
  const plannedEnd = new Date(
    Date.parse(poured ?? batch.startedAt) + steepHoursOf(batch.plan) * HOUR_MS,
  ).toISOString();
  const followed: Batch = {
    ...batch,
    endsAt: moved ?? plannedEnd,
    // Poured as it was started: then its clock runs from the start, and nothing is new.
    pouredAt: poured === batch.startedAt ? null : poured,
    movedTo: await movedTo({ db, shopId, counted, transaction }),
    ...statusOf(batch, counted),
    cleanedAt:
      counted.findLast(({ step, kind }) => step === CLEAN_STEP && kind === 'done')?.at ?? null,
  };
  // Its vessel is to be cleaned once it steeps no more.
  if (followed.status === 'abandoned' && batch.status === 'steeping') {
    const { steps = [] } = await db.shops.get(shopId, shopId, transaction);
    followed.needsCleaning = leavesToClean({ batch: followed, shopSteps: steps });
  } else if (followed.status === 'steeping') followed.needsCleaning = false;
  const isSame = (['endsAt', 'pouredAt', 'status', 'abandonedFor', 'cleanedAt'] as const).every(
    (key) => (batch[key] ?? null) === (followed[key] ?? null),
  );
  if (isSame && batch.movedTo?.vesselId === followed.movedTo?.vesselId) return;
  if (followed.status === 'abandoned' && batch.status === 'steeping')
    await endOnGrounds(db, {
      caller,
      transaction,
      batchId: batch.id,
      at: counted.findLast(({ kind }) => kind === 'abandoned')!.at,
    });
  const { id, version, ...body } = followed;
  await db.batches.save(caller, { id, seenVersion: version, body }, transaction);
}

/** One that was given up steeps again where that is taken back. */
function statusOf(
  { status }: Batch,
  counted: readonly BatchActual[],
): Pick<Batch, 'status' | 'abandonedFor'> {
  const abandoned = counted.findLast(({ kind }) => kind === 'abandoned');
  if (status === 'strained') return { status, abandonedFor: null };
  return abandoned
    ? { status: 'abandoned', abandonedFor: abandoned.note }
    : { status: 'steeping', abandonedFor: null };
}

async function movedTo(of: {
  db: Database;
  shopId: string;
  counted: readonly BatchActual[];
  transaction: Transaction;
}): Promise<Batch['movedTo']> {
  const { db, shopId, counted, transaction } = of;
  const last = counted.findLast(({ kind }) => kind === 'decanted');
  if (!last?.vesselId) return null;
  const vessel = await db.vessels.find(shopId, last.vesselId, transaction);
  return { vesselId: last.vesselId, vesselName: vessel?.name ?? last.vesselId };
}
