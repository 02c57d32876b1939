import { createWriteStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { finished } from 'node:stream/promises';
import { LIDO_MORNING } from '../../demo/lido.ts';
import { seedLido } from '../../demo/seed.ts';
import { readArchive } from '../src/archive/readArchive.ts';
import { writeArchive } from '../src/archive/writeArchive.ts';
import { createChanges } from '../src/changes/changes.ts';
import { createClock } from '../src/clock.ts';
import { copyDatabase } from '../src/database/copyDatabase.ts';
import { openDatabase, type Database } from '../src/database/database.ts';
import { createJugService } from '../src/jugs/service.ts';
import { benchInstruments } from './instruments.ts';
import { benchLog } from './log.ts';
import { benchReads } from './reads.ts';

const CALLER = { shopId: 'lido', author: 'bench' };
const SMALL = 10_000;
const LARGE = 100_000;

interface Cost {
  readonly ms: number;
  readonly cpuMs: number;
}
async function cost(work: () => Promise<unknown>): Promise<Cost> {
  const cpu = process.cpuUsage();
  const from = performance.now();
  await work();
  const ms = performance.now() - from;
  const { user, system } = process.cpuUsage(cpu);
  return { ms, cpuMs: (user + system) / 1000 };
}

async function inLido<T>(work: (db: Database, dataDir: string) => Promise<T>): Promise<T> {
  const dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-bench-'));
  const db = await openDatabase(dataDir);
  try {
    await seedLido({ db, realNow: new Date(LIDO_MORNING) });
    return await work(db, dataDir);
  } finally {
    await db.close();
    await rm(dataDir, { recursive: true });
  }
}

/** So many emptied jugs, and so many rows of draws in all. */
async function fill(db: Database, input: { jugs: number; rows: number }): Promise<void> {
  const { jugs, rows } = input;
  await db.sequelize
    .query(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${jugs})
    INSERT INTO jugs (shop_id, id, version, author, made_at, use_by, on_hand_g, body)
    SELECT 'lido', 'old-' || i, 1, 'bench', made_at, use_by, 0, body FROM n, jugs WHERE id = 'lido-jug-1'`);
  await db.sequelize
    .query(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${rows})
    INSERT INTO jug_entries (shop_id, id, author, at, jug_id, kind, mass_g, note)
    SELECT 'lido', 'row-' || i, 'bench', '2026-06-01T08:00:00.000Z', 'old-' || (1 + i % ${jugs}), 'poured', -1, 'Bar' FROM n`);
}

async function pourCost(db: Database, times: number, atOnce = 1): Promise<Cost> {
  const clock = createClock({ frozenAt: new Date(LIDO_MORNING), offsetMs: 0 });
  const service = createJugService({ db, clock, changes: createChanges() });
  let n = 0;
  const one = () =>
    service.enter(CALLER, {
      id: 'lido-jug-1',
      request: { id: `p-${atOnce}-${(n += 1)}`, kind: 'poured', massG: 0.01, note: '' },
    });
  for (let i = 0; i < 20; i++) await one();
  const whole = await cost(async () => {
    const worker = async () => {
      while (n < times + 20) await one();
    };
    await Promise.all(Array.from({ length: atOnce }, worker));
  });
  return { ms: whole.ms / times, cpuMs: whole.cpuMs / times };
}

const row = (...cells: (string | number)[]): void => console.log(`| ${cells.join(' | ')} |`);
const f = (value: number): string => (value < 10 ? value.toFixed(2) : value.toFixed(0));

console.log('\n| a pour | ms | CPU, ms | CPU, of that with 3 jugs |');
console.log('|---|---|---|---|');
const few = await inLido((db) => pourCost(db, 300));
const many = await inLido(async (db) => {
  await fill(db, { jugs: 400, rows: 75_000 });
  return pourCost(db, 300);
});
row('3 jugs', f(few.ms), f(few.cpuMs), '1.00');
row('400 jugs, 75,000 rows', f(many.ms), f(many.cpuMs), (many.cpuMs / few.cpuMs).toFixed(2));

console.log('\n| writes | a second | of that without rivals |');
console.log('|---|---|---|');
const rivals = await inLido((db) => pourCost(db, 600, 20));
row('one after another', f(1000 / few.ms), '1.00');
row('20 at once', f(1000 / rivals.ms), (few.ms / rivals.ms).toFixed(2));

const sizes: Record<string, [number, number]> = {};
let most = 0;
for (const [at, rows] of [SMALL, LARGE].entries())
  await inLido(async (db, dataDir) => {
    await fill(db, { jugs: 400, rows });
    const note = (name: string, ms: number): void => {
      (sizes[name] ??= [0, 0])[at] = ms;
    };
    const start = await cost(async () => (await openDatabase(dataDir)).close());
    note('start, with its checks', start.ms);
    const copy = path.join(dataDir, 'copy.sqlite');
    note('backup, checked', (await cost(() => copyDatabase(db.sequelize, copy))).ms);
    const zip = path.join(dataDir, 'archive.zip');
    const exported = await cost(async () => {
      const to = createWriteStream(zip);
      await writeArchive(db, 'lido', to);
      await finished(to);
    });
    note('export', exported.ms);
    note('import', (await cost(() => readArchive({ db, shopId: 'lido', file: zip }))).ms);
    most = Math.max(most, process.memoryUsage().rss);
    if (rows === LARGE)
      console.log(
        `\n${LARGE} rows: database ${((await stat(copy)).size / 1e6).toFixed(0)} MB, archive ${((await stat(zip)).size / 1e6).toFixed(1)} MB, memory ${(most / 1e6).toFixed(0)} MB.`,
      );
  });
console.log(`\n| with rows | ${SMALL}, ms | ${LARGE}, ms | growth for ten times the rows |`);
console.log('|---|---|---|---|');
for (const [name, [small, large]] of Object.entries(sizes))
  row(name, f(small), f(large), (large / small).toFixed(1));
console.log(`\n${(await benchLog(inLido)).join('\n')}`);
console.log(`\n${(await inLido(benchReads)).join('\n')}`);
console.log(`\n${(await inLido(benchInstruments)).join('\n')}`);
process.exit(0);
