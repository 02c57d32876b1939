import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import { setTimeout as wait } from 'node:timers/promises';
import sqlite3 from 'sqlite3';

/**
 * Every connection, not only the default one: Sequelize opens one per transaction. FULL keeps an
 * acknowledged write through a kill or a power cut.
 */
class Connection extends sqlite3.Database {
  constructor(filename: string, mode: number, opened: (error: Error | null) => void) {
    super(filename, mode, opened);
    this.exec('PRAGMA busy_timeout = 10000; PRAGMA synchronous = FULL;');
  }
}

/**
 * Opens a database, made if need be.
 *
 * @param file where it lies
 * @returns connected, in write-ahead mode unless it is only read; close it when done
 */
export async function connect(
  file: string,
  { readOnly = false }: { readOnly?: boolean } = {},
): Promise<Sequelize> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: { ...sqlite3, Database: Connection },
    dialectOptions: readOnly ? { mode: sqlite3.OPEN_READONLY } : {},
    storage: file,
    logging: false,
    define: { timestamps: false, underscored: true },
  });
  if (!readOnly) await useWriteAheadLog(sequelize);
  return sequelize;
}

// Two servers that start at once: SQLite does not wait for the other one here, so we do.
async function useWriteAheadLog(sequelize: Sequelize): Promise<void> {
  for (let tries = 0; ; tries++)
    try {
      await sequelize.query('PRAGMA journal_mode = WAL', { type: QueryTypes.SELECT });
      return;
    } catch (error) {
      if (tries === 100 || !/SQLITE_BUSY/.test(String(error))) throw error;
      await wait(50);
    }
}

/**
 * Runs one statement with many rows of values in a transaction, prepared once: Sequelize would write each
 * row's values into a text of its own.
 */
export async function runPrepared(
  transaction: Transaction,
  sql: string,
  rows: readonly (readonly unknown[])[],
): Promise<void> {
  // Sequelize keeps the connection of a transaction here, and does not say so in its types.
  const { connection } = transaction as unknown as { connection: sqlite3.Database };
  await new Promise<void>((resolve, reject) => {
    const statement = connection.prepare(sql, (error: Error | null) => error && reject(error));
    let failure: Error | null = null;
    for (const values of rows)
      statement.run(values, (error: Error | null) => {
        failure ??= error;
      });
    statement.finalize((error?: Error | null) => {
      const wrong = failure ?? error;
      if (wrong) reject(wrong);
      else resolve();
    });
  });
}
