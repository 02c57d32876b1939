import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';

/** What drinks and shops hold that was written before. */
const DRINK = {
  shares: 1,
  fillAlso: [],
  chilledToC: null,
  serve: 'built',
  weekCount: 0,
};
const BAR = {
  jiggerMl: 5,
  pumpMl: 7.5,
  spoonMl: 5,
  scaleG: 1,
  siphonMl: 1000,
  chargesPerFill: 1,
  chargePrice: 0,
  kegMl: 9500,
};

interface Row {
  readonly id: string;
  readonly body: string;
}

async function rewrite(
  context: QueryInterface,
  table: string,
  change: (body: Record<string, unknown>) => object,
): Promise<void> {
  const rows = await context.sequelize.query<Row>(`SELECT id, body FROM ${table}`, {
    type: QueryTypes.SELECT,
  });
  for (const { id, body } of rows)
    await context.sequelize.query(`UPDATE ${table} SET body = :body WHERE id = :id`, {
      replacements: {
        id,
        body: JSON.stringify(change(JSON.parse(body) as Record<string, unknown>)),
      },
    });
}

const omit = (body: Record<string, unknown>, keys: readonly string[]): object =>
  Object.fromEntries(Object.entries(body).filter(([key]) => !keys.includes(key)));

const ENTRY_COLUMNS = {
  strength_frac: { type: DataTypes.DOUBLE, allowNull: true },
  caffeine_mg_per_g: { type: DataTypes.DOUBLE, allowNull: true },
  price_per_kg: { type: DataTypes.DOUBLE, allowNull: true },
  use_by: { type: DataTypes.STRING(32), allowNull: true },
  pair_id: { type: DataTypes.STRING(64), allowNull: true },
};

export const drinksInFull = {
  name: '20261126-drinks-in-full',

  async up({ context }: { context: QueryInterface }): Promise<void> {
    for (const table of ['pantry_items', 'house_parts', 'opened_items'])
      await context.createTable(table, {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        version: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
        body: { type: DataTypes.JSON, allowNull: false },
      });
    await context.createTable('drink_versions', {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      id: { type: DataTypes.STRING(64), allowNull: false, unique: true },
      drink_id: { type: DataTypes.STRING(64), allowNull: false },
      drink: { type: DataTypes.JSON, allowNull: false },
      change: { type: DataTypes.STRING, allowNull: false },
      for_whom: { type: DataTypes.STRING, allowNull: false },
      at: { type: DataTypes.STRING(32), allowNull: false },
    });
    await context.addIndex('drink_versions', ['drink_id']);
    for (const [name, column] of Object.entries(ENTRY_COLUMNS))
      await context.addColumn('jug_entries', name, column);
    await rewrite(context, 'drinks', ({ fillWith, ...body }) => ({
      ...body,
      fillWith: { share: 1, ...(fillWith as object) },
      ...DRINK,
    }));
    await rewrite(context, 'shops', (body) => ({ ...body, bar: BAR }));
    await rewrite(context, 'jugs', (body) => ({ ...body, pricePerKg: null }));
  },

  async down({ context }: { context: QueryInterface }): Promise<void> {
    await rewrite(context, 'jugs', (body) => omit(body, ['pricePerKg']));
    await rewrite(context, 'shops', (body) => omit(body, ['bar']));
    await rewrite(context, 'drinks', ({ fillWith, ...body }) => ({
      ...omit(body, Object.keys(DRINK)),
      fillWith: omit(fillWith as Record<string, unknown>, ['share']),
    }));
    // As SQL: Sequelize would rebuild the table for each column, and lose its keys.
    for (const name of Object.keys(ENTRY_COLUMNS))
      await context.sequelize.query(`ALTER TABLE jug_entries DROP COLUMN ${name}`);
    for (const table of ['drink_versions', 'opened_items', 'house_parts', 'pantry_items'])
      await context.dropTable(table);
  },
};
