import { DataTypes, type QueryInterface } from 'sequelize';

const ACTUAL_COLUMNS = ['vessel_id', 'place', 'step', 'undoes', 'instrument_id'];

/** Steps and what took them back, photographs, instruments, and what probes have said. */
export const instruments = {
  name: '20261201-instruments',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    for (const column of ACTUAL_COLUMNS)
      await context.addColumn('batch_actuals', column, { type: DataTypes.STRING, allowNull: true });
    await context.addColumn('batch_actuals', 'share_frac', {
      type: DataTypes.DOUBLE,
      allowNull: true,
    });
    await context.createTable('instruments', {
      shop_id: { type: DataTypes.STRING(64), primaryKey: true },
      id: { type: DataTypes.STRING(64), primaryKey: true },
      version: { type: DataTypes.INTEGER, allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      name: { type: DataTypes.STRING, allowNull: true },
      body: { type: DataTypes.JSON, allowNull: false },
    });
    await context.createTable('probe_samples', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shop_id: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      instrument_id: { type: DataTypes.STRING(64), allowNull: false },
      temp_c: { type: DataTypes.DOUBLE, allowNull: false },
    });
    await context.createTable('batch_photos', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      shop_id: { type: DataTypes.STRING(64), allowNull: false },
      id: { type: DataTypes.STRING(64), allowNull: false },
      author: { type: DataTypes.STRING(64), allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
      batch_id: { type: DataTypes.STRING(64), allowNull: false },
      type: { type: DataTypes.STRING(32), allowNull: false },
      data: { type: DataTypes.TEXT, allowNull: false },
    });
    await context.addIndex('batch_photos', ['shop_id', 'id'], {
      unique: true,
      name: 'batch_photos_id',
    });
    await context.addIndex('batch_photos', ['shop_id', 'batch_id'], { name: 'batch_photos_of' });
    await context.addIndex('probe_samples', ['shop_id', 'id'], {
      unique: true,
      name: 'probe_samples_id',
    });
    await context.addIndex('probe_samples', ['shop_id', 'instrument_id', 'at'], {
      name: 'probe_samples_of',
    });
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await context.dropTable('batch_photos');
    await context.dropTable('probe_samples');
    await context.dropTable('instruments');
    // As SQL: Sequelize would rebuild the table, and lose its keys.
    for (const column of [...ACTUAL_COLUMNS, 'share_frac'])
      await context.sequelize.query(`ALTER TABLE batch_actuals DROP COLUMN ${column}`);
  },
};
