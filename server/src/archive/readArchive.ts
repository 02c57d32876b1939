import type { Readable } from 'node:stream';
import { open, type Entry, type ZipFile } from 'yauzl';
import type { Database } from '../database/database.ts';
import {
  replaceWholeShop,
  SHOP_TABLES,
  type ShopTable,
  type ShopWriter,
} from '../database/wholeShop.ts';
import { ProblemError } from '../problem.ts';
import { LINE_SCHEMAS, manifestSchema, rowOf, type Manifest } from './lines.ts';

/** What an archive may unpack to, bytes: a shop of ten years is a tenth of it. */
const MOST_BYTES = 2e9;
const LONGEST_LINE = 1e6;
const AT_ONCE = 500;

const refusal = (detail: string): ProblemError => new ProblemError('bad_archive', detail);

/**
 * Takes an archive in, in the place of what the shop holds: all of it, or nothing.
 *
 * @param file the zip
 * @param isStopped asked between lines; true gives it up
 * @throws {ProblemError} bad_archive, naming file and line; the shop stays as it was
 */
export async function readArchive(input: {
  db: Pick<Database, 'sequelize' | 'write'>;
  shopId: string;
  file: string;
  isStopped?: () => boolean;
}): Promise<Manifest> {
  const { db, shopId, file, isStopped = () => false } = input;
  const zip = await opened(file);
  try {
    const entries = await entriesOf(zip);
    const manifest = await manifestOf(zip, entries);
    await replaceWholeShop(db, shopId, async (writer) => {
      for (const table of Object.keys(SHOP_TABLES) as ShopTable[]) {
        const entry = entries.get(`${table}.jsonl`);
        const count = entry ? await readLines({ zip, entry, table, shopId, writer, isStopped }) : 0;
        const stated = manifest.lines[table] ?? 0;
        if (count !== stated)
          throw refusal(`${table}.jsonl has ${count} lines, and manifest.json says ${stated}.`);
        if (table === 'shops' && count !== 1)
          throw refusal(`shops.jsonl holds ${count} shops; an archive is of one.`);
      }
    });
    return manifest;
  } finally {
    zip.close();
  }
}

function opened(file: string): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    open(file, { lazyEntries: true, autoClose: false }, (error, zip) => {
      if (error)
        reject(refusal('This is no zip that can be read: another file, or only a part of one.'));
      else resolve(zip);
    });
  });
}

const NAMES = new Set([
  'manifest.json',
  'schema.json',
  ...Object.keys(SHOP_TABLES).map((table) => `${table}.jsonl`),
]);

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    let bytes = 0;
    zip.on('error', (error: Error) => reject(refusal(`The zip is broken: ${error.message}.`)));
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: Entry) => {
      const { fileName } = entry;
      bytes += entry.uncompressedSize;
      if (!NAMES.has(fileName))
        return reject(refusal(`${fileName.slice(0, 80)} does not belong into an archive.`));
      if (entries.has(fileName)) return reject(refusal(`${fileName} is in it twice.`));
      if (bytes > MOST_BYTES) return reject(refusal('It unpacks to more than a shop ever holds.'));
      entries.set(fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

function streamOf(zip: ZipFile, entry: Entry): Promise<Readable> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error) reject(refusal(`${entry.fileName} cannot be unpacked: ${error.message}.`));
      else resolve(stream);
    });
  });
}

async function manifestOf(zip: ZipFile, entries: ReadonlyMap<string, Entry>): Promise<Manifest> {
  const entry = entries.get('manifest.json');
  if (!entry || entry.uncompressedSize > LONGEST_LINE)
    throw refusal('It has no manifest.json, so it is no archive of Ratio’s.');
  const parts: Buffer[] = [];
  try {
    for await (const part of await streamOf(zip, entry)) parts.push(part as Buffer);
  } catch (error) {
    throw refusal(`manifest.json cannot be unpacked: ${(error as Error).message}.`);
  }
  const parsed = manifestSchema.safeParse(parsedLine(Buffer.concat(parts).toString()));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw refusal(`manifest.json, ${issue?.path.join('.')}: ${issue?.message}`);
}

async function readLines(input: {
  zip: ZipFile;
  entry: Entry;
  table: ShopTable;
  shopId: string;
  writer: ShopWriter;
  isStopped: () => boolean;
}): Promise<number> {
  const { zip, entry, table, shopId, writer, isStopped } = input;
  const columns = writer.columnsOf(table);
  const schema = LINE_SCHEMAS[table];
  const stream = await streamOf(zip, entry);
  let count = 0;
  let rows: ReturnType<typeof rowOf>[] = [];
  for await (const text of unpacked(stream, table)) {
    count += 1;
    const where = `${table}.jsonl, line ${count}`;
    if (isStopped()) throw refusal('It was stopped. Nothing was changed.');
    if (text.length > LONGEST_LINE) throw refusal(`${where} is too long.`);
    const line = parsedLine(text);
    const parsed = schema.safeParse(line);
    if (!parsed.success) {
      const [issue] = parsed.error.issues;
      throw refusal(`${where}, ${issue?.path.join('.') || 'all of it'}: ${issue?.message}`);
    }
    rows.push(rowOf({ table, line: line as Record<string, unknown>, shopId, columns }));
    if (rows.length < AT_ONCE) continue;
    await add(writer, { table, rows, where });
    rows = [];
  }
  await add(writer, { table, rows, where: `${table}.jsonl` });
  return count;
}

/** Lines of a file, one in memory at a time; a broken line is refused like any other wrong one. */
async function* unpacked(stream: Readable, table: ShopTable): AsyncGenerator<string> {
  let held = '';
  try {
    for await (const part of stream.setEncoding('utf8')) {
      const lines = (held + String(part)).split('\n');
      held = lines.pop()!;
      yield* lines;
      // The reader refuses a line that is too long.
      if (held.length > LONGEST_LINE) yield held;
    }
  } catch (error) {
    throw refusal(`${table}.jsonl cannot be unpacked: ${(error as Error).message}.`);
  }
  if (held !== '') yield held;
}

async function add(
  writer: ShopWriter,
  { table, rows, where }: { table: ShopTable; rows: ReturnType<typeof rowOf>[]; where: string },
): Promise<void> {
  try {
    await writer.add(table, rows);
  } catch (error) {
    throw refusal(`Up to ${where}: ${error instanceof Error ? error.message : 'not taken'}.`);
  }
}

function parsedLine(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
