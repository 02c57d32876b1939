import { QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import { drinksInFull } from './migrations/20261126-drinks-in-full.ts';
import { drafts } from './migrations/20261125-drafts.ts';
import { sampleSets } from './migrations/20261125-sample-sets.ts';
import { corrections } from './migrations/20261130-corrections.ts';
import { instruments } from './migrations/20261201-instruments.ts';
import { theLog } from './migrations/20261203-the-log.ts';
import { stepPhotos } from './migrations/20261204-step-photos.ts';
import { theDay } from './migrations/20261202-the-day.ts';
import { people } from './migrations/20261129-people.ts';
import { ledgerInFull } from './migrations/20261128-ledger-in-full.ts';
import { shopsAndAuthors } from './migrations/20261127-shops-and-authors.ts';
import { documentsAndLedger } from './migrations/20261125-documents-and-ledger.ts';

/** In order; a landed one is never edited. */
const MIGRATIONS = [
  documentsAndLedger,
  drafts,
  sampleSets,
  drinksInFull,
  shopsAndAuthors,
  ledgerInFull,
  people,
  corrections,
  instruments,
  theDay,
  theLog,
  stepPhotos,
];
type Migration = (typeof MIGRATIONS)[number];

/** Names of the migrations that a database may have seen. */
export const KNOWN_MIGRATIONS: readonly string[] = MIGRATIONS.map(({ name }) => name);

/** @returns names of the migrations that a database has seen; none for a new one */
export async function doneMigrations(sequelize: Sequelize): Promise<string[]> {
  const tables = await sequelize.query(
    "SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'sequelize_meta'",
    { type: QueryTypes.SELECT },
  );
  if (tables.length === 0) return [];
  const rows = await sequelize.query<{ name: string }>(
    'SELECT name FROM sequelize_meta ORDER BY name',
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ name }) => name);
}

/**
 * Runs work on the one connection that queries without a transaction of Sequelize's have, so that it is
 * all there or not at all. Another process that writes meanwhile is waited for.
 */
async function atOnce(sequelize: Sequelize, work: () => Promise<void>): Promise<void> {
  await sequelize.query('BEGIN IMMEDIATE');
  try {
    await work();
    await sequelize.query('COMMIT');
  } catch (error) {
    await sequelize.query('ROLLBACK');
    throw error;
  }
}

/** A migration and its record as one: a kill leaves both or neither. */
function recorded(sequelize: Sequelize, { name, up, down }: Migration) {
  const context = sequelize.getQueryInterface();
  const isDone = async () => (await doneMigrations(sequelize)).includes(name);
  return {
    name,
    up: () =>
      atOnce(sequelize, async () => {
        await sequelize.query(
          'CREATE TABLE IF NOT EXISTS sequelize_meta (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)',
        );
        // Another server may have started at the same time, and been first.
        if (await isDone()) return;
        await up({ context });
        await sequelize.query('INSERT INTO sequelize_meta (name) VALUES (:name)', {
          replacements: { name },
        });
      }),
    down: () =>
      atOnce(sequelize, async () => {
        if (!(await isDone())) return;
        await down({ context });
        await sequelize.query('DELETE FROM sequelize_meta WHERE name = :name', {
          replacements: { name },
        });
      }),
  };
}

/** @returns umzug over this project's migrations, to go either way */
export const migrator = (sequelize: Sequelize): Umzug<QueryInterface> => {
  const nothing = (): Promise<void> => Promise.resolve();
  const storage: UmzugStorage<QueryInterface> = {
    executed: () => doneMigrations(sequelize),
    // Each migration records itself.
    logMigration: nothing,
    unlogMigration: nothing,
  };
  return new Umzug({
    migrations: MIGRATIONS.map((migration) => recorded(sequelize, migration)),
    context: sequelize.getQueryInterface(),
    storage,
    logger: undefined,
  });
};
