import { QueryTypes, Transaction, type Sequelize } from 'sequelize';
import { runPrepared } from './connect.ts';
import type { Database } from './database.ts';

/** The tables of a shop in the order in which they are written down, and by what each is ordered. */
export const SHOP_TABLES = {
  shops: 'id',
  coffees: 'id',
  vessels: 'id',
  pantry_items: 'id',
  house_recipes: 'id',
  opened_items: 'id',
  drinks: 'id',
  drink_versions: 'seq',
  drafts: 'id',
  sample_sets: 'id',
  instruments: 'id',
  probe_samples: 'seq',
  batches: 'id',
  batch_actuals: 'seq',
  batch_photos: 'seq',
  step_photos: 'seq',
  jugs: 'id',
  jug_entries: 'seq',
  day_rows: 'seq',
  learned_versions: 'seq',
  tastings: 'seq',
  blind_tests: 'id',
} as const;
export type ShopTable = keyof typeof SHOP_TABLES;
/** A row as it lies in its table, its JSON parsed, without shop and place. */
export type StoredRow = Readonly<Record<string, unknown>>;

const AT_ONCE = 500;
/** Columns that hold JSON. */
const JSON_COLUMNS = ['body', 'drink', 'request', 'learned', 'said'];

/** Reads all of a shop as it is at one moment, however much is written meanwhile. */
export async function readWholeShop(
  { sequelize }: Pick<Database, 'sequelize'>,
  shopId: string,
  each: (table: ShopTable, rows: readonly StoredRow[]) => Promise<void>,
): Promise<void> {
  // The first query of a deferred transaction fixes what it sees.
  await sequelize.transaction({ type: Transaction.TYPES.DEFERRED }, async (transaction) => {
    for (const table of Object.keys(SHOP_TABLES) as ShopTable[])
      for await (const rows of pages(sequelize, { table, shopId, transaction }))
        await each(table, rows);
  });
}

/** Rows of one table, so many at a time. */
export async function readTable(
  { sequelize }: Pick<Database, 'sequelize'>,
  input: { table: ShopTable; shopId: string },
  each: (rows: readonly StoredRow[]) => Promise<void>,
): Promise<void> {
  for await (const rows of pages(sequelize, { ...input, transaction: null })) await each(rows);
}

async function* pages(
  sequelize: Sequelize,
  input: { table: ShopTable; shopId: string; transaction: Transaction | null },
): AsyncGenerator<readonly StoredRow[]> {
  const { table, shopId, transaction } = input;
  const key = SHOP_TABLES[table];
  let last: unknown = key === 'seq' ? -1 : '';
  // By its place in the table: an index of the shop would be sorted anew for every page.
  const mine = key === 'seq' ? '+shop_id' : 'shop_id';
  for (;;) {
    const rows = await sequelize.query<Record<string, unknown>>(
      `SELECT * FROM "${table}" WHERE ${mine} = :shopId AND ${key} > :last ORDER BY ${key} LIMIT ${AT_ONCE}`,
      { replacements: { shopId, last }, type: QueryTypes.SELECT, transaction },
    );
    if (rows.length === 0) return;
    last = rows.at(-1)![key];
    yield rows.map(({ shop_id: _, seq: __, ...row }) => parsed(row));
  }
}

const parsed = (row: Record<string, unknown>): StoredRow =>
  Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      JSON_COLUMNS.includes(key) && typeof value === 'string' ? JSON.parse(value) : value,
    ]),
  );

/** Writes rows into a shop that is being replaced. */
export interface ShopWriter {
  /** Columns of a table, without shop and place. */
  readonly columnsOf: (table: ShopTable) => readonly string[];
  readonly add: (table: ShopTable, rows: readonly StoredRow[]) => Promise<void>;
}

/**
 * Puts another content in the place of a shop's, all of it or nothing.
 *
 * @param fill adds the rows; what it throws leaves the shop as it was
 */
export async function replaceWholeShop(
  { sequelize, write }: Pick<Database, 'sequelize' | 'write'>,
  shopId: string,
  fill: (writer: ShopWriter) => Promise<void>,
): Promise<void> {
  await write(async (transaction) => {
    const columns = new Map<string, string[]>();
    for (const table of Object.keys(SHOP_TABLES)) {
      const info = await sequelize.query<{ name: string }>(`PRAGMA table_info("${table}")`, {
        type: QueryTypes.SELECT,
        transaction,
      });
      const names = info.map(({ name }) => name);
      columns.set(
        table,
        names.filter((name) => !['shop_id', 'seq'].includes(name)),
      );
      await sequelize.query(`DELETE FROM "${table}" WHERE shop_id = :shopId`, {
        replacements: { shopId },
        transaction,
      });
    }
    await fill({
      columnsOf: (table) => columns.get(table)!,
      add: async (table, rows) => {
        const names = columns.get(table)!;
        const into = `INSERT INTO "${table}" (shop_id, ${names.map((name) => `"${name}"`).join()})
          VALUES (?, ${names.map(() => '?').join()})`;
        await runPrepared(
          transaction,
          into,
          rows.map((row) => [shopId, ...names.map((name) => stored(row[name]))]),
        );
      },
    });
  });
}

const stored = (value: unknown): unknown =>
  value === undefined
    ? null
    : typeof value === 'object' && value !== null
      ? JSON.stringify(value)
      : value;
