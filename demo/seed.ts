import path from 'node:path';
import { createChanges } from '../server/src/changes/changes.ts';
import { createBatchService } from '../server/src/batches/service.ts';
import { createJugService } from '../server/src/jugs/service.ts';
import { openDatabase, type Database } from '../server/src/database/database.ts';
import {
  LIDO_MORNING,
  lidoBatches,
  lidoCoffees,
  lidoDrinks,
  lidoOpened,
  lidoPantry,
  lidoParts,
  lidoShop,
  lidoVessels,
  type LidoBatch,
} from './lido.ts';

const HOUR_MS = 3_600_000;

/**
 * Fills an empty database with the lido café, through the same services that the pages use.
 *
 * @param input.realNow the machine's time: the demo's clock starts at the lido's morning and runs on
 * @returns whether anything was written; a shop that is there already is left alone
 */
export async function seedLido(input: { db: Database; realNow: Date }): Promise<boolean> {
  const { db, realNow } = input;
  const { models, write } = db;
  if ((await models.shops.count()) > 0) return false;
  const clockOffsetMs = Date.parse(LIDO_MORNING) - realNow.getTime();
  await write(async (transaction) => {
    const { id, ...shop } = lidoShop;
    await models.shops.create({ id, body: { ...shop, clockOffsetMs } }, { transaction });
    const rows = <T extends { id: string }>(documents: readonly T[]) =>
      documents.map(({ id: documentId, ...body }) => ({ id: documentId, body }));
    await models.coffees.bulkCreate(rows(lidoCoffees), { transaction });
    await models.vessels.bulkCreate(rows(lidoVessels), { transaction });
    await models.drinks.bulkCreate(rows(lidoDrinks), { transaction });
    await models.pantryItems.bulkCreate(rows(lidoPantry), { transaction });
    await models.houseParts.bulkCreate(rows(lidoParts), { transaction });
    await models.openedItems.bulkCreate(rows(lidoOpened), { transaction });
  });
  for (const batch of lidoBatches) await brew(db, batch);
  return true;
}

async function brew(db: Database, { id, plan, startedHoursBefore, jug }: LidoBatch): Promise<void> {
  let time = Date.parse(LIDO_MORNING) - startedHoursBefore * HOUR_MS;
  const needs = {
    db,
    clock: { now: () => new Date(time), frozen: true },
    changes: createChanges(),
  };
  const batches = createBatchService(needs);
  const { predicted } = await batches.start({ id, plan });
  if (!jug) return;
  time += plan.steep.reduce((sum, { hours }) => sum + hours, 0) * HOUR_MS;
  await batches.strain({
    id,
    seenVersion: 1,
    request: {
      jugId: jug.id,
      brewG: Math.round(predicted.brewG / 10) * 10,
      strengthFrac: Math.round(predicted.strengthFrac * jug.readOverPredicted * 1e4) / 1e4,
    },
  });
  await db.write(async (transaction) => {
    const row = await db.models.jugs.findByPk(jug.id, { transaction, rejectOnEmpty: true });
    const { label, capacityMl } = jug;
    await row.update({ body: { ...row.body, label, capacityMl } }, { transaction });
  });
  const jugs = createJugService(needs);
  for (const [i, massG] of jug.pouredG.entries()) {
    time += HOUR_MS;
    const request = { id: `${jug.id}-pour-${i + 1}`, kind: 'poured' as const, massG, note: 'Bar' };
    await jugs.enter({ id: jug.id, request });
  }
}

// Run as a program: fill the folder that the server will open.
if (process.argv[1]?.endsWith('seed.js')) {
  const db = await openDatabase(path.resolve(process.env['RATIO_DATA'] ?? '.demo'));
  await seedLido({ db, realNow: new Date() });
  await db.close();
}
