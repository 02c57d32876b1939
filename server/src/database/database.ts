import type { Sequelize } from 'sequelize';
import { connect } from './connect.ts';
import { migrate } from './migrate.ts';
import { defineModels, type Models } from './models.ts';
import { createWriteTransaction, type WriteTransaction } from './writeTransaction.ts';

/** An open database: its tables, and the one way to write to them. */
export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  readonly write: WriteTransaction;
  readonly close: () => Promise<void>;
}

/** Opens, migrates and describes the database of a folder. */
export async function openDatabase(dataDir: string): Promise<Database> {
  const sequelize = await connect(dataDir);
  await migrate(sequelize);
  return {
    sequelize,
    models: defineModels(sequelize),
    write: createWriteTransaction(sequelize),
    close: () => sequelize.close(),
  };
}
