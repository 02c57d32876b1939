import type { Writable } from 'node:stream';
import Papa from 'papaparse';
import type { Database } from '../database/database.ts';
import { readTable, type ShopTable } from '../database/wholeShop.ts';
import { lineOf } from './lines.ts';

/** Lists that can be had as a table, by the name in the address. */
export const CSV_LISTS: Readonly<Record<string, ShopTable>> = {
  coffees: 'coffees',
  vessels: 'vessels',
  pantry: 'pantry_items',
  'house-recipes': 'house_recipes',
  opened: 'opened_items',
  drinks: 'drinks',
  'drink-versions': 'drink_versions',
  samples: 'sample_sets',
  batches: 'batches',
  actuals: 'batch_actuals',
  jugs: 'jugs',
  entries: 'jug_entries',
  days: 'day_rows',
  tastings: 'tastings',
};

/** Nested parts as `plan.doseG`; what has no columns of its own, such as a list, as JSON. */
function flat(line: Readonly<Record<string, unknown>>, prefix = ''): [string, unknown][] {
  return Object.entries(line).flatMap(([key, value]): [string, unknown][] => {
    const name = `${prefix}${key}`;
    if (Array.isArray(value)) return [[name, JSON.stringify(value)]];
    if (typeof value === 'object' && value !== null)
      return flat(value as Record<string, unknown>, `${name}.`);
    return [[name, value]];
  });
}

/**
 * Writes a list as CSV (RFC 4180). What a spreadsheet would take for a formula is written as text.
 */
export async function writeCsv(
  db: Pick<Database, 'sequelize'>,
  input: { list: string; shopId: string },
  to: Writable,
): Promise<void> {
  const table = CSV_LISTS[input.list]!;
  // The columns of every row are known before the first is written.
  const names = new Set<string>();
  await readTable(db, { table, shopId: input.shopId }, async (rows) => {
    for (const row of rows) for (const [name] of flat(lineOf(table, row))) names.add(name);
  });
  const fields = [...names];
  const written = (data: unknown[][]): string =>
    `${Papa.unparse(data, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
  to.write(written([fields]));
  await readTable(db, { table, shopId: input.shopId }, async (rows) => {
    const data = rows.map((row) => {
      const cells = new Map(flat(lineOf(table, row)));
      return fields.map((field) => cells.get(field) ?? '');
    });
    to.write(written(data));
  });
  to.end();
}
