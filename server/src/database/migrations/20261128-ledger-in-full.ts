import { DataTypes, type QueryInterface } from 'sequelize';

/** Counts, and the request that a row came by: a repeat of it is known, another one is refused. */
const COLUMNS = {
  counted_g: { type: DataTypes.DOUBLE, allowNull: true },
  request: { type: DataTypes.JSON, allowNull: true },
};

export const ledgerInFull = {
  name: '20261128-ledger-in-full',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    for (const [name, column] of Object.entries(COLUMNS))
      await context.addColumn('jug_entries', name, column);
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    // As SQL: Sequelize would rebuild the table for each column, and lose its keys.
    for (const name of Object.keys(COLUMNS))
      await context.sequelize.query(`ALTER TABLE jug_entries DROP COLUMN ${name}`);
  },
};
