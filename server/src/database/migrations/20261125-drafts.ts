import { DataTypes, type QueryInterface } from 'sequelize';

export const drafts = {
  name: '20261125-drafts',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('drafts', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
      body: { type: DataTypes.JSON, allowNull: false },
    });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await context.dropTable('drafts');
  },
};
