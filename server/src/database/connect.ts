import { QueryTypes, Sequelize } from 'sequelize';
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
