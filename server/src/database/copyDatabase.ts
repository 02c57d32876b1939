import { existsSync } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { QueryTypes, type Sequelize } from 'sequelize';
import { requireSound } from './checks.ts';
import { connect } from './connect.ts';

/**
 * Copies the whole database while it is in use: what is acknowledged is in the copy, though it lies in the
 * write-ahead log. The copy is opened and checked before it gets its name.
 *
 * @param file where to; nothing may be there yet
 * @throws {Error} where the copy cannot be written, or does not pass the check
 */
export async function copyDatabase(sequelize: Sequelize, file: string): Promise<void> {
  if (existsSync(file)) throw new Error(`There is a file at ${file} already.`);
  await mkdir(path.dirname(file), { recursive: true });
  const part = `${file}.${process.pid}.part`;
  await rm(part, { force: true });
  try {
    await sequelize.query('VACUUM INTO :part', { replacements: { part } });
    await checkCopy(part);
    await rename(part, file);
  } finally {
    await rm(part, { force: true });
  }
}

/** @throws {StartError} where a file is no sound database of Ratio's */
export async function checkCopy(file: string): Promise<void> {
  const copy = await connect(file, { readOnly: true });
  try {
    await requireSound(copy, file);
  } finally {
    await copy.close();
  }
}

/** Writes a database's log into its file; a damaged one is left as it is. */
export async function settleLog(file: string): Promise<void> {
  try {
    const sequelize = await connect(file);
    await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)', { type: QueryTypes.SELECT });
    await sequelize.close();
  } catch {
    // What cannot be opened is kept for whoever can mend it.
  }
}
