import path from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';

/**
 * Every connection, not only the default one: Sequelize opens one per transaction. FULL keeps an
 * acknowledged write through a kill or a power cut.
 */
class Connection extends sqlite3.Database {
  constructor(filename: string, mode: number, opened: (error: Error | null) => void) {
    super(filename, mode, opened);
    this.exec('PRAGMA busy_timeout = 5000; PRAGMA synchronous = FULL;');
  }
}

/**
 * Opens the database of a folder, made if need be.
 *
 * @param dataDir folder; the file in it is ratio.sqlite
 * @returns connected, in write-ahead mode; close it when done
 */
export async function connect(dataDir: string): Promise<Sequelize> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: { ...sqlite3, Database: Connection },
    storage: path.join(dataDir, 'ratio.sqlite'),
    logging: false,
    define: { timestamps: false, underscored: true },
  });
  await sequelize.query('PRAGMA journal_mode = WAL');
  return sequelize;
}
