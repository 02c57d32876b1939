import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { drinksInFull } from './migrations/20261126-drinks-in-full.ts';
import { drafts } from './migrations/20261125-drafts.ts';
import { sampleSets } from './migrations/20261125-sample-sets.ts';
import { shopsAndAuthors } from './migrations/20261127-shops-and-authors.ts';
import { documentsAndLedger } from './migrations/20261125-documents-and-ledger.ts';

/** In order; a landed one is never edited. */
const MIGRATIONS = [documentsAndLedger, drafts, sampleSets, drinksInFull, shopsAndAuthors];

/** Brings the database's tables up to date. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  await migrator(sequelize).up();
}

/** @returns umzug over this project's migrations, to go either way */
export const migrator = (sequelize: Sequelize) =>
  new Umzug({
    migrations: MIGRATIONS,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
