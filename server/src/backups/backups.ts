import { existsSync } from 'node:fs';
import { copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { backupsDir, databaseFile } from '../database/checks.ts';
import { checkCopy, copyDatabase, settleLog } from '../database/copyDatabase.ts';
import type { Database } from '../database/database.ts';

/** One copy of the whole database. */
export interface Backup {
  /** Name of its file in the backups folder. */
  readonly name: string;
  /** Why it was made. */
  readonly by: 'day' | 'hand' | 'update' | 'restore';
  readonly at: string;
  readonly bytes: number;
}

/** A daily copy is made when the last one is older than this: less than a day, so that a later start counts. */
const LEAST_APART_MS = 20 * 3_600_000;
/** How many copies of each kind are retained: the latest. */
const KEPT: Readonly<Record<Backup['by'], number>> = { day: 14, hand: 20, update: 5, restore: 5 };
const NAME =
  /^(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d-\d{3}Z)-(day|hand|before-update|before-restore)\.sqlite$/;
/** A restored file. The next start uses it before it opens the database. */
const WAITING = 'restore.sqlite';

const stampOf = (at: Date): string => at.toISOString().replaceAll(/[:.]/g, '-');
const instantOf = (stamp: string): string =>
  stamp.replace(/T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/, 'T$1:$2:$3.$4Z');

/** @returns whether a text is the name of a copy, and nothing that leads out of its folder */
export const isBackupName = (name: string): boolean => NAME.test(name);

/** @returns the copies of a folder, the latest first */
export async function listBackups(dataDir: string): Promise<Backup[]> {
  const dir = backupsDir(dataDir);
  const names = existsSync(dir) ? await readdir(dir) : [];
  const found = names.flatMap((name) => {
    const [, stamp, kind] = NAME.exec(name) ?? [];
    if (stamp === undefined || kind === undefined) return [];
    return [{ name, by: kind.replace('before-', '') as Backup['by'], at: instantOf(stamp) }];
  });
  const sized = await Promise.all(
    found.map(async (one) => {
      // Another one may have let go of it since.
      const known = await stat(path.join(dir, one.name)).catch(() => null);
      return known === null ? [] : [{ ...one, bytes: known.size }];
    }),
  );
  return sized.flat().toSorted((a, b) => b.name.localeCompare(a.name));
}

/**
 * Copies the database while it is in use, checks the copy by opening it, and deletes the oldest.
 *
 * @returns the copy
 * @throws where there is no room for it, or it does not pass
 */
export async function makeBackup(input: {
  db: Pick<Database, 'sequelize' | 'dataDir'>;
  by: 'day' | 'hand';
  at: Date;
}): Promise<Backup> {
  const made = underWay.then(() => makeNext(input));
  underWay = made.catch(() => undefined);
  return made;
}

/** Copies are made one after another: each deletes files that the next one would list. */
let underWay: Promise<unknown> = Promise.resolve();

async function makeNext({ db, by, at }: Parameters<typeof makeBackup>[0]): Promise<Backup> {
  const { sequelize, dataDir } = db;
  let ms = at.getTime();
  const nameOf = (): string => `${stampOf(new Date(ms))}-${by}.sqlite`;
  while (existsSync(path.join(backupsDir(dataDir), nameOf()))) ms++;
  const name = nameOf();
  const file = path.join(backupsDir(dataDir), name);
  await copyDatabase(sequelize, file);
  const { size: bytes } = await stat(file);
  await removeOldBackups(dataDir);
  return { name, by, at: new Date(ms).toISOString(), bytes };
}

async function removeOldBackups(dataDir: string): Promise<void> {
  const all = await listBackups(dataDir);
  for (const by of Object.keys(KEPT) as Backup['by'][])
    for (const { name } of all.filter((one) => one.by === by).slice(KEPT[by]))
      await rm(path.join(backupsDir(dataDir), name), { force: true });
}

/**
 * Checks a copy and stores it for the next start; until then nothing changes.
 *
 * @param file the copy, anywhere
 * @throws {StartError} where it is no sound database of Ratio's
 */
export async function prepareRestore(input: { dataDir: string; file: string }): Promise<void> {
  const { dataDir, file } = input;
  await mkdir(dataDir, { recursive: true, mode: 0o700 });
  const part = path.join(dataDir, `${WAITING}.part`);
  await rm(part, { force: true });
  try {
    await copyFile(file, part);
    await checkCopy(part);
    await rename(part, path.join(dataDir, WAITING));
  } finally {
    for (const end of ['', '-wal', '-shm']) await rm(`${part}${end}`, { force: true });
  }
}

/**
 * Replaces the database by a restored file, before it is opened; the old database becomes a copy.
 *
 * @returns the file of the old database, '' where there was none; null where no restored file waits
 */
export async function takeRestored(dataDir: string, at: Date): Promise<string | null> {
  const waiting = path.join(dataDir, WAITING);
  if (!existsSync(waiting)) return null;
  let before = '';
  const file = databaseFile(dataDir);
  const dir = backupsDir(dataDir);
  await mkdir(dir, { recursive: true, mode: 0o700 });
  if (existsSync(file)) {
    await settleLog(file);
    before = path.join(dir, `${stampOf(at)}-before-restore.sqlite`);
    await rename(file, before);
    for (const end of ['-wal', '-shm']) await rm(`${file}${end}`, { force: true });
  }
  // After a kill between the two renames the next start repeats this.
  await rename(waiting, file);
  return before;
}

/** Makes the daily copy. @returns null where the last one is less than 20 hours old */
export async function backUpTheDay(input: {
  db: Pick<Database, 'sequelize' | 'dataDir'>;
  at: Date;
}): Promise<Backup | null> {
  const last = (await listBackups(input.db.dataDir)).find(({ by }) => by === 'day');
  if (last && input.at.getTime() - Date.parse(last.at) < LEAST_APART_MS) return null;
  return makeBackup({ ...input, by: 'day' });
}

/** Whether a restored file waits to be taken. */
export const isRestoreWaiting = (dataDir: string): boolean =>
  existsSync(path.join(dataDir, WAITING));
