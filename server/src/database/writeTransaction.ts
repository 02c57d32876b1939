import { Transaction, type Sequelize } from 'sequelize';

/** Runs one unit of writing; the transaction must be passed on to every query in it. */
export type WriteTransaction = <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;

/** The one way to write, and whether the last write could be kept. */
export interface Writing {
  readonly write: WriteTransaction;
  readonly isFull: () => boolean;
  /** How many writes have ended, committed or not. */
  readonly written: () => number;
}

/** @returns whether an error is SQLite's, with a code that begins so */
export const isSqliteError = (error: unknown, code: string): boolean =>
  String((error as { parent?: { code?: string } } | null)?.parent?.code).startsWith(code);

/**
 * A queue through which every write goes, one at a time, each in an IMMEDIATE transaction: rival
 * transactions on SQLite would fail or starve each other. Never nest, never write beside it.
 */
export function createWriteTransaction(sequelize: Sequelize): Writing {
  let last: Promise<unknown> = Promise.resolve();
  let full = false;
  let written = 0;
  const write: WriteTransaction = (work) => {
    const turn = last
      .then(() => sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work))
      // Before whoever asked hears of it, so that they read what they wrote.
      .finally(() => (written += 1));
    last = turn.then(
      () => (full = false),
      (error: unknown) => {
        if (isSqliteError(error, 'SQLITE_FULL')) full = true;
      },
    );
    return turn;
  };
  return { write, isFull: () => full, written: () => written };
}
