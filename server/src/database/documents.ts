import {
  DataTypes,
  literal,
  Op,
  type Model,
  type ModelAttributes,
  type ModelStatic,
  type Order,
  type Sequelize,
  type Transaction,
} from 'sequelize';
import type { z } from 'zod';
import type { Caller } from '../caller.ts';
import { ProblemError } from '../problem.ts';
import { completed } from './completed.ts';
import type { RememberedRead } from './rememberReads.ts';
import type { WriteTransaction } from './writeTransaction.ts';

/** A stored document: who it is, and how often it has been written. */
export interface Identified {
  readonly id: string;
  readonly version: number;
}
type Body<T> = Omit<T, 'id' | 'version'>;

/** A table of documents: what each is called, and which of its keys are columns of their own. */
export interface DocumentTable<T> {
  readonly name: string;
  readonly what: string;
  /** Keys by which lists are sorted, filtered or summed; the others lie in the body together. */
  readonly columns?: { readonly [K in keyof Body<T>]?: 'text' | 'number' };
  readonly order?: readonly (readonly [keyof Body<T> & string, 'ASC' | 'DESC'])[];
  /** What a document is by now: one that was written before a field existed is read with its usual value. */
  readonly schema?: z.ZodType<Partial<T>>;
}

/** A document to write, and the version that the writer saw: 0 for a new one, null for none. */
export interface Save<T> {
  readonly id: string;
  readonly seenVersion: number | null;
  readonly body: Body<T>;
}
export type Remove = Pick<Save<unknown>, 'id' | 'seenVersion'>;

/** The documents of one table, each shop's its own. */
export interface Documents<T extends Identified> {
  /** All of a shop's, or those whose columns are above something, or are something. */
  readonly list: (
    shopId: string,
    only?: {
      readonly above?: { readonly [K in keyof T]?: number };
      readonly is?: { readonly [K in keyof T]?: T[K] };
      /** At most so many, from the end of the table's order. */
      readonly last?: number;
    },
    transaction?: Transaction,
  ) => Promise<T[]>;
  readonly find: (shopId: string, id: string, transaction?: Transaction) => Promise<T | null>;
  /** @throws {ProblemError} not_found, naming what is missing */
  readonly get: (shopId: string, id: string, transaction?: Transaction) => Promise<T>;
  /**
   * Writes a document that somebody saw in a version, or makes a new one.
   *
   * @throws {ProblemError} version_required without a version; stale, with the current document,
   *   where somebody else wrote first
   */
  readonly save: (caller: Caller, save: Save<T>, transaction?: Transaction) => Promise<T>;
  /** Which of some identities are taken. */
  readonly taken: (
    shopId: string,
    ids: readonly string[],
    transaction: Transaction,
  ) => Promise<ReadonlySet<string>>;
  /** Makes many new ones at once; none of their identities may be taken. */
  readonly addAll: (
    caller: Caller,
    documents: readonly Pick<Save<T>, 'id' | 'body'>[],
    transaction: Transaction,
  ) => Promise<void>;
  /**
   * Writes down anew what a document states of something else, its version staying: nobody edits that.
   *
   * @throws {ProblemError} not_found
   */
  readonly update: (
    caller: Caller,
    document: Pick<Save<T>, 'id' | 'body'>,
    transaction: Transaction,
  ) => Promise<void>;
  /** @throws {ProblemError} version_required, stale, not_found */
  readonly remove: (caller: Caller, remove: Remove, transaction?: Transaction) => Promise<void>;
  /** Shops that have any, in order. */
  readonly shopIds: () => Promise<string[]>;
}

interface Row extends Model {
  readonly shopId: string;
  readonly id: string;
  readonly version: number;
}

const COLUMN_TYPES = { text: DataTypes.STRING, number: DataTypes.DOUBLE } as const;

/** @returns the repository of a table of documents */
export function createDocuments<T extends Identified>(
  {
    sequelize,
    write,
    remembered,
    unreadable,
  }: {
    sequelize: Sequelize;
    write: WriteTransaction;
    /** Reads outside of a transaction. */
    remembered: RememberedRead;
    /** Documents whose text is broken, as they are met: the others are there without them. */
    unreadable: Set<string>;
  },
  table: DocumentTable<T>,
): Documents<T> {
  const columns = Object.entries(table.columns ?? {}) as [string, keyof typeof COLUMN_TYPES][];
  const model = sequelize.define<Row>(
    table.name,
    {
      shopId: { type: DataTypes.STRING(64), primaryKey: true },
      id: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      ...Object.fromEntries(columns.map(([key, type]) => [key, { type: COLUMN_TYPES[type] }])),
      body: { type: DataTypes.JSON, allowNull: false },
    } as ModelAttributes<Row>,
    { tableName: table.name },
  ) as ModelStatic<Row>;

  const where = (shopId: string, id: string) => ({ where: { shopId, id } });
  // Raw rows cost a quarter of instances; Sequelize leaves JSON in them as text.
  function documentOf(row: Record<string, unknown>): T {
    const stored = {
      ...(JSON.parse(row['body'] as string) as object),
      ...Object.fromEntries(columns.map(([key]) => [key, row[key]])),
      id: row['id'],
      version: row['version'],
    };
    return completed(table.schema, stored) as T;
  }

  function readable(row: Record<string, unknown>): T | null {
    try {
      // Remembered, it is everybody's: nobody changes it.
      return deepFreeze(documentOf(row));
    } catch {
      unreadable.add(`${table.what} ${String(row['id'])}`);
      return null;
    }
  }

  /** A document's columns, and the rest of it in one. */
  function storedOf(document: Body<T>): Record<string, unknown> {
    for (const [key, value] of Object.entries(document))
      // SQLite would keep it as a text, and JSON as nothing.
      if (typeof value === 'number' && !Number.isFinite(value))
        throw new Error(`${table.what}: ${key} is ${value}.`);
    const isColumn = (key: string): boolean => columns.some(([name]) => name === key);
    const entries = Object.entries(document);
    return {
      ...Object.fromEntries(entries.filter(([key]) => isColumn(key))),
      body: Object.fromEntries(entries.filter(([key]) => !isColumn(key))),
    };
  }

  async function find(shopId: string, id: string, transaction?: Transaction): Promise<T | null> {
    const read = async (): Promise<{ document: T | null } | null> => {
      const row = await model.findOne({
        ...where(shopId, id),
        raw: true,
        transaction: transaction ?? null,
      });
      return row && { document: readable(row as unknown as Record<string, unknown>) };
    };
    const found = await (transaction
      ? read()
      : remembered(JSON.stringify([table.name, shopId, id]), read));
    if (!found) return null;
    if (found.document) return found.document;
    throw new ProblemError(
      'not_possible_now',
      `The ${table.what} “${id}” is damaged and cannot be read. Restore a backup from before.`,
    );
  }

  async function get(shopId: string, id: string, transaction?: Transaction): Promise<T> {
    const found = await find(shopId, id, transaction);
    if (found === null) throw new ProblemError('not_found', `There is no ${table.what} “${id}”.`);
    return found;
  }

  /** The document as long as it is still what the writer saw; null for a new one. */
  async function seen(
    shopId: string,
    { id, seenVersion }: Remove,
    transaction: Transaction,
  ): Promise<T | null> {
    if (seenVersion === null)
      throw new ProblemError(
        'version_required',
        'Send the version that you saw as If-Match, 0 for a new one.',
      );
    const current = await find(shopId, id, transaction);
    if (seenVersion !== (current?.version ?? 0))
      throw new ProblemError('stale', 'Somebody else changed this first. Keep one of the two.', {
        current,
      });
    return current;
  }

  /** By the table's keys, or else as they were made. */
  const order = (): Order =>
    table.order?.map(([key, direction]) => [key, direction] as [string, string]) ?? [
      literal('rowid'),
    ];

  const backwards = (): Order =>
    (table.order ?? []).map(([key, direction]) => [key, direction === 'ASC' ? 'DESC' : 'ASC']);

  const inTransaction = <R>(
    transaction: Transaction | undefined,
    work: (own: Transaction) => Promise<R>,
  ): Promise<R> => (transaction ? work(transaction) : write(work));

  return {
    list: async (shopId, { above = {}, is = {}, last } = {}, transaction) => {
      const beyond = Object.entries(above).map(([key, value]) => [key, { [Op.gt]: value }]);
      const read = async (): Promise<T[]> => {
        const rows = await model.findAll({
          where: { ...Object.fromEntries(beyond), ...is, shopId },
          order: last === undefined ? order() : backwards(),
          ...(last === undefined ? {} : { limit: last }),
          raw: true,
          transaction: transaction ?? null,
        });
        const found = last === undefined ? rows : rows.toReversed();
        return found.flatMap((row) => readable(row as unknown as Record<string, unknown>) ?? []);
      };
      const key = JSON.stringify([table.name, shopId, { above, is, last }]);
      return [...((await (transaction ? read() : remembered(key, read))) ?? [])];
    },
    find,
    get,
    save: ({ shopId, author }, { id, seenVersion, body }, transaction) =>
      inTransaction(transaction, async (own) => {
        const before = await seen(shopId, { id, seenVersion }, own);
        const version = (before?.version ?? 0) + 1;
        const row = { shopId, id, version, author, ...storedOf(body) };
        if (before) await model.update(row, { ...where(shopId, id), transaction: own });
        else await model.create(row as never, { transaction: own });
        return { ...body, id, version } as unknown as T;
      }),
    taken: async (shopId, ids, transaction) => {
      const rows = await model.findAll({
        attributes: ['id'],
        where: { shopId, id: [...ids] },
        raw: true,
        transaction,
      });
      return new Set(rows.map(({ id }) => id));
    },
    addAll: async ({ shopId, author }, documents, transaction) => {
      const rows = documents.map(({ id, body }) => ({
        shopId,
        id,
        version: 1,
        author,
        ...storedOf(body),
      }));
      await model.bulkCreate(rows as never, { transaction });
    },
    update: async ({ shopId }, { id, body }, transaction) => {
      await get(shopId, id, transaction);
      await model.update(storedOf(body), { ...where(shopId, id), transaction });
    },
    remove: ({ shopId }, remove, transaction) =>
      inTransaction(transaction, async (own) => {
        if ((await seen(shopId, remove, own)) === null)
          throw new ProblemError('not_found', 'It is gone already.');
        await model.destroy({ ...where(shopId, remove.id), transaction: own });
      }),
    shopIds: async () => {
      const rows = await model.findAll({
        attributes: ['shopId'],
        group: ['shopId'],
        order: ['shopId'],
        raw: true,
      });
      return rows.map(({ shopId }) => shopId);
    },
  };
}

function deepFreeze<T>(value: T): T {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  for (const part of Object.values(value)) deepFreeze(part);
  return Object.freeze(value);
}
