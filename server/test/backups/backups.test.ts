import { spawnSync } from 'node:child_process';
import { copyFile, mkdir, readdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect } from 'chai';
import { LIDO_MORNING } from '../../../demo/lido.ts';
import { seedLido } from '../../../demo/seed.ts';
import { backUpTheDay, listBackups, makeBackup } from '../../src/backups/backups.ts';
import { databaseFile } from '../../src/database/checks.ts';
import { openDatabase } from '../../src/database/database.ts';
import { inFolder, startServer, stopServer } from '../realServer.ts';

const ROOT = fileURLToPath(new URL('../../..', import.meta.url));
const HOUR_MS = 3_600_000;

const npmRun = (command: string, dataDir: string, ...args: string[]) =>
  spawnSync(process.execPath, ['scripts/backup.mjs', command, ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, RATIO_DATA: dataDir },
  });

async function lido(dataDir: string): Promise<void> {
  const db = await openDatabase(dataDir);
  await seedLido({ db, realNow: new Date(LIDO_MORNING) });
  await db.close();
}
const pour = (url: string, id: string) =>
  fetch(`${url}/api/jugs/lido-jug-1/entries`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ id, kind: 'poured', massG: 10 }),
  });
const post = (url: string) => fetch(url, { method: 'POST' });
const jsonOf = async <T>(url: string): Promise<T> => (await (await fetch(url)).json()) as T;
const idsOf = async (url: string): Promise<string[]> =>
  (await jsonOf<{ id: string }[]>(`${url}/api/jugs/lido-jug-1/entries`)).map(({ id }) => id);

/** Waits until a server answers again after it took a restored copy. */
async function untilPoured(url: string, isThere: (ids: string[]) => boolean): Promise<string[]> {
  for (let tries = 0; ; tries++) {
    const ids = await idsOf(url).catch(() => null);
    if (ids && (isThere(ids) || tries > 200)) return ids;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

describe('backups', () => {
  it('are made one after another, however many are asked for at once', () =>
    inFolder(async (dataDir) => {
      await lido(dataDir);
      const db = await openDatabase(dataDir);
      const from = Date.parse(LIDO_MORNING);
      // Two in each millisecond.
      const at = (i: number) => new Date(from + 2 * Math.floor(i / 2));
      const made = await Promise.all(
        Array.from({ length: 25 }, (_, i) => makeBackup({ db, by: 'hand', at: at(i) })),
      );
      expect(new Set(made.map(({ name }) => name)).size).to.equal(25);
      expect(await listBackups(dataDir)).to.have.length(20);
      await db.close();
    })).timeout(90_000);

  it('hold what was acknowledged a moment ago, and come back from the page', () =>
    inFolder(async (dataDir) => {
      await lido(dataDir);
      const server = await startServer(dataDir);
      const url = await server.url;
      await pour(url, 'before');
      const made = await post(`${url}/api/backups`);
      expect(made.status).to.equal(201);
      const { name, bytes } = (await made.json()) as { name: string; bytes: number };
      expect(bytes).to.be.above(10_000);
      await pour(url, 'after');
      const file = await fetch(`${url}/api/backups/${name}`);
      expect((await file.arrayBuffer()).byteLength).to.equal(bytes);
      expect(file.headers.get('Content-Disposition')).to.contain(name);
      for (const other of ['..%2fratio.sqlite', 'x', 'ratio.sqlite'])
        expect((await fetch(`${url}/api/backups/${other}`)).status).to.equal(404);
      expect((await post(`${url}/api/backups/${name}/restore`)).status).to.equal(200);
      const ids = await untilPoured(url, (all) => !all.includes('after'));
      expect(ids).to.include('before').and.not.include('after');
      // What was there before the restore is one more copy.
      const [latest] = await jsonOf<{ by: string }[]>(`${url}/api/backups`);
      expect(latest!.by).to.equal('restore');
      expect(await stopServer(server)).to.equal(0);
    })).timeout(90_000);

  it('are made and restored from the command line, while the server runs', () =>
    inFolder(async (dataDir) => {
      await lido(dataDir);
      const server = await startServer(dataDir);
      const url = await server.url;
      await pour(url, 'before');
      const copy = path.join(dataDir, 'elsewhere', 'monday.sqlite');
      const made = npmRun('backup', dataDir, copy);
      expect(made.status, made.stderr).to.equal(0);
      const named = npmRun('backup', dataDir);
      expect(named.stdout.trim()).to.match(/backups\/.*-hand\.sqlite$/);
      await pour(url, 'after');
      const restored = npmRun('restore', dataDir, copy);
      expect(restored.stdout).to.contain('is sound');
      const ids = await untilPoured(url, (all) => !all.includes('after'));
      expect(ids).to.include('before').and.not.include('after');
      await stopServer(server);
    })).timeout(90_000);

  for (const [name, prepare] of [
    ['none', async () => undefined],
    ['a text', (file: string) => writeFile(file, 'a shopping list')],
    ['half of one', (file: string, whole: Buffer) => writeFile(file, whole.subarray(0, 20_000))],
  ] as const)
    it(`a restore of ${name} changes nothing and says why`, () =>
      inFolder(async (dataDir) => {
        await lido(dataDir);
        const whole = await import('node:fs/promises').then(({ readFile }) =>
          readFile(databaseFile(dataDir)),
        );
        const bad = path.join(dataDir, 'bad.sqlite');
        await prepare(bad, whole);
        const refused = npmRun('restore', dataDir, bad);
        expect(refused.status).to.equal(1);
        expect(refused.stderr).to.match(/bad\.sqlite|damaged|not a database|no such file/i);
        expect(await readdir(dataDir)).not.to.include('restore.sqlite');
        const db = await openDatabase(dataDir);
        expect(await db.jugs.list('lido')).to.have.length(3);
        await db.close();
      })).timeout(90_000);

  it('put back what was there where a restored copy does not open after all', () =>
    inFolder(async (dataDir) => {
      await lido(dataDir);
      await writeFile(path.join(dataDir, 'restore.sqlite'), 'damaged after it was checked');
      const server = await startServer(dataDir);
      expect(await jsonOf<unknown[]>(`${await server.url}/api/jugs`)).to.have.length(3);
      await stopServer(server);
    })).timeout(90_000);

  it('are made once a day, and only so many are kept', () =>
    inFolder(async (dataDir) => {
      await lido(dataDir);
      const db = await openDatabase(dataDir);
      const from = Date.parse(LIDO_MORNING);
      for (let hours = 0; hours <= 20 * 24; hours += 12)
        await backUpTheDay({ db, at: new Date(from + hours * HOUR_MS) });
      const days = (await listBackups(dataDir)).filter(({ by }) => by === 'day');
      expect(days).to.have.length(14);
      expect(Date.parse(days[0]!.at)).to.equal(from + 20 * 24 * HOUR_MS);
      await makeBackup({ db, by: 'hand', at: new Date(from) });
      // What is no copy of ours is left alone.
      await mkdir(path.join(dataDir, 'backups'), { recursive: true });
      await copyFile(databaseFile(dataDir), path.join(dataDir, 'backups', 'keep-me.sqlite'));
      await makeBackup({ db, by: 'hand', at: new Date(from + 1000) });
      expect(await readdir(path.join(dataDir, 'backups'))).to.include('keep-me.sqlite');
      await db.close();
    })).timeout(90_000);
});
