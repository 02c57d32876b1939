import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { copyFile, mkdir, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { expect } from 'chai';
import { databaseFile } from '../../src/database/checks.ts';
import { openDatabase } from '../../src/database/database.ts';
import { connect } from '../../src/database/connect.ts';
import { doneMigrations, migrator } from '../../src/database/migrate.ts';
import { lidoCoffees } from '../../../demo/lido.ts';
import { inFolder, startServer, stopServer } from '../realServer.ts';

/** How often a start is killed; RATIO_KILLS=100 tries it longer. */
const KILLS = Number(process.env['RATIO_KILLS'] ?? 3);
const OLD_ROWS = 4000;

/** A shop of an earlier version, with a year of pours in one jug. */
async function oldDatabase(dataDir: string): Promise<void> {
  const sequelize = await connect(databaseFile(dataDir));
  await migrator(sequelize).up({ to: '20261126-drinks-in-full' });
  const jug = {
    label: 'Rocks, blue bucket',
    strengthFrac: 0.036,
    readBy: 'prediction',
    caffeineMgPerG: 2,
    pricePerKg: null,
    madeAt: '2026-07-13T05:30:00.000Z',
    useBy: '2026-07-20T05:30:00.000Z',
  };
  await sequelize.query(`INSERT INTO jugs (id, version, body) VALUES ('jug', 1, :body)`, {
    replacements: { body: JSON.stringify(jug) },
  });
  await sequelize.query(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${OLD_ROWS})
    INSERT INTO jug_entries (id, jug_id, kind, mass_g, note, at)
    SELECT 'row-' || i, 'jug', CASE i WHEN 1 THEN 'filled' ELSE 'poured' END,
      CASE i WHEN 1 THEN 9000 ELSE -1 END, '', '2026-07-13T05:30:00.000Z' FROM n`);
  await sequelize.close();
}

/** Waits until a server has begun to write its database. */
async function untilItWrites(dataDir: string): Promise<void> {
  while (!existsSync(path.join(dataDir, 'ratio.sqlite-wal'))) await wait(1);
}

/** Starts a server, and kills it so long after it began to write. */
async function killedStart(dataDir: string, afterMs: number): Promise<void> {
  const server = await startServer(dataDir);
  await untilItWrites(dataDir);
  await wait(afterMs);
  server.child.kill('SIGKILL');
  await server.ended;
}

/** How long a start writes before it listens, ms. */
async function writingMs(dataDir: string): Promise<number> {
  const server = await startServer(dataDir);
  await untilItWrites(dataDir);
  const from = performance.now();
  await server.url;
  const tookMs = performance.now() - from;
  await stopServer(server);
  return tookMs;
}

async function startsWith(dataDir: string, jugs: number): Promise<void> {
  const server = await startServer(dataDir);
  const answer = await fetch(`${await server.url}/api/jugs`);
  expect(await answer.json()).to.have.length(jugs);
  expect(await stopServer(server)).to.equal(0);
}

describe('a start that is killed', () => {
  async function tryKills(make: (dataDir: string) => Promise<void>, jugs: number): Promise<void> {
    const tookMs = await inFolder(async (dataDir) => {
      await make(dataDir);
      return writingMs(dataDir);
    });
    for (let kill = 0; kill < KILLS; kill++)
      await inFolder(async (dataDir) => {
        await make(dataDir);
        await killedStart(dataDir, ((kill + 0.5) / KILLS) * tookMs);
        await startsWith(dataDir, jugs);
      });
  }

  it('ends in a start the next time: an empty folder', async function () {
    this.timeout(60_000 + 15_000 * KILLS);
    await tryKills(async () => undefined, 0);
  });

  it('ends in a start the next time: the database of an earlier version', async function () {
    this.timeout(60_000 + 15_000 * KILLS);
    await inFolder(async (template) => {
      await oldDatabase(template);
      await tryKills(async (dataDir) => {
        await copyFile(path.join(template, 'ratio.sqlite'), path.join(dataDir, 'ratio.sqlite'));
      }, 1);
    });
  });

  it('never shows another one a file that is begun and not written', async () => {
    // A second opening at every moment of the first one.
    for (let delayMs = 0; delayMs < 25; delayMs++)
      await inFolder(async (dataDir) => {
        const first = openDatabase(dataDir);
        await new Promise((resolve) => setTimeout(resolve, delayMs));
        const second = openDatabase(dataDir);
        for (const db of await Promise.all([first, second])) await db.close();
      });
  }).timeout(60_000);

  it('lets two servers start at once over one folder', async () => {
    await inFolder(async (dataDir) => {
      const servers = await Promise.all([startServer(dataDir), startServer(dataDir)]);
      for (const url of await Promise.all(servers.map((server) => server.url)))
        expect((await fetch(`${url}/api/health`)).status).to.equal(200);
      for (const server of servers) await stopServer(server);
    });
  }).timeout(60_000);
});

describe('a start that cannot be', () => {
  const [FILE, COPY] = ['ratio.sqlite', 'backups/2026-06-12.sqlite'];
  const sql = async (file: string, ...texts: string[]): Promise<void> => {
    const sequelize = await connect(file);
    for (const text of texts) await sequelize.query(text);
    await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)');
    await sequelize.close();
  };
  const ratios = async (file: string): Promise<void> => {
    const sequelize = await connect(file);
    await migrator(sequelize).up();
    await sequelize.close();
  };
  const damage = async (file: string): Promise<void> => {
    await ratios(file);
    await sql(file, 'PRAGMA page_size');
    const bytes = await readFile(file);
    bytes.fill(0x5a, 4096 * 3, 4096 * 6);
    await writeFile(file, bytes);
  };
  const rows: {
    name: string;
    prepare?: (file: string, dataDir: string) => Promise<unknown>;
    env?: Record<string, string>;
    says: RegExp;
  }[] = [
    {
      name: 'an empty file',
      prepare: (file) => writeFile(file, ''),
      says: /ratio\.sqlite is empty.*There is no copy in backups/,
    },
    {
      name: 'an empty file, with a copy beside it',
      prepare: async (file, dataDir) => {
        await writeFile(file, '');
        await mkdir(path.join(dataDir, 'backups'));
        await writeFile(path.join(dataDir, COPY), 'a copy');
      },
      says: /npm run restore -- .*backups\/2026-06-12\.sqlite/,
    },
    {
      name: 'something else under its name',
      prepare: (file) => writeFile(file, 'a shopping list, long enough for a header'),
      says: /no SQLite database/,
    },
    {
      name: 'another program’s database',
      prepare: (file) => sql(file, 'CREATE TABLE songs (id)'),
      says: /belongs to another program\. Set RATIO_DATA/,
    },
    {
      name: 'another program’s database, signed',
      prepare: (file) => sql(file, 'PRAGMA application_id = 7'),
      says: /belongs to another program/,
    },
    {
      name: 'a database from a newer Ratio',
      prepare: async (file) => {
        await ratios(file);
        await sql(file, "INSERT INTO sequelize_meta VALUES ('20991231-flying-jugs')");
      },
      says: /written by a newer Ratio \(20991231-flying-jugs\)/,
    },
    { name: 'a damaged page', prepare: damage, says: /is damaged \(.+\)/ },
    {
      name: 'a file in the folder’s place',
      env: { RATIO_DATA: '/dev/null/shop' },
      says: /The folder \/dev\/null\/shop cannot be written to \(ENOTDIR\)/,
    },
    { name: 'a wrong variable', env: { RATIO_PORT: 'coffee' }, says: /RATIO_PORT: / },
    {
      name: 'an address of another machine',
      env: { RATIO_HOST: '203.0.113.7' },
      says: /203\.0\.113\.7 is no address of this machine/,
    },
  ];
  for (const { name, prepare, env, says } of rows)
    it(`says so in one sentence: ${name}`, () =>
      inFolder(async (dataDir) => {
        await prepare?.(path.join(dataDir, FILE), dataDir);
        const server = await startServer(dataDir, env);
        expect(await server.ended).to.equal(1);
        expect(server.said()).to.match(/^Ratio cannot start\. /);
        expect(server.said().trim().split('\n'), 'no stack').to.have.length(1);
        expect(server.said()).to.match(says);
      })).timeout(60_000);

  it('says that the port is taken', () =>
    inFolder(async (dataDir) => {
      const first = await startServer(dataDir);
      const RATIO_PORT = new URL(await first.url).port;
      const second = await startServer(dataDir, { RATIO_PORT });
      expect(await second.ended).to.equal(1);
      expect(second.said()).to.match(/^Ratio cannot start\. Port \d+ is in use already/);
      await stopServer(first);
    })).timeout(60_000);
});

describe('a server', () => {
  it('copies a database of an earlier version before it changes it', () =>
    inFolder(async (dataDir) => {
      await oldDatabase(dataDir);
      await startsWith(dataDir, 1);
      const [copy, ...others] = await readdir(path.join(dataDir, 'backups'));
      expect(copy).to.match(/before-update\.sqlite$/);
      expect(others).to.deep.equal([]);
      const sequelize = await connect(path.join(dataDir, 'backups', copy!), { readOnly: true });
      const [rows] = await sequelize.query('SELECT COUNT(*) AS n FROM jug_entries');
      expect(rows).to.deep.equal([{ n: OLD_ROWS }]);
      expect(await doneMigrations(sequelize)).to.include('20261126-drinks-in-full');
      expect(await doneMigrations(sequelize)).not.to.include('20261127-shops-and-authors');
      await sequelize.close();
    })).timeout(60_000);

  it('keeps what it writes to its owner', () =>
    inFolder(async (parent) => {
      const dataDir = path.join(parent, 'data');
      const server = await startServer(dataDir);
      await server.url;
      const modes = [dataDir, ...(await readdir(dataDir)).map((name) => path.join(dataDir, name))];
      for (const file of modes) expect((await stat(file)).mode & 0o077, file).to.equal(0);
      await stopServer(server);
    })).timeout(60_000);

  it('stops in order while it is busy, and leaves the whole shop in one file', () =>
    inFolder(async (dataDir) => {
      const server = await startServer(dataDir);
      const url = await server.url;
      let answered = 0;
      const busy = Array.from({ length: 10 }, async () => {
        for (;;) {
          const ok = await fetch(`${url}/api/jugs`).then(
            (answer) => answer.json(),
            () => null,
          );
          if (ok === null) return;
          answered += 1;
        }
      });
      const events = fetch(`${url}/api/changes`).then((answer) => answer.text());
      await wait(300);
      expect(await stopServer(server)).to.equal(0);
      await Promise.all([...busy, events]);
      expect(answered).to.be.above(10);
      expect(await readdir(dataDir)).to.deep.equal(['ratio.sqlite']);
    })).timeout(60_000);

  it('says that the disk is full, in health too, and goes on when there is room', async function () {
    this.timeout(60_000);
    await inFolder(async (dataDir) => {
      // A disk of its own, where this user may make one.
      const mount = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=1m', 'tmpfs', dataDir]);
      if (mount.status !== 0) this.skip();
      try {
        const server = await startServer(dataDir);
        const url = await server.url;
        const health = async () => (await fetch(`${url}/api/health`)).json();
        const save = (id: string) =>
          fetch(`${url}/api/coffees/${id}`, {
            method: 'PUT',
            headers: { 'Content-Type': 'application/json', 'If-Match': '"0"' },
            body: JSON.stringify({ ...lidoCoffees[0], id: undefined, name: `Roast ${id}` }),
          });
        expect((await save('first')).status).to.equal(200);
        expect(await health()).to.include({ status: 'ok', disk: 'low' });
        await writeFile(path.join(dataDir, 'filler'), Buffer.alloc(1e6)).catch(() => undefined);
        const refused = await save('second');
        expect(refused.status).to.equal(507);
        expect(await refused.json()).to.include({ code: 'disk_full' });
        expect(await health()).to.include({ status: 'failing', database: 'disk_full' });
        await rm(path.join(dataDir, 'filler'));
        expect((await save('second')).status).to.equal(200);
        expect(await health()).to.include({ status: 'ok', database: 'ok' });
        await stopServer(server);
      } finally {
        spawnSync('umount', [dataDir]);
      }
    });
  });
});
