import { DataTypes, type QueryInterface } from 'sequelize';

export const sampleSets = {
  name: '20261125-sample-sets',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('sample_sets', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
      body: { type: DataTypes.JSON, allowNull: false },
    });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await context.dropTable('sample_sets');
  },
};
