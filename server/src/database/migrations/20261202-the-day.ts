import { DataTypes, type QueryInterface } from 'sequelize';

/** What is written down of a day, a strain that was moved, and pours by their time. */
export const theDay = {
  name: '20261202-the-day',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.addColumn('batch_actuals', 'until', {
      type: DataTypes.STRING(32),
      allowNull: true,
    });
    await context.createTable('day_rows', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shop_id: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      date: { type: DataTypes.STRING(10), allowNull: false },
      kind: { type: DataTypes.STRING(32), allowNull: false },
      list: { type: DataTypes.STRING(32), allowNull: true },
      item: { type: DataTypes.STRING, allowNull: false },
      note: { type: DataTypes.STRING, allowNull: false },
      price: { type: DataTypes.DOUBLE, allowNull: true },
      undoes: { type: DataTypes.STRING(64), allowNull: true },
    });
    await context.addIndex('day_rows', ['shop_id', 'id'], { unique: true, name: 'day_rows_id' });
    await context.addIndex('day_rows', ['shop_id', 'date'], { name: 'day_rows_of' });
    await context.addIndex('jug_entries', ['shop_id', 'at'], { name: 'jug_entries_at' });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await context.removeIndex('jug_entries', 'jug_entries_at');
    await context.dropTable('day_rows');
    // As SQL: Sequelize would rebuild the table, and lose its keys.
    await context.sequelize.query('ALTER TABLE batch_actuals DROP COLUMN until');
  },
};
