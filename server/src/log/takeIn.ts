import { createInterface } from 'node:readline';
import { setImmediate as breathe } from 'node:timers/promises';
import {
  NOTHING_NOTED,
  startedBatch,
  steepHoursOf,
  usualPlan,
  type Batch,
  type ObservationRow,
  type Plan,
} from '@ratio/core/batch';
import { anyVessel, ANY_VESSEL_ID, slurryMl } from '@ratio/core/brew';
import { USUAL_COFFEES, type Coffee } from '@ratio/core/coffee';
import { derivedId } from '@ratio/core/document';
import { oldBatchSchema, type OldBatch } from '@ratio/core/log';
import type { Shop } from '@ratio/core/shop';
import type { Express, Request } from 'express';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Database } from '../database/database.ts';
import { ProblemError, toProblem } from '../problem.ts';

const HOUR_MS = 3_600_000;
const LONGEST_LINE = 4000;
const MOST_LINES = 200_000;
/** Batches in one transaction; after each the page is told the progress, and other writes run. */
const EVERY = 50;

/** A batch of an old log as a strained batch of this one: planned and predicted from its line. */
function asBatch(input: {
  old: OldBatch;
  shop: Shop;
  coffees: readonly Coffee[];
}): Omit<Batch, 'id' | 'version'> {
  const { old, shop, coffees } = input;
  const named = coffees.find(({ name }) => name.toLowerCase() === old.coffeeName.toLowerCase());
  const coffee = named ?? { ...USUAL_COFFEES[0]!, name: old.coffeeName };
  const { doseG, waterG, grind, place, hours } = old;
  const tempC = place === 'fridge' ? shop.fridgeC : shop.roomC;
  const plan: Plan = {
    ...usualPlan({ shop, coffeeId: coffee.id, vesselId: ANY_VESSEL_ID, doseG }),
    waterG,
    grind,
    steep: [{ place, hours, tempC }],
  };
  const vessel = anyVessel(slurryMl({ ...plan, tempC: plan.waterC }));
  const startedAt = new Date(old.startedAt);
  const { batch } = startedBatch({ plan, coffee, vessel, startedAt });
  const strainedAt = new Date(startedAt.getTime() + steepHoursOf(plan) * HOUR_MS).toISOString();
  return {
    ...batch,
    status: 'strained',
    strainedAt,
    strengthFrac: old.strengthFrac ?? batch.predicted.strengthFrac,
    strengthBy: old.strengthFrac === null ? 'prediction' : 'reading',
    predictedAtStrain: batch.predicted,
    strain:
      old.brewG === null
        ? null
        : { jugs: [{ jugId: derivedId(old.id, 'jug'), massG: old.brewG }], strainedAt },
  };
}

/** @returns how many of some batches were not there yet, and are now */
async function keep(
  db: Database,
  input: {
    caller: Caller;
    olds: readonly OldBatch[];
    shop: Shop;
    coffees: readonly Coffee[];
    transaction: Transaction;
  },
): Promise<number> {
  const { caller, olds, shop, coffees, transaction } = input;
  const once = [...new Map(olds.map((old) => [old.id, old])).values()];
  const ids = once.map(({ id }) => id);
  const taken = await db.batches.taken(caller.shopId, ids, transaction);
  const fresh = once
    .filter(({ id }) => !taken.has(id))
    .map((old) => ({ old, id: old.id, body: asBatch({ old, shop, coffees }) }));
  await db.batches.addAll(caller, fresh, transaction);
  const happened = fresh.flatMap(({ old, id, body }): ObservationRow[] => {
    const row = { ...NOTHING_NOTED, batchId: id, at: body.strainedAt!, author: caller.author };
    return [
      ...(old.brewG === null
        ? []
        : [{ ...row, id: derivedId(id, 'strained'), kind: 'strained' as const, massG: old.brewG }]),
      ...(old.note === ''
        ? []
        : [{ ...row, id: derivedId(id, 'note'), kind: 'remarked' as const, note: old.note }]),
    ];
  });
  await db.observations.addAll(caller, happened, transaction);
  return fresh.length;
}

/**
 * Takes an old log in, a batch to a line: all of it, or nothing. The answer says line by line how far it is;
 * whoever goes away stops it.
 */
export function mountTakeIn(
  app: Express,
  given: { db: Database; changes: Changes; callerOf: (request: Request) => Promise<Caller> },
): void {
  const { db, changes, callerOf } = given;
  app.post('/api/log/import', async (request, response) => {
    const caller = await callerOf(request);
    const { shopId } = caller;
    if (!request.is('application/x-ndjson'))
      throw new ProblemError(
        'unsupported_media_type',
        'Send one batch a line, as application/x-ndjson.',
      );
    const [shop, coffees] = await Promise.all([
      db.shops.get(shopId, shopId),
      db.coffees.list(shopId),
    ]);
    let isGone = false;
    response.on('close', () => (isGone = !response.writableFinished));
    let [lines, taken] = [0, 0];
    const waiting: OldBatch[] = [];
    const keepWaiting = async (transaction: Transaction): Promise<void> => {
      const olds = waiting.splice(0);
      taken += await keep(db, { caller, olds, shop, coffees, transaction });
    };
    const tell = (said: object): void => {
      if (!response.headersSent)
        response.writeHead(200, {
          'Content-Type': 'application/x-ndjson',
          'Cache-Control': 'no-cache, no-transform',
        });
      response.write(`${JSON.stringify(said)}\n`);
    };
    try {
      await db.write(async (transaction) => {
        for await (const text of createInterface({ input: request, crlfDelay: Infinity })) {
          if (text === '') continue;
          lines += 1;
          if (isGone)
            throw new ProblemError('bad_request', 'It was stopped. Nothing was taken in.');
          if (text.length > LONGEST_LINE || lines > MOST_LINES)
            throw new ProblemError('body_too_large', `Line ${lines} is more than a log holds.`);
          const old = oldBatchSchema.safeParse(parsed(text));
          if (!old.success)
            throw new ProblemError(
              'bad_body',
              `Line ${lines}, ${old.error.issues[0]?.path.join('.') || 'all of it'}: ${old.error.issues[0]?.message}`,
            );
          waiting.push(old.data);
          if (waiting.length < EVERY) continue;
          await keepWaiting(transaction);
          tell({ lines });
          await breathe();
        }
        await keepWaiting(transaction);
        if (isGone) throw new ProblemError('bad_request', 'It was stopped. Nothing was taken in.');
      });
    } catch (error) {
      if (!response.headersSent) throw error;
      // The head is out: the last line says what went wrong.
      response.end(`${JSON.stringify({ problem: toProblem(error).message })}\n`);
      return;
    }
    tell({ lines, taken, known: lines - taken });
    response.end();
    changes.publish(caller, { noun: 'batches', id: shopId });
  });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
