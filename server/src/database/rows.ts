import {
  DataTypes,
  Op,
  UniqueConstraintError,
  type Model,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
  type Transaction,
} from 'sequelize';
import type { z } from 'zod';
import type { Caller } from '../caller.ts';
import { ProblemError } from '../problem.ts';
import { completed } from './completed.ts';

/** A row of history: nothing overwrites it. */
export interface Row {
  readonly id: string;
  readonly at: string;
}
/** A row as it stands: who wrote it, and after which others. */
export type Written<R> = R & { readonly author: string; readonly seq: number };

/** @returns a row as it is answered, without its place in the order of writing */
export const answered = <R extends object>({ seq: _, ...row }: R & { readonly seq: number }) => row;

/** A table of rows that are only ever added. */
export interface RowTable<R> {
  readonly name: string;
  /** Key of the thing that a row is about; there is an index on it. */
  readonly of: keyof R & string;
  readonly columns: { readonly [K in keyof Omit<R, 'id' | 'at'>]: keyof typeof COLUMN_TYPES };
  /** What a row is by now: what one from before a field existed says has its usual value. */
  readonly schema?: z.ZodType<Partial<R>>;
}

const COLUMN_TYPES = {
  text: { type: DataTypes.STRING },
  number: { type: DataTypes.DOUBLE },
  json: { type: DataTypes.JSON },
  /** No two rows with the same value. */
  once: { type: DataTypes.STRING, unique: true },
} as const;

/** The rows of one table, each shop's its own. */
export interface Rows<R extends Row> {
  /** What there is about one thing, in the order of writing. */
  readonly about: (shopId: string, id: string, transaction?: Transaction) => Promise<Written<R>[]>;
  /** The same without what is in it: who, what, when, in the order of writing. */
  readonly briefly: (
    shopId: string,
    input: string,
  ) => Promise<{ readonly id: string; readonly at: string; readonly author: string }[]>;
  /** What there is about one thing from an instant on, up to another, in the order of time. */
  readonly between: (
    shopId: string,
    range: { readonly of: string; readonly from: string; readonly to: string },
  ) => Promise<Written<R>[]>;
  /** What there is of all things from an instant on, in the order of writing. */
  readonly since: (shopId: string, range: { readonly from: string }) => Promise<Written<R>[]>;
  readonly find: (
    shopId: string,
    id: string,
    transaction?: Transaction,
  ) => Promise<Written<R> | null>;
  /** Writes down anew what a row says of something else: what happened stays. */
  readonly update: (
    shopId: string,
    row: { readonly id: string } & Partial<R>,
    transaction: Transaction,
  ) => Promise<void>;
  /** @throws {ProblemError} already_exists for an identity, or a value that is unique, once more */
  readonly add: (caller: Caller, row: R, transaction: Transaction) => Promise<void>;
  /** Many at once; none of them may be there. */
  readonly addAll: (caller: Caller, rows: readonly R[], transaction: Transaction) => Promise<void>;
}

/** @returns the repository of a table of rows */
export function createRows<R extends Row>(
  { sequelize }: { sequelize: Sequelize },
  table: RowTable<R>,
): Rows<R> {
  const columns = Object.entries(table.columns) as [string, keyof typeof COLUMN_TYPES][];
  const model = sequelize.define(
    table.name,
    {
      /** Order of writing. */
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shopId: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      ...Object.fromEntries(columns.map(([key, type]) => [key, { ...COLUMN_TYPES[type] }])),
    } as ModelAttributes<Model>,
    { tableName: table.name },
  ) as ModelStatic<Model>;
  function rowOf(raw: Record<string, unknown>): Written<R> {
    const row = Object.fromEntries(
      ['seq', 'id', 'author', 'at', ...columns.map(([key]) => key)].map((key) => {
        const isJson = columns.some(([name, type]) => name === key && type === 'json');
        return [key, isJson ? JSON.parse(raw[key] as string) : raw[key]];
      }),
    );
    return completed(table.schema, row) as Written<R>;
  }

  return {
    about: async (shopId, input, transaction) => {
      const rows = await model.findAll({
        where: { shopId, [table.of]: input },
        order: ['seq'],
        raw: true,
        transaction: transaction ?? null,
      });
      return rows.map((row) => rowOf(row as unknown as Record<string, unknown>));
    },
    briefly: async (shopId, input) => {
      const rows = await model.findAll({
        attributes: ['id', 'at', 'author'],
        where: { shopId, [table.of]: input },
        order: ['seq'],
        raw: true,
      });
      return rows as unknown as { id: string; at: string; author: string }[];
    },
    between: async (shopId, { of, from, to }) => {
      const rows = await model.findAll({
        where: { shopId, [table.of]: of, at: { [Op.gte]: from, [Op.lte]: to } },
        order: ['at'],
        raw: true,
      });
      return rows.map((row) => rowOf(row as unknown as Record<string, unknown>));
    },
    since: async (shopId, { from }) => {
      const rows = await model.findAll({
        where: { shopId, at: { [Op.gte]: from } },
        order: ['seq'],
        raw: true,
      });
      return rows.map((row) => rowOf(row as unknown as Record<string, unknown>));
    },
    find: async (shopId, id, transaction) => {
      const row = await model.findOne({
        where: { shopId, id },
        raw: true,
        transaction: transaction ?? null,
      });
      return row && rowOf(row as unknown as Record<string, unknown>);
    },
    add: async ({ shopId, author }, row, transaction) => {
      try {
        await model.create({ ...row, shopId, author } as never, { transaction });
      } catch (error) {
        if (error instanceof UniqueConstraintError)
          throw new ProblemError('already_exists', 'This was done already.');
        throw error;
      }
    },
    addAll: async ({ shopId, author }, rows, transaction) => {
      const written = rows.map((row) => ({ ...row, shopId, author }));
      await model.bulkCreate(written as never, { transaction });
    },
    update: async (shopId, { id, ...said }, transaction) => {
      await model.update(said, { where: { shopId, id }, transaction });
    },
  };
}
