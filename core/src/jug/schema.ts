import { z } from 'zod';
import { authorSchema, documentFields, idSchema, instantSchema } from '../document/schema.ts';
import { BATCH_LIMITS } from '../brew/limits.ts';

/** What can happen to a jug. Blending takes from one jug and gives to another: two rows. */
const JUG_ENTRY_KINDS = [
  'filled',
  'poured',
  'read',
  'watered',
  'counted',
  'discarded',
  'blended-in',
  'blended-out',
  'undone',
] as const;
export type JugEntryKind = (typeof JUG_ENTRY_KINDS)[number];

/** Concentrate on hand. What is in it is the sum of its ledger; its strength the last row's. */
export const jugSchema = z.object({
  ...documentFields,
  label: z.string(),
  coffeeName: z.string(),
  batchId: idSchema.nullable(),
  strengthFrac: z.number(),
  readBy: z.enum(['refractometer', 'prediction', 'balance']),
  caffeineMgPerG: z.number(),
  /** What the coffee in it cost, for a kilogram of it as it was filled; null if unknown. */
  pricePerKg: z.number().nullable(),
  capacityMl: z.number(),
  madeAt: instantSchema,
  useBy: instantSchema,
  onHandG: z.number(),
  lastEntryId: idSchema.nullable(),
});

/** One row of a jug's ledger: positive in, negative out. Nothing is ever overwritten. */
export const jugEntrySchema = z.object({
  id: idSchema,
  jugId: idSchema,
  kind: z.enum(JUG_ENTRY_KINDS),
  massG: z.number(),
  note: z.string(),
  at: instantSchema,
  /** Strength, caffeine and cost of what is in the jug from this row on; null where they stay. */
  strengthFrac: z.number().nullable(),
  caffeineMgPerG: z.number().nullable(),
  pricePerKg: z.number().nullable(),
  /** The other row of a blend; null for any other. */
  pairId: idSchema.nullable(),
  undone: z.boolean(),
  /** What a count found; null for any other. */
  countedG: z.number().nullable(),
  /** Who did it. */
  author: authorSchema,
});

const grams = z.number().positive().max(BATCH_LIMITS.waterG);
const counted = z.number().min(0).max(BATCH_LIMITS.waterG);
const hasOneAmount = (of: { massG?: number | undefined; volumeMl?: number | undefined }): boolean =>
  (of.massG === undefined) !== (of.volumeMl === undefined);
const EITHER = 'Give either massG or volumeMl.';
/** When it was done; without it, now. */
const at = instantSchema.optional();
const note = z.string().max(200).default('');

/** Something done to a jug, or an entry taken back. */
export const jugEntryRequest = z.discriminatedUnion('kind', [
  z.strictObject({ id: idSchema, kind: z.literal('poured'), massG: grams, note, at }),
  z.strictObject({
    id: idSchema,
    kind: z.literal('read'),
    strengthFrac: z.number().positive().max(0.5),
    note,
    at,
  }),
  z
    .strictObject({
      id: idSchema,
      kind: z.literal('watered'),
      massG: grams.optional(),
      volumeMl: grams.optional(),
      note,
      at,
    })
    .refine(hasOneAmount, EITHER),
  z
    .strictObject({
      id: idSchema,
      kind: z.literal('counted'),
      massG: counted.optional(),
      volumeMl: counted.optional(),
      note,
      at,
    })
    .refine(hasOneAmount, EITHER),
  z.strictObject({
    id: idSchema,
    kind: z.literal('discarded'),
    massG: grams,
    reason: z.string().trim().min(1).max(200),
    at,
  }),
  z.strictObject({
    id: idSchema,
    kind: z.literal('blended'),
    fromJugId: idSchema,
    massG: grams,
    note,
    at,
  }),
  z.strictObject({ id: idSchema, kind: z.literal('undone'), entryId: idSchema, at }),
]);

export type Jug = z.infer<typeof jugSchema>;
export type JugEntry = z.infer<typeof jugEntrySchema>;
export type JugEntryRequest = z.infer<typeof jugEntryRequest>;
