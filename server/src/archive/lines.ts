import { observationRowSchema, batchSchema, draftSchema, sampleSetSchema } from '@ratio/core/batch';
import { vesselSchema } from '@ratio/core/brew';
import { coffeeSchema } from '@ratio/core/coffee';
import { authorSchema, idSchema, instantSchema } from '@ratio/core/document';
import { dayRowSchema } from '@ratio/core/day';
import { drinkSchema, drinkVersionSchema } from '@ratio/core/drink';
import { instrumentSchema } from '@ratio/core/instruments';
import { jugEntrySchema, jugSchema } from '@ratio/core/jug';
import { houseRecipeSchema, openedSchema, pantryItemSchema } from '@ratio/core/pantry';
import { learnedVersionSchema } from '@ratio/core/log';
import { blindTestSchema, tastingSchema } from '@ratio/core/tasting';
import { shopSchema } from '@ratio/core/shop';
import { z } from 'zod';
import type { ShopTable, StoredRow } from '../database/wholeShop.ts';

/** Version of the archive's shape; an older one is brought up to it line by line. */
export const ARCHIVE_VERSION = 1;

export const manifestSchema = z.strictObject({
  format: z.literal('ratio-archive'),
  version: z.number().int().min(1).max(ARCHIVE_VERSION),
  /** Lines of each file. */
  lines: z.record(z.string(), z.number().int().min(0)),
});
export type Manifest = z.infer<typeof manifestSchema>;

const camel = (name: string): string =>
  name.replaceAll(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());
const snake = (name: string): string =>
  name.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

const filledSchema = z.object({
  strengthFrac: z.number(),
  readBy: z.enum(['refractometer', 'prediction', 'taste']),
  caffeineMgPerG: z.number(),
  pricePerKg: z.number().nullable(),
  useBy: instantSchema,
});
const photoSchema = z.object({
  id: idSchema,
  at: instantSchema,
  author: authorSchema,
  type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
  data: z.base64(),
});
const of = <S extends z.ZodObject>(schema: S) => schema.extend({ author: authorSchema });

/** The schema of a line, by the file of the archive. */
export const LINE_SCHEMAS: Readonly<Record<ShopTable, z.ZodType>> = {
  // The importing server gives the shop its identity.
  shops: of(shopSchema.omit({ id: true }))
    .extend({ clockOffsetMs: z.number() })
    .loose(),
  coffees: of(coffeeSchema),
  vessels: of(vesselSchema),
  pantry_items: of(pantryItemSchema),
  house_recipes: of(houseRecipeSchema as unknown as z.ZodObject),
  opened_items: of(openedSchema),
  drinks: of(drinkSchema),
  drink_versions: drinkVersionSchema,
  drafts: of(draftSchema),
  sample_sets: of(sampleSetSchema),
  instruments: of(instrumentSchema),
  probe_samples: z.object({
    id: idSchema,
    at: instantSchema,
    author: authorSchema,
    instrumentId: idSchema,
    tempC: z.number(),
  }),
  batches: of(batchSchema),
  batch_actuals: observationRowSchema,
  batch_photos: photoSchema.extend({ batchId: idSchema }),
  step_photos: photoSchema.extend({ stepKey: idSchema }),
  jugs: of(jugSchema).extend({ filled: filledSchema, request: z.unknown().optional() }),
  jug_entries: jugEntrySchema.omit({ undone: true, corrected: true }).extend({
    undoes: idSchema.nullable(),
    useBy: instantSchema.nullable(),
    request: z.unknown(),
  }),
  day_rows: dayRowSchema.omit({ undone: true }),
  learned_versions: learnedVersionSchema.extend({ of: idSchema }),
  tastings: tastingSchema,
  blind_tests: of(blindTestSchema),
};

/** Columns of a table of documents that stand beside its body. */
const OWN = ['id', 'version', 'author'];

/** @returns a row as its line says it: one object, its keys in a fixed order */
export function lineOf(table: ShopTable, row: StoredRow): Record<string, unknown> {
  const { body, ...columns } = row;
  const named = Object.fromEntries(
    Object.entries(columns)
      .filter(([key]) => !(table === 'shops' && key === 'id'))
      .map(([key, value]) => [camel(key), value]),
  );
  if (body === undefined) return named;
  // What gives access stays: an archive is handed around.
  const { calendarKey: _, ...given } = body as { calendarKey?: unknown };
  return { ...named, ...given };
}

/** @returns a line as a row of its table; `columns` are those that the table has beside its body */
export function rowOf(input: {
  table: ShopTable;
  line: Readonly<Record<string, unknown>>;
  shopId: string;
  columns: readonly string[];
}): StoredRow {
  const { table, shopId, columns } = input;
  const line = table === 'shops' ? { id: shopId, ...input.line } : input.line;
  const isColumn = (key: string): boolean => columns.includes(snake(key));
  const entries = Object.entries(line);
  const own = entries.filter(([key]) => isColumn(key)).map(([key, value]) => [snake(key), value]);
  const rest = entries.filter(([key]) => !isColumn(key) && !OWN.includes(key));
  return {
    ...Object.fromEntries(own),
    ...(columns.includes('body') ? { body: Object.fromEntries(rest) } : {}),
  };
}
