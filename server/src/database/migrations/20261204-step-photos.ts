import { DataTypes, type QueryInterface } from 'sequelize';

/** The shop's own photographs of the steps of its work. */
export const stepPhotos = {
  name: '20261204-step-photos',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('step_photos', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shop_id: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      step_key: { type: DataTypes.STRING(64), allowNull: false },
      type: { type: DataTypes.STRING(32), allowNull: false },
      data: { type: DataTypes.TEXT, allowNull: false },
    });
    await context.addIndex('step_photos', ['shop_id', 'id'], {
      unique: true,
      name: 'step_photos_id',
    });
    await context.addIndex('step_photos', ['shop_id', 'step_key'], { name: 'step_photos_of' });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await context.dropTable('step_photos');
  },
};
