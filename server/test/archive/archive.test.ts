import { readFile, writeFile } from 'node:fs/promises';
import type { Server } from 'node:http';
import { once } from 'node:events';
import path from 'node:path';
import { expect } from 'chai';
import Papa from 'papaparse';
import { ZipFile } from 'yazl';
import { readArchive } from '../../src/archive/readArchive.ts';
import { openDatabase } from '../../src/database/database.ts';
import { openShop } from '../../src/shop/openShop.ts';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';
import { inFolder } from '../realServer.ts';

type Files = Record<string, string | Buffer>;
async function zipOf(files: Files): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  const parts: Buffer[] = [];
  for await (const part of zip.outputStream) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

describe('an archive', () => {
  let server: LidoServer;
  let listening: Server;
  let url: string;
  beforeEach(async () => {
    server = await openLidoServer();
    listening = server.app.listen(0);
    await once(listening, 'listening');
    url = `http://127.0.0.1:${(listening.address() as { port: number }).port}`;
  });
  afterEach(async () => {
    listening.closeAllConnections();
    listening.close();
    await server.close();
  });
  const archive = async (): Promise<Buffer> =>
    Buffer.from(await (await fetch(`${url}/api/archive`)).arrayBuffer());
  const send = async (body: Buffer, type = 'application/zip') => {
    const answer = await fetch(`${url}/api/archive`, {
      method: 'POST',
      headers: { 'Content-Type': type },
      body: new Uint8Array(body),
    });
    return { status: answer.status, said: (await answer.json()) as { detail: string } };
  };
  const jugs = async () => (await (await fetch(`${url}/api/jugs`)).json()) as object[];

  it('holds nothing that gives access: neither people nor the calendar’s secret address', async () => {
    const before = await archive();
    await fetch(`${url}/api/calendar/key`, { method: 'POST' });
    expect((await archive()).equals(before)).to.equal(true);
  });

  it('gives the same shop on another machine, byte for byte when it is exported again', async () => {
    const before = await archive();
    await inFolder(async (dataDir) => {
      const db = await openDatabase(dataDir);
      // Another machine calls its shop something else.
      await openShop({ db, shopId: 'harbour' });
      const file = path.join(dataDir, 'lido.zip');
      await writeFile(file, before);
      const { lines } = await readArchive({ db, shopId: 'harbour', file });
      expect(lines).to.include({ shops: 1, jugs: 3 });
      expect((await db.jugs.list('harbour')).length).to.equal(3);
      expect((await db.shops.get('harbour', 'harbour')).name).to.equal(
        (await server.db.shops.get('lido', 'lido')).name,
      );
      await db.close();
    });
    await fetch(`${url}/api/jugs/lido-jug-1/entries`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ id: 'after', kind: 'poured', massG: 10 }),
    });
    expect((await archive()).equals(before)).to.equal(false);
    expect((await send(before)).status).to.equal(200);
    expect((await archive()).equals(before)).to.equal(true);
  }).timeout(90_000);

  const good = async (): Promise<Files> => {
    const files: Files = {};
    const { open } = await import('yauzl');
    const zip = await archive();
    await new Promise<void>((resolve, reject) => {
      const file = path.join(server.dataDir, 'out.zip');
      void writeFile(file, zip).then(() =>
        open(file, { lazyEntries: true }, (error, of) => {
          if (error) return reject(error);
          of.on('end', resolve);
          of.on('entry', (entry: { fileName: string }) =>
            of.openReadStream(entry as never, async (wrong, stream) => {
              if (wrong) return reject(wrong);
              const parts: Buffer[] = [];
              for await (const part of stream) parts.push(part as Buffer);
              files[entry.fileName] = Buffer.concat(parts).toString();
              of.readEntry();
            }),
          );
          of.readEntry();
        }),
      );
    });
    return files;
  };
  const changed =
    (name: string, change: (text: string) => string) =>
    (files: Files): Files => ({ ...files, [name]: change(String(files[name])) });
  const withLine = (name: string, line: string) => (files: Files) => {
    const manifest = JSON.parse(String(files['manifest.json'])) as {
      lines: Record<string, number>;
    };
    const table = name.replace('.jsonl', '');
    manifest.lines[table]! += 1;
    return {
      ...files,
      'manifest.json': JSON.stringify(manifest),
      [name]: `${String(files[name])}${line}\n`,
    };
  };

  for (const [name, change, says] of [
    ['a text', null, /no zip/],
    ['a zip of something else', () => ({ 'a.txt': 'x' }), /a\.txt does not belong/],
    ['no manifest', ({ 'manifest.json': _, ...rest }: Files) => rest, /no manifest\.json/],
    [
      'a version to come',
      changed('manifest.json', (text) => text.replace('"version": 1', '"version": 99')),
      /manifest\.json, version/,
    ],
    [
      'a line that is no JSON',
      withLine('coffees.jsonl', '{"id": "x"'),
      /coffees\.jsonl, line \d+, all of it/,
    ],
    [
      'a value that nothing can use',
      changed('jugs.jsonl', (text) => text.replace(/"onHandG":[\d.]+/, '"onHandG":"NaN"')),
      /jugs\.jsonl, line 1, onHandG/,
    ],
    [
      'a line twice',
      (files: Files) =>
        withLine('vessels.jsonl', String(files['vessels.jsonl']).split('\n')[0]!)(files),
      /vessels\.jsonl.*(?:Validation|UNIQUE)/i,
    ],
    [
      'lines that are missing',
      changed('jug_entries.jsonl', (text) => text.split('\n').slice(3).join('\n')),
      /jug_entries\.jsonl has \d+ lines, and manifest\.json says/,
    ],
    [
      'a line without end',
      withLine('coffees.jsonl', `{"name": "${'x'.repeat(1.2e6)}"}`),
      /line \d+ is too long/,
    ],
  ] as const)
    it(`with ${name} changes nothing and says where`, async () => {
      const before = await jugs();
      const body =
        change === null
          ? Buffer.from('a shopping list')
          : await zipOf(change(await good()) as Files);
      const { status, said } = await send(body);
      expect(said.detail).to.match(says);
      expect(status).to.equal(422);
      expect(await jugs()).to.deep.equal(before);
    }).timeout(90_000);

  it('whose file leads out of its folder changes nothing', async () => {
    const zip = await zipOf({ ...(await good()), 'x/aa/y.jsonl': 'x' });
    const evil = Buffer.from(zip.toString('latin1').replaceAll('x/aa/y', 'x/../y'), 'latin1');
    const { status, said } = await send(evil);
    expect([status, said.detail]).to.deep.equal([
      422,
      'The zip is broken: invalid relative path: x/../y.jsonl.',
    ]);
  });

  it('that is cut off changes nothing', async () => {
    const whole = await archive();
    const before = await jugs();
    expect((await send(whole.subarray(0, whole.length - 300))).status).to.equal(422);
    const broken = Buffer.from(whole);
    broken.fill(7, 2000, 2100);
    const { status, said } = await send(broken);
    expect(status, said.detail).to.equal(422);
    expect((await send(whole, 'text/plain')).status).to.equal(415);
    expect(await jugs()).to.deep.equal(before);
  }).timeout(90_000);

  it('describes its lines by a schema', async () => {
    const files = await good();
    const schema = JSON.parse(String(files['schema.json'])) as { files: Record<string, object> };
    expect(Object.keys(schema.files)).to.include.members(['jugs.jsonl', 'jug_entries.jsonl']);
    expect(JSON.stringify(schema.files['jugs.jsonl'])).to.contain('onHandG');
  });

  it('has every list as CSV, and no cell that a spreadsheet would run', async () => {
    const { id: _, version: __, ...coffee } = (await server.db.coffees.list('lido'))[0]!;
    const evil = '=HYPERLINK("http://evil.example")';
    await server.db.coffees.save(
      { shopId: 'lido', author: 'unsigned' },
      { id: 'evil', seenVersion: 0, body: { ...coffee, name: evil } },
    );
    const text = await (await fetch(`${url}/api/export/coffees.csv`)).text();
    const { data } = Papa.parse<Record<string, string>>(text, {
      header: true,
      skipEmptyLines: true,
    });
    const row = data.find(({ id }) => id === 'evil')!;
    expect(row['name']).to.equal(`'${evil}`);
    expect(Number(row['pricePerKg'])).to.equal(coffee.pricePerKg);
    for (const list of ['jugs', 'entries', 'batches', 'drinks', 'actuals', 'house-recipes'])
      expect((await fetch(`${url}/api/export/${list}.csv`)).status).to.equal(200);
    expect((await fetch(`${url}/api/export/people.csv`)).status).to.equal(404);
    const entries = await (await fetch(`${url}/api/export/entries.csv`)).text();
    expect(entries.split('\r\n')[0]).to.contain('massG');
    expect(await readFile(path.join(server.dataDir, 'ratio.sqlite'))).to.have.length.above(1000);
  });
});
