import { DataTypes, type QueryInterface } from 'sequelize';

const DOCUMENT_TABLES = ['people', 'devices', 'sessions'];

export const people = {
  name: '20261129-people',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    for (const table of DOCUMENT_TABLES)
      await context.createTable(table, {
        shop_id: { type: DataTypes.STRING(64), primaryKey: true },
        id: { type: DataTypes.STRING(64), primaryKey: true },
        version: { type: DataTypes.INTEGER, allowNull: false },
        author: { type: DataTypes.STRING(64), allowNull: false },
        body: { type: DataTypes.JSON, allowNull: false },
      });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    for (const table of DOCUMENT_TABLES) await context.dropTable(table);
  },
};
