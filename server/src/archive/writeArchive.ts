import { once } from 'node:events';
import { PassThrough, type Writable } from 'node:stream';
import { ZipFile } from 'yazl';
import { z } from 'zod';
import type { Database } from '../database/database.ts';
import { readWholeShop, SHOP_TABLES, type ShopTable } from '../database/wholeShop.ts';
import { ARCHIVE_VERSION, LINE_SCHEMAS, lineOf, type Manifest } from './lines.ts';

// The same shop gives the same bytes, whenever it is written down.
const ENTRY = { mtime: new Date(1980, 0, 1), mode: 0o100600, compress: true } as const;

/** Writes all of a shop as a zip of JSON Lines, with its schema; people and their secrets stay. */
export async function writeArchive(
  db: Pick<Database, 'sequelize'>,
  shopId: string,
  to: Writable,
): Promise<void> {
  const zip = new ZipFile();
  zip.outputStream.pipe(to);
  const lines: Record<string, number> = {};
  let current: { table: ShopTable; stream: PassThrough } | null = null;

  async function begin(table: ShopTable): Promise<PassThrough> {
    if (current?.table === table) return current.stream;
    current?.stream.end();
    const stream = new PassThrough();
    zip.addReadStream(stream, `${table}.jsonl`, ENTRY);
    current = { table, stream };
    lines[table] = 0;
    return stream;
  }

  await readWholeShop(db, shopId, async (table, rows) => {
    const stream = await begin(table);
    lines[table]! += rows.length;
    const text = rows.map((row) => `${JSON.stringify(lineOf(table, row))}\n`).join('');
    // As fast as it is taken away, so that little lies in memory.
    if (!stream.write(text)) await Promise.race([once(stream, 'drain'), once(to, 'close')]);
    if (to.destroyed) throw new Error('Nobody takes the archive any more.');
  });
  current = end(current);
  const manifest: Manifest = { format: 'ratio-archive', version: ARCHIVE_VERSION, lines };
  zip.addBuffer(jsonOf(manifest), 'manifest.json', ENTRY);
  zip.addBuffer(jsonOf(archiveSchema()), 'schema.json', ENTRY);
  zip.end();
}

function end(current: { stream: PassThrough } | null): null {
  current?.stream.end();
  return null;
}

const jsonOf = (value: unknown): Buffer => Buffer.from(`${JSON.stringify(value, null, 2)}\n`);

/** @returns JSON Schema of every file's lines */
const archiveSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'An archive of Ratio',
  description:
    'One JSON object a line in each file. Units are in the names: G, Ml, C, Frac 0–1, Mg; times are ISO 8601 in UTC.',
  version: ARCHIVE_VERSION,
  files: Object.fromEntries(
    (Object.keys(SHOP_TABLES) as ShopTable[]).map((table) => [
      `${table}.jsonl`,
      z.toJSONSchema(LINE_SCHEMAS[table], { io: 'input', unrepresentable: 'any' }),
    ]),
  ),
});
