import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import type {
  Batch,
  Draft,
  Drink,
  DrinkVersion,
  HousePart,
  JugEntry,
  Opened,
  PantryItem,
  SampleSet,
  ShelfCoffee,
  Shop,
  Vessel,
} from '@ratio/core';

/** A document as a row: identity, version, and the rest as JSON that a schema has checked. */
export interface DocumentRow<T> extends Model<
  InferAttributes<DocumentRow<T>>,
  InferCreationAttributes<DocumentRow<T>>
> {
  id: string;
  version: CreationOptional<number>;
  body: Omit<T, 'id' | 'version'>;
}

/** A row of a jug's ledger. */
export interface JugEntryRow
  extends
    Model<InferAttributes<JugEntryRow>, InferCreationAttributes<JugEntryRow>>,
    Omit<JugEntry, 'at' | 'undone'> {
  at: string;
  /** Use-by date of what is in the jug from this row on; null where it stays. */
  useBy: string | null;
  /** Order of writing. */
  seq: CreationOptional<number>;
  undoes: string | null;
}

/** A drink as it was kept once. */
export interface DrinkVersionRow
  extends
    Model<InferAttributes<DrinkVersionRow>, InferCreationAttributes<DrinkVersionRow>>,
    DrinkVersion {
  /** Order of writing. */
  seq: CreationOptional<number>;
}

/** A stored jug: what is on hand is not in it but in its ledger. */
export interface JugBody {
  readonly label: string;
  readonly coffeeName: string;
  readonly batchId: string | null;
  readonly strengthFrac: number;
  readonly readBy: 'refractometer' | 'prediction';
  readonly caffeineMgPerG: number;
  readonly pricePerKg: number | null;
  readonly capacityMl: number;
  readonly madeAt: string;
  readonly useBy: string;
}

/** What the shop's row keeps beside the shop itself. */
export type ShopBody = Omit<Shop, 'id' | 'version'> & { readonly clockOffsetMs: number };

export interface Models {
  readonly shops: ModelStatic<DocumentRow<ShopBody>>;
  readonly coffees: ModelStatic<DocumentRow<ShelfCoffee>>;
  readonly vessels: ModelStatic<DocumentRow<Vessel>>;
  readonly drinks: ModelStatic<DocumentRow<Drink>>;
  readonly batches: ModelStatic<DocumentRow<Batch>>;
  readonly jugs: ModelStatic<DocumentRow<JugBody>>;
  readonly drafts: ModelStatic<DocumentRow<Draft>>;
  readonly sampleSets: ModelStatic<DocumentRow<SampleSet>>;
  readonly pantryItems: ModelStatic<DocumentRow<PantryItem>>;
  readonly houseParts: ModelStatic<DocumentRow<HousePart>>;
  readonly openedItems: ModelStatic<DocumentRow<Opened>>;
  readonly jugEntries: ModelStatic<JugEntryRow>;
  readonly drinkVersions: ModelStatic<DrinkVersionRow>;
}

/** Tables of documents, by model. */
export const DOCUMENT_TABLES = {
  shops: 'shops',
  coffees: 'coffees',
  vessels: 'vessels',
  drinks: 'drinks',
  batches: 'batches',
  jugs: 'jugs',
} as const;

/** @returns the tables of a connected database */
export function defineModels(sequelize: Sequelize): Models {
  const document = <T>(table: string): ModelStatic<DocumentRow<T>> =>
    sequelize.define<DocumentRow<T>>(
      table,
      {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        version: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
        body: { type: DataTypes.JSON, allowNull: false },
      } as ModelAttributes<DocumentRow<T>>,
      { tableName: table },
    );
  return {
    shops: document(DOCUMENT_TABLES.shops),
    coffees: document(DOCUMENT_TABLES.coffees),
    vessels: document(DOCUMENT_TABLES.vessels),
    drinks: document(DOCUMENT_TABLES.drinks),
    batches: document(DOCUMENT_TABLES.batches),
    jugs: document(DOCUMENT_TABLES.jugs),
    drafts: document('drafts'),
    sampleSets: document('sample_sets'),
    pantryItems: document('pantry_items'),
    houseParts: document('house_parts'),
    openedItems: document('opened_items'),
    drinkVersions: sequelize.define<DrinkVersionRow>(
      'drink_versions',
      {
        seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        id: { type: DataTypes.STRING(64), allowNull: false, unique: true },
        drinkId: { type: DataTypes.STRING(64), allowNull: false },
        drink: { type: DataTypes.JSON, allowNull: false },
        change: { type: DataTypes.STRING, allowNull: false },
        forWhom: { type: DataTypes.STRING, allowNull: false },
        at: { type: DataTypes.STRING(32), allowNull: false },
      },
      { tableName: 'drink_versions' },
    ),
    jugEntries: sequelize.define<JugEntryRow>(
      'jug_entries',
      {
        seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        id: { type: DataTypes.STRING(64), allowNull: false, unique: true },
        jugId: { type: DataTypes.STRING(64), allowNull: false },
        kind: { type: DataTypes.STRING(16), allowNull: false },
        massG: { type: DataTypes.DOUBLE, allowNull: false },
        note: { type: DataTypes.STRING, allowNull: false },
        at: { type: DataTypes.STRING(32), allowNull: false },
        undoes: { type: DataTypes.STRING(64), allowNull: true, unique: true },
        strengthFrac: { type: DataTypes.DOUBLE, allowNull: true },
        caffeineMgPerG: { type: DataTypes.DOUBLE, allowNull: true },
        pricePerKg: { type: DataTypes.DOUBLE, allowNull: true },
        useBy: { type: DataTypes.STRING(32), allowNull: true },
        pairId: { type: DataTypes.STRING(64), allowNull: true },
      },
      { tableName: 'jug_entries' },
    ),
  };
}
