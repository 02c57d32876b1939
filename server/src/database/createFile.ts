import { existsSync } from 'node:fs';
import { link, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import sqlite3 from 'sqlite3';
import { APPLICATION_ID } from './checks.ts';

const BEGUN = /\.sqlite\.\d+-\d+\.new$/;
/** What a kill left behind is older than any start takes. */
const STALE_MS = 60_000;
let count = 0;

/**
 * Makes a signed, empty database where there is no file: written beside its place first, so that nobody
 * ever meets one that is begun and not written, after a kill neither.
 */
export async function createFile(file: string): Promise<void> {
  const dir = path.dirname(file);
  for (const name of (await readdir(dir)).filter((one) => BEGUN.test(one))) {
    const at = path.join(dir, name);
    const known = await stat(at).catch(() => null);
    if (known && Date.now() - known.mtimeMs > STALE_MS) await rm(at, { force: true });
  }
  if (existsSync(file)) return;
  const begun = `${file}.${process.pid}-${++count}.new`;
  try {
    await writeEmpty(begun);
    await link(begun, file).catch(async (error: NodeJS.ErrnoException) => {
      // Another server was first; or the disk knows no links.
      if (error.code !== 'EEXIST' && !existsSync(file)) await rename(begun, file);
    });
  } finally {
    await rm(begun, { force: true });
  }
}

async function writeEmpty(file: string): Promise<void> {
  const db = new sqlite3.Database(file);
  const [exec, close] = [promisify(db.exec.bind(db)), promisify(db.close.bind(db))];
  try {
    await exec(`PRAGMA synchronous = FULL; PRAGMA application_id = ${APPLICATION_ID}`);
  } finally {
    await close();
  }
}
