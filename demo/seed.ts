import path from 'node:path';
import { pricePerKgOfBrew } from '@ratio/core/batch';
import { EMPTY_STATE, entryOf, filledJug } from '@ratio/core/events';
import { stepsOf } from '@ratio/core/steps';
import { UNSIGNED, type Caller } from '../server/src/caller.ts';
import type { Documents, Identified } from '../server/src/database/documents.ts';
import { createChanges } from '../server/src/changes/changes.ts';
import { createClock } from '../server/src/clock.ts';
import { createBatchService } from '../server/src/batches/service.ts';
import { createDayService } from '../server/src/day/service.ts';
import { createJugService } from '../server/src/jugs/service.ts';
import { saveRows } from '../server/src/events/saveRows.ts';
import { openDatabase, type Database } from '../server/src/database/database.ts';
import {
  LIDO_MORNING,
  lidoBatches,
  lidoCoffees,
  lidoDrinks,
  lidoOpened,
  lidoPantry,
  lidoHouseRecipes,
  lidoInstruments,
  lidoShop,
  lidoVessels,
  type LidoBatch,
} from './lido.ts';

import { lidoSeason, type SeasonJug } from './season.ts';

const HOUR_MS = 3_600_000;
const LIDO: Caller = { shopId: lidoShop.id, author: UNSIGNED };

/**
 * Fills an empty database with the lido café, through the same services that the pages use.
 *
 * @param input.realNow the machine's time: the demo's clock starts at the lido's morning and runs on
 * @returns whether anything was written; a shop that is there already is left alone
 */
export async function seedLido(input: {
  db: Database;
  realNow: Date;
  /** Whether the two months before are in it too. */
  withSeason?: boolean;
}): Promise<boolean> {
  const { db, realNow, withSeason = false } = input;
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
    await put(db.instruments, lidoInstruments);
  });
  if (withSeason) await seedSeason(db);
  for (const batch of lidoBatches) await brew(db, batch);
  await leaveEvening(db);
  return true;
}

/** What the evening left for the morning of the demo. */
async function leaveEvening(db: Database): Promise<void> {
  const at = '2026-06-12T19:40:00.000Z';
  const days = createDayService({
    db,
    clock: createClock({ frozenAt: new Date(at), offsetMs: 0 }),
    changes: createChanges(),
  });
  const date = '2026-06-12';
  const note = 'Mill was stiff on coarse: check that 26 is still 26.';
  await days.add(LIDO, { date, request: { id: 'evening-note', kind: 'note', note } });
  for (const [i, item] of lidoShop.checklists.closing.entries())
    await days.add(LIDO, {
      date,
      request: { id: `evening-${i + 1}`, kind: 'checked', list: 'closing', item },
    });
}

/** The season, row by row as the services would have written it. */
async function seedSeason(db: Database): Promise<void> {
  const { batches, observations, jugs } = lidoSeason();
  await db.write(async (transaction) => {
    for (const { id, version: _, author, ...body } of batches)
      await db.batches.save({ ...LIDO, author }, { id, seenVersion: 0, body }, transaction);
    for (const { author, ...row } of observations)
      await db.observations.add({ ...LIDO, author }, row, transaction);
    for (const jug of jugs) await seedJug(db, jug, transaction);
  });
}

type Transaction = Parameters<Parameters<Database['write']>[0]>[0];

async function seedJug(db: Database, jug: SeasonJug, transaction: Transaction): Promise<void> {
  const { id, batch, massG, madeAt, rows } = jug;
  const { coffeeName, plan, predicted } = batch;
  const { pricePerKg } = lidoCoffees.find((one) => one.id === plan.coffeeId)!;
  const rowsOfJug = filledJug({
    id,
    massG,
    context: { shop: { ...lidoShop } },
    jug: {
      strengthFrac: batch.strengthFrac!,
      readBy: batch.strengthBy === 'reading' ? 'refractometer' : 'prediction',
      caffeineMgPerG: predicted.caffeineMgPerG,
      pricePerKg: pricePerKgOfBrew({ pricePerKg, doseG: plan.doseG, brewG: massG }),
      filledRange: null,
      label: jug.label,
      coffeeName,
      batchId: batch.id,
      onGrounds: false,
      capacityMl: null,
      vesselId: null,
      madeAt,
    },
  });
  await saveRows(db, {
    caller: { ...LIDO, author: 'Early shift' },
    rows: rowsOfJug,
    before: EMPTY_STATE,
    transaction,
  });
  for (const [i, { author, massG: takenG, ...row }] of rows.entries()) {
    const entry = entryOf({ jugId: id, id: `${id}-${i + 1}`, massG: -takenG, ...row });
    await db.jugEntries.add({ ...LIDO, author }, entry, transaction);
  }
  const leftG = massG - rows.reduce((sum, row) => sum + row.massG, 0);
  const { version: _, id: __, ...body } = await db.jugs.get(LIDO.shopId, id, transaction);
  const lastEntryId = rows.length > 0 ? `${id}-${rows.length}` : null;
  await db.jugs.update(LIDO, { id, body: { ...body, onHandG: leftG, lastEntryId } }, transaction);
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
  await prepare({ id, plan, batches, minute: (count) => (time += count * 60_000) });
  if (!jug) return;
  time += plan.steep.reduce((sum, { hours }) => sum + hours, 0) * HOUR_MS;
  await batches.strain(LIDO, {
    id,
    seenVersion: (await batches.get(LIDO, id)).version,
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
  const clean = { id: `${id}-clean`, kind: 'done' as const, step: 'clean' };
  await batches.note(LIDO, { id, request: { ...clean, note: '', instrumentId: null } });
  const jugs = createJugService(needs);
  for (const [i, massG] of jug.pouredG.entries()) {
    time += HOUR_MS;
    const request = { id: `${jug.id}-pour-${i + 1}`, kind: 'poured' as const, massG, note: 'Bar' };
    await jugs.enter(LIDO, { id: jug.id, request });
  }
}

/** The steps of a steep's beginning, noted as a brewer with a scale would. */
async function prepare(of: {
  id: string;
  plan: LidoBatch['plan'];
  batches: ReturnType<typeof createBatchService>;
  minute: (count: number) => void;
}): Promise<void> {
  const { id, plan, batches, minute } = of;
  const steps = stepsOf({ plan }).filter(({ phase }) => phase === 'prepare');
  for (const { key, note, amountG } of steps) {
    const noted = { id: `${id}-${key}`, step: key, note: '', instrumentId: null };
    const massG = amountG === null ? 0 : Math.round(amountG) + (key === 'weigh' ? 1 : 0);
    const request =
      note === 'poured'
        ? { ...noted, kind: 'poured' as const, massG, tempC: plan.waterC }
        : note === 'weighed'
          ? { ...noted, kind: 'weighed' as const, massG }
          : { ...noted, kind: 'done' as const };
    await batches.note(LIDO, { id, request });
    // A pour begins the clock of the steep: what was told of it is when that was.
    if (note !== 'weighed' && note !== 'poured') minute(key === 'sink' ? 3 : 0);
  }
}

// Run as a program: fill the folder that the server will open.
if (process.argv[1]?.endsWith('seed.js')) {
  const db = await openDatabase(path.resolve(process.env['RATIO_DATA'] ?? '.demo'));
  await seedLido({ db, realNow: new Date(), withSeason: true });
  await db.close();
}
