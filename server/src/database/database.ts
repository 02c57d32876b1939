import type { Sequelize } from 'sequelize';
import { connect } from './connect.ts';
import { migrate } from './migrate.ts';
import { defineTables, type Tables } from './tables.ts';
import { createWriteTransaction, type WriteTransaction } from './writeTransaction.ts';

/** An open database: its tables, and the one way to write to them. */
export interface Database extends Tables {
  readonly sequelize: Sequelize;
  readonly write: WriteTransaction;
  /** @throws where the database does not answer */
  readonly ping: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Opens, migrates and describes the database of a folder. */
export async function openDatabase(dataDir: string): Promise<Database> {
  const sequelize = await connect(dataDir);
  await migrate(sequelize);
  const write = createWriteTransaction(sequelize);
  return {
    ...defineTables({ sequelize, write }),
    sequelize,
    write,
    ping: async () => {
      await sequelize.query('SELECT 1');
    },
    close: () => sequelize.close(),
  };
}
