import { DataTypes, type QueryInterface } from 'sequelize';

/** Which row of its ledger a row corrects. */
export const corrections = {
  name: '20261130-corrections',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.addColumn('jug_entries', 'corrects', { type: DataTypes.STRING, allowNull: true });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    // As SQL: Sequelize would rebuild the table, and lose its keys.
    await context.sequelize.query('ALTER TABLE jug_entries DROP COLUMN corrects');
  },
};
