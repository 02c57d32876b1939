import { DataTypes, type QueryInterface } from 'sequelize';

const DOCUMENT_TABLES = ['shops', 'coffees', 'vessels', 'drinks', 'batches', 'jugs'];

export const documentsAndLedger = {
  name: '20261125-documents-and-ledger',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    for (const table of DOCUMENT_TABLES)
      await context.createTable(table, {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        version: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
        body: { type: DataTypes.JSON, allowNull: false },
      });
    await context.createTable('jug_entries', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      id: { type: DataTypes.STRING(64), allowNull: false, unique: true },
      jug_id: {
        type: DataTypes.STRING(64),
        allowNull: false,
        references: { model: 'jugs', key: 'id' },
      },
      kind: { type: DataTypes.STRING(16), allowNull: false },
      mass_g: { type: DataTypes.DOUBLE, allowNull: false },
      note: { type: DataTypes.STRING, allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      undoes: { type: DataTypes.STRING(64), allowNull: true, unique: true },
    });
    await context.addIndex('jug_entries', ['jug_id']);
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await context.dropTable('jug_entries');
    for (const table of DOCUMENT_TABLES) await context.dropTable(table);
  },
};
