import {
  batchSchema,
  draftSchema,
  sampleSetSchema,
  type Batch,
  type ObservationRow,
  type Draft,
  type SampleSet,
} from '@ratio/core/batch';
import { vesselSchema, type Vessel } from '@ratio/core/brew';
import { coffeeSchema, type Coffee } from '@ratio/core/coffee';
import type { DayRow } from '@ratio/core/day';
import { drinkSchema, drinkVersionSchema, type Drink, type DrinkVersion } from '@ratio/core/drink';
import { instrumentSchema, type Instrument } from '@ratio/core/instruments';
import { jugSchema, type LedgerEntry, type StoredJug } from '@ratio/core/jug';
import type { LearnedVersion } from '@ratio/core/log';
import { blindTestSchema, tastingSchema, type BlindTest, type Tasting } from '@ratio/core/tasting';
import {
  houseRecipeSchema,
  openedSchema,
  pantryItemSchema,
  type HouseRecipe,
  type Opened,
  type PantryItem,
} from '@ratio/core/pantry';
import { deviceSchema, shopSchema, type Device, type Person, type Shop } from '@ratio/core/shop';
import type { Sequelize } from 'sequelize';
import { createDocuments } from './documents.ts';
import { createRows } from './rows.ts';
import type { RememberedRead } from './rememberReads.ts';
import type { WriteTransaction } from './writeTransaction.ts';

/** What the shop's row keeps beside the shop itself. */
export type StoredShop = Shop & {
  readonly clockOffsetMs: number;
  /** Whether people sign in on the machine itself too. */
  readonly signInHere?: boolean;
  /** Secret part of the address at which calendars read the feed; none until somebody asks for it. */
  readonly calendarKey?: string | null;
};

/** Somebody of the shop, with the hashes of what they sign in with. */
export type StoredPerson = Omit<Person, 'hasPin' | 'hasPassword'> & {
  readonly pin: string | null;
  readonly password: string | null;
};
/** That somebody is signed in; its id is the digest of the token. */
interface StoredSession {
  readonly id: string;
  readonly version: number;
  readonly personId: string;
  readonly untilMs: number;
}

/** What a probe said in a minute: the mean of it. */
export interface ProbeSample {
  readonly id: string;
  readonly at: string;
  readonly instrumentId: string;
  readonly tempC: number;
}

/** A photograph, as it is kept. */
interface Photo {
  readonly id: string;
  readonly at: string;
  readonly type: string;
  /** Base64. */
  readonly data: string;
}

/** @returns every table of the database, as a repository */
export function defineTables(input: {
  sequelize: Sequelize;
  write: WriteTransaction;
  remembered: RememberedRead;
  unreadable: Set<string>;
}) {
  return {
    shops: createDocuments<StoredShop>(input, { name: 'shops', what: 'shop', schema: shopSchema }),
    coffees: createDocuments<Coffee>(input, {
      name: 'coffees',
      what: 'coffee',
      schema: coffeeSchema,
    }),
    vessels: createDocuments<Vessel>(input, {
      name: 'vessels',
      what: 'vessel',
      schema: vesselSchema,
      columns: { brimMl: 'number' },
      order: [['brimMl', 'DESC']],
    }),
    drinks: createDocuments<Drink>(input, {
      name: 'drinks',
      what: 'drink',
      schema: drinkSchema,
      columns: { order: 'number' },
      order: [['order', 'ASC']],
    }),
    batches: createDocuments<Batch>(input, {
      name: 'batches',
      what: 'batch',
      schema: batchSchema,
      columns: {
        coffeeName: 'text',
        status: 'text',
        startedAt: 'text',
        endsAt: 'text',
        strainedAt: 'text',
      },
      order: [['endsAt', 'ASC']],
    }),
    jugs: createDocuments<StoredJug>(input, {
      name: 'jugs',
      what: 'jug',
      schema: jugSchema,
      columns: { madeAt: 'text', useBy: 'text', onHandG: 'number' },
      order: [['madeAt', 'ASC']],
    }),
    drafts: createDocuments<Draft>(input, {
      name: 'drafts',
      what: 'draft',
      schema: draftSchema,
      columns: { savedAt: 'text' },
      order: [['savedAt', 'DESC']],
    }),
    sampleSets: createDocuments<SampleSet>(input, {
      name: 'sample_sets',
      what: 'set of jars',
      schema: sampleSetSchema,
    }),
    pantryItems: createDocuments<PantryItem>(input, {
      name: 'pantry_items',
      what: 'ingredient',
      schema: pantryItemSchema,
    }),
    houseRecipes: createDocuments<HouseRecipe>(input, {
      name: 'house_recipes',
      what: 'house recipe',
      schema: houseRecipeSchema,
      columns: { name: 'text' },
      order: [['name', 'ASC']],
    }),
    openedItems: createDocuments<Opened>(input, {
      name: 'opened_items',
      what: 'open package',
      schema: openedSchema,
    }),
    people: createDocuments<StoredPerson>(input, { name: 'people', what: 'person' }),
    devices: createDocuments<Device>(input, {
      name: 'devices',
      what: 'tablet',
      schema: deviceSchema,
    }),
    sessions: createDocuments<StoredSession>(input, { name: 'sessions', what: 'session' }),
    observations: createRows<Omit<ObservationRow, 'author'>>(input, {
      name: 'batch_actuals',
      of: 'batchId',
      columns: {
        batchId: 'text',
        kind: 'text',
        massG: 'number',
        tempC: 'number',
        strengthFrac: 'number',
        note: 'text',
        shareFrac: 'number',
        vesselId: 'text',
        place: 'text',
        step: 'text',
        until: 'text',
        undoes: 'text',
        instrumentId: 'text',
      },
    }),
    instruments: createDocuments<Instrument>(input, {
      name: 'instruments',
      what: 'instrument',
      schema: instrumentSchema,
      columns: { name: 'text' },
      order: [['name', 'ASC']],
    }),
    probeSamples: createRows<ProbeSample>(input, {
      name: 'probe_samples',
      of: 'instrumentId',
      columns: { instrumentId: 'text', tempC: 'number' },
    }),
    batchPhotos: createRows<Photo & { readonly batchId: string }>(input, {
      name: 'batch_photos',
      of: 'batchId',
      columns: { batchId: 'text', type: 'text', data: 'text' },
    }),
    stepPhotos: createRows<Photo & { readonly stepKey: string }>(input, {
      name: 'step_photos',
      of: 'stepKey',
      columns: { stepKey: 'text', type: 'text', data: 'text' },
    }),
    dayRows: createRows<Omit<DayRow, 'author' | 'undone'>>(input, {
      name: 'day_rows',
      of: 'date',
      columns: {
        date: 'text',
        kind: 'text',
        list: 'text',
        item: 'text',
        note: 'text',
        price: 'number',
        undoes: 'text',
      },
    }),
    learnedVersions: createRows<Omit<LearnedVersion, 'author'> & { readonly of: string }>(input, {
      name: 'learned_versions',
      of: 'of',
      columns: { of: 'text', number: 'number', learned: 'json', batchCount: 'number' },
    }),
    tastings: createRows<Omit<Tasting, 'author'>>(input, {
      name: 'tastings',
      of: 'of',
      schema: tastingSchema,
      columns: { of: 'text', kind: 'text', taster: 'text', note: 'text', said: 'json' },
    }),
    blindTests: createDocuments<BlindTest>(input, {
      name: 'blind_tests',
      what: 'blind comparison',
      schema: blindTestSchema,
      columns: { begunAt: 'text' },
      order: [['begunAt', 'DESC']],
    }),
    drinkVersions: createRows<Omit<DrinkVersion, 'author'>>(input, {
      name: 'drink_versions',
      of: 'drinkId',
      schema: drinkVersionSchema,
      columns: { drinkId: 'text', drink: 'json', change: 'text', forWhom: 'text' },
    }),
    jugEntries: createRows<LedgerEntry>(input, {
      name: 'jug_entries',
      of: 'jugId',
      columns: {
        jugId: 'text',
        kind: 'text',
        massG: 'number',
        note: 'text',
        undoes: 'once',
        corrects: 'text',
        strengthFrac: 'number',
        caffeineMgPerG: 'number',
        pricePerKg: 'number',
        useBy: 'text',
        pairId: 'text',
        countedG: 'number',
        request: 'json',
      },
    }),
  };
}

export type Tables = ReturnType<typeof defineTables>;
