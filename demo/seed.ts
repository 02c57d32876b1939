import path from 'node:path';
import { UNSIGNED, type Caller } from '../server/src/caller.ts';
import type { Documents, Identified } from '../server/src/database/documents.ts';
import { createChanges } from '../server/src/changes/changes.ts';
import { createClock } from '../server/src/clock.ts';
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
  lidoHouseRecipes,
  lidoShop,
  lidoVessels,
  type LidoBatch,
} from './lido.ts';

const HOUR_MS = 3_600_000;
const LIDO: Caller = { shopId: lidoShop.id, author: UNSIGNED };

/**
 * Fills an empty database with the lido café, through the same services that the pages use.
 *
 * @param input.realNow the machine's time: the demo's clock starts at the lido's morning and runs on
 * @returns whether anything was written; a shop that is there already is left alone
 */
export async function seedLido(input: { db: Database; realNow: Date }): Promise<boolean> {
  const { db, realNow } = input;
  if ((await db.shops.shopIds()).length > 0) return false;
  const clockOffsetMs = Date.parse(LIDO_MORNING) - realNow.getTime();
  await db.write(async (transaction) => {
    const put = async <T extends Identified>(
      documents: Documents<T>,
      all: readonly Omit<T, 'version'>[],
    ): Promise<void> => {
      for (const { id, ...body } of all)
        await documents.save(
          LIDO,
          { id: id as string, seenVersion: 0, body: body as never },
          transaction,
        );
    };
    await put(db.shops, [{ ...lidoShop, clockOffsetMs }]);
    await put(db.coffees, lidoCoffees);
    await put(db.vessels, lidoVessels);
    await put(db.drinks, lidoDrinks);
    await put(db.pantryItems, lidoPantry);
    await put(db.houseRecipes, lidoHouseRecipes);
    await put(db.openedItems, lidoOpened);
  });
  for (const batch of lidoBatches) await brew(db, batch);
  return true;
}

async function brew(db: Database, { id, plan, startedHoursBefore, jug }: LidoBatch): Promise<void> {
  let time = Date.parse(LIDO_MORNING) - startedHoursBefore * HOUR_MS;
  const needs = {
    db,
    clock: createClock({ frozenAt: null, offsetMs: 0, machineMs: () => time }),
    changes: createChanges(),
  };
  const batches = createBatchService(needs);
  const { predicted } = await batches.start(LIDO, { id, plan });
  if (!jug) return;
  time += plan.steep.reduce((sum, { hours }) => sum + hours, 0) * HOUR_MS;
  await batches.strain(LIDO, {
    id,
    seenVersion: 1,
    request: {
      jugs: [
        {
          jugId: jug.id,
          vesselId: jug.vesselId,
          massG: Math.round(predicted.brewG / 10) * 10,
        },
      ],
      strengthFrac: Math.round(predicted.strengthFrac * jug.readOverPredicted * 1e4) / 1e4,
    },
  });
  const jugs = createJugService(needs);
  for (const [i, massG] of jug.pouredG.entries()) {
    time += HOUR_MS;
    const request = { id: `${jug.id}-pour-${i + 1}`, kind: 'poured' as const, massG, note: 'Bar' };
    await jugs.enter(LIDO, { id: jug.id, request });
  }
}

// Run as a program: fill the folder that the server will open.
if (process.argv[1]?.endsWith('seed.js')) {
  const db = await openDatabase(path.resolve(process.env['RATIO_DATA'] ?? '.demo'));
  await seedLido({ db, realNow: new Date() });
  await db.close();
}
