import {
  accessSync,
  chmodSync,
  constants,
  existsSync,
  mkdirSync,
  openSync,
  readSync,
} from 'node:fs';
import { closeSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { QueryTypes, type Sequelize } from 'sequelize';
import { doneMigrations, KNOWN_MIGRATIONS } from './migrate.ts';
import { StartError } from '../startError.ts';

/** What SQLite keeps in a file's header to say whose it is: “Rati” in ASCII. */
export const APPLICATION_ID = 0x52617469;
const HEADER = 'SQLite format 3\0';

/** The database's file in a folder, and the folder of its copies. */
export const databaseFile = (dataDir: string): string => path.join(dataDir, 'ratio.sqlite');
export const backupsDir = (dataDir: string): string => path.join(dataDir, 'backups');

/** What to do about a database that cannot be used. */
function remedy(file: string): string {
  const dir = backupsDir(path.dirname(file));
  const copies = existsSync(dir) ? readdirSync(dir).filter((name) => name.endsWith('.sqlite')) : [];
  const last = copies.toSorted().at(-1);
  return last === undefined
    ? 'There is no copy in backups; move the file away to begin with an empty shop.'
    : `Restore the last copy: npm run restore -- ${path.join(dir, last)}`;
}

/**
 * Makes the folder if need be, for its owner alone, and looks at the file before it is opened.
 *
 * @throws {StartError} where the folder cannot be written to, or the file is no database
 */
export function checkFolder(dataDir: string): void {
  try {
    mkdirSync(dataDir, { recursive: true, mode: 0o700 });
    accessSync(dataDir, constants.R_OK | constants.W_OK | constants.X_OK);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new StartError(
      `The folder ${dataDir} cannot be written to (${code}). Make it writable for whoever runs Ratio, or set RATIO_DATA to another folder.`,
    );
  }
  const file = databaseFile(dataDir);
  const known = existsSync(file);
  if (known) checkFile(file);
  keepPrivate(dataDir, file, known);
}

/** Only its owner may read what the shop writes; somebody else's folder stays as it is. */
function keepPrivate(dataDir: string, file: string, known: boolean): void {
  const isOwn = (file: string): boolean => statSync(file).uid === process.getuid?.();
  if (isOwn(dataDir)) chmodSync(dataDir, 0o700);
  if (known && isOwn(file)) chmodSync(file, 0o600);
}

/** @throws {StartError} where a file is empty, or no SQLite database, or may not be written */
function checkFile(file: string): void {
  if (statSync(file).size === 0)
    throw new StartError(`${file} is empty, as a copy that was broken off is. ${remedy(file)}`);
  try {
    accessSync(file, constants.R_OK | constants.W_OK);
  } catch {
    throw new StartError(`${file} cannot be written to. Make it writable for whoever runs Ratio.`);
  }
  const start = Buffer.alloc(HEADER.length);
  const handle = openSync(file, 'r');
  readSync(handle, start, 0, start.length, 0);
  closeSync(handle);
  if (start.toString('latin1') !== HEADER)
    throw new StartError(`${file} is no SQLite database. ${remedy(file)}`);
}

/**
 * Looks at an open database before anything is done with it.
 *
 * @param file where it lies, for what is said
 * @throws {StartError} where it is damaged, another program's, or from a newer Ratio
 */
export async function requireSound(sequelize: Sequelize, file: string): Promise<void> {
  const ask = <T extends object>(text: string) =>
    sequelize.query<T>(text, { type: QueryTypes.SELECT });
  const found = await ask<{ quick_check: string }>('PRAGMA quick_check(1)').catch(
    (error: Error) => [{ quick_check: error.message }],
  );
  if (found[0]?.quick_check !== 'ok')
    throw new StartError(
      `${file} is damaged (${found[0]?.quick_check.replaceAll('\n', ' ')}). ${remedy(file)}`,
    );
  const [application] = await ask<{ application_id: number }>('PRAGMA application_id');
  const done = await doneMigrations(sequelize);
  const id = application!.application_id;
  const [tables] = await ask<{ n: number }>('SELECT COUNT(*) AS n FROM sqlite_master');
  // The first versions did not sign theirs, but left the list of their migrations.
  if (id !== APPLICATION_ID && (id !== 0 || (done.length === 0 && tables!.n > 0)))
    throw new StartError(
      `${file} belongs to another program. Set RATIO_DATA to a folder of Ratio’s own.`,
    );
  const unknown = done.filter((name) => !KNOWN_MIGRATIONS.includes(name));
  if (unknown.length > 0)
    throw new StartError(
      `${file} was written by a newer Ratio (${unknown.at(-1)}). Start that one, or restore a copy from before.`,
    );
}
