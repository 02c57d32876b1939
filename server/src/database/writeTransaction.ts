import { Transaction, type Sequelize } from 'sequelize';

/** Runs one unit of writing; the transaction must be passed on to every query in it. */
export type WriteTransaction = <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;

/**
 * A queue through which every write goes, one at a time, each in an IMMEDIATE transaction: rival
 * transactions on SQLite would fail or starve each other. Never nest, never write beside it.
 */
export function createWriteTransaction(sequelize: Sequelize): WriteTransaction {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const turn = last.then(() =>
      sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work),
    );
    last = turn.catch(() => undefined);
    return turn;
  };
}
