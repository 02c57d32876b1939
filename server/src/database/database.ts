import { QueryTypes, type Sequelize } from 'sequelize';
import path from 'node:path';
import { APPLICATION_ID, backupsDir, checkFolder, databaseFile, requireSound } from './checks.ts';
import { connect } from './connect.ts';
import { createFile } from './createFile.ts';
import { copyDatabase } from './copyDatabase.ts';
import { doneMigrations, KNOWN_MIGRATIONS, migrator } from './migrate.ts';
import { defineTables, type Tables } from './tables.ts';
import { rememberReads, type RememberedRead } from './rememberReads.ts';
import { createWriteTransaction, type Writing } from './writeTransaction.ts';

/** An open database: its tables, and the one way to write to them. */
export interface Database extends Tables, Writing {
  readonly sequelize: Sequelize;
  /** Reads outside of a transaction, once until something is written. */
  readonly remembered: RememberedRead;
  /** Folder of the file and its copies. */
  readonly dataDir: string;
  /** Documents that were met and whose text is broken, such as “coffee lot-14”. */
  readonly unreadable: ReadonlySet<string>;
  /** The latest instant at which anything was done, ms since 1970 UTC; 0 for nothing yet. */
  readonly latestMs: () => Promise<number>;
  /** @throws where the database does not answer */
  readonly ping: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/**
 * Opens, checks, migrates and describes the database of a folder.
 *
 * @throws {StartError} where it cannot be used, and what to do then
 */
export async function openDatabase(dataDir: string): Promise<Database> {
  checkFolder(dataDir);
  const file = databaseFile(dataDir);
  await createFile(file);
  const sequelize = await connect(file);
  try {
    await requireSound(sequelize, file);
    await bringUpToDate(sequelize, dataDir);
  } catch (error) {
    await sequelize.close();
    throw error;
  }
  const writing = createWriteTransaction(sequelize);
  const unreadable = new Set<string>();
  const remembered = rememberReads(writing.written);
  return {
    ...defineTables({ sequelize, write: writing.write, remembered, unreadable }),
    unreadable,
    remembered,
    ...writing,
    sequelize,
    dataDir,
    latestMs: async () => {
      const [row] = await sequelize.query<{ at: string | null }>(
        `SELECT MAX(at) AS at FROM (SELECT MAX(at) AS at FROM jug_entries
          UNION SELECT MAX(at) FROM batch_actuals UNION SELECT MAX(started_at) FROM batches)`,
        { type: QueryTypes.SELECT },
      );
      return row?.at ? Date.parse(row.at) : 0;
    },
    ping: async () => {
      await sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
    },
    close: async () => {
      // Into the database, so that its file alone is the whole of it.
      await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)', { type: QueryTypes.SELECT });
      await sequelize.close();
    },
  };
}

/** Migrates; a database that holds something is copied first. */
async function bringUpToDate(sequelize: Sequelize, dataDir: string): Promise<void> {
  const done = await doneMigrations(sequelize);
  const last = done.at(-1);
  if (last !== undefined && done.length < KNOWN_MIGRATIONS.length) {
    const stamp = new Date().toISOString().replaceAll(/[:.]/g, '-');
    await copyDatabase(sequelize, path.join(backupsDir(dataDir), `${stamp}-before-update.sqlite`));
  }
  if (done.length < KNOWN_MIGRATIONS.length) await migrator(sequelize).up();
  await sign(sequelize);
}

async function sign(sequelize: Sequelize): Promise<void> {
  const [row] = await sequelize.query<{ application_id: number }>('PRAGMA application_id', {
    type: QueryTypes.SELECT,
  });
  if (row?.application_id !== APPLICATION_ID)
    await sequelize.query(`PRAGMA application_id = ${APPLICATION_ID}`);
}
