import { z } from 'zod';
import {
  authorSchema,
  documentFields,
  idSchema,
  instantSchema,
  nameSchema,
} from '../document/schema.ts';
import { BATCH_LIMITS } from '../brew/limits.ts';
import { eitherMassOrVolume, rangeSchema, STEEP_PLACES } from '../brew/schema.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';

/** What can happen to a jug. Blending takes from one jug and gives to another: two rows. */
export const JUG_ENTRY_KINDS = [
  'filled',
  'poured',
  'read',
  'watered',
  'counted',
  'discarded',
  'blended-in',
  'blended-out',
  'undone',
  'corrected',
] as const;
export type JugEntryKind = (typeof JUG_ENTRY_KINDS)[number];

/** Concentrate on hand. What is in it is the sum of its ledger; its strength the last row's. */
export const jugSchema = z.object({
  ...documentFields,
  label: z.string(),
  coffeeName: z.string(),
  batchId: idSchema.nullable(),
  /** Whether it is a batch that still steeps on its grounds: its strength is that of now. */
  onGrounds: z.boolean().default(false),
  strengthFrac: z.number(),
  readBy: z.enum(['refractometer', 'prediction', 'taste', 'balance']),
  /** 5th and 95th percentile of the strength with which it was filled; null for a reading. */
  filledRange: rangeSchema.nullable().default(null),
  caffeineMgPerG: z.number(),
  /** What the coffee in it cost, for a kilogram of it as it was filled; null if unknown. */
  pricePerKg: z.number().nullable(),
  /** To its mark, mL; null where it is not known. */
  capacityMl: z.number().nullable(),
  /** The vessel of the shop that it is; null where it is none. */
  vesselId: idSchema.nullable().default(null),
  madeAt: instantSchema,
  useBy: instantSchema,
  /** As it was filled: its ledger is recalculated from that. */
  filled: z.object({
    strengthFrac: z.number(),
    readBy: z.enum(['refractometer', 'prediction', 'taste']),
    caffeineMgPerG: z.number(),
    pricePerKg: z.number().nullable(),
    useBy: instantSchema,
  }),
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
  /** The row that this one corrects; null for any other. */
  corrects: idSchema.nullable().default(null),
  /** Whether a later row corrects this one. */
  corrected: z.boolean().default(false),
  /** What a count found, or what a correction says that it was; null for any other. */
  countedG: z.number().nullable(),
  /** Who did it. */
  author: authorSchema,
});

const grams = z.number().positive().max(BATCH_LIMITS.waterG);
const counted = z.number().min(0).max(BATCH_LIMITS.waterG);
/** When it was done; without it, now. */
const at = instantSchema.optional();
const note = z.string().max(200).default('');

/** How strong a jug is that nobody read, as somebody can tell of it. */
const estimateSchema = z.union([
  z.strictObject({
    /** Water over coffee, by mass. */
    ratio: z.number().min(1).max(60),
    hours: z.number().positive().max(BATCH_LIMITS.hours),
    place: z.enum(STEEP_PLACES).default('fridge'),
    grind: z.enum(GRIND_NAMES).default('coarse'),
  }),
  z.strictObject({
    /** Parts by volume at which it tastes right: concentrate, and what is filled up with. */
    parts: z.strictObject({
      concentrate: z.number().positive().max(1000),
      fill: z.number().min(0).max(1000),
    }),
  }),
]);

/** A jug that was filled elsewhere, or before Ratio. */
export const newJugRequest = z
  .strictObject({
    id: idSchema,
    label: nameSchema,
    /** Of its own where it is no vessel of the shop; null where it is not known. */
    capacityMl: z.number().positive().max(BATCH_LIMITS.volumeMl).nullable().optional(),
    vesselId: idSchema.optional(),
    onHandG: grams.optional(),
    onHandMl: grams.optional(),
    /** Any instant that is past. */
    madeAt: instantSchema,
    strengthFrac: z.number().positive().max(0.5).optional(),
    estimate: estimateSchema.optional(),
    coffeeId: idSchema.optional(),
  })
  .refine(
    ({ onHandG, onHandMl }) => (onHandG === undefined) !== (onHandMl === undefined),
    'Give either onHandG or onHandMl.',
  )
  .refine(
    ({ strengthFrac, estimate }) => (strengthFrac === undefined) !== (estimate === undefined),
    'Give either strengthFrac or estimate.',
  );

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
    .refine(...eitherMassOrVolume),
  z
    .strictObject({
      id: idSchema,
      kind: z.literal('counted'),
      massG: counted.optional(),
      volumeMl: counted.optional(),
      note,
      at,
    })
    .refine(...eitherMassOrVolume),
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
  z.strictObject({
    id: idSchema,
    kind: z.literal('undone'),
    entryId: idSchema,
    note: z.string().max(200).optional(),
    at,
  }),
  z
    .strictObject({
      id: idSchema,
      kind: z.literal('corrected'),
      entryId: idSchema,
      massG: counted.optional(),
      volumeMl: counted.optional(),
      strengthFrac: z.number().positive().max(0.5).optional(),
      reason: z.string().trim().min(1).max(200),
      at,
    })
    .refine(
      ({ massG, volumeMl, strengthFrac }) =>
        (massG === undefined || volumeMl === undefined) &&
        (massG !== undefined || volumeMl !== undefined || strengthFrac !== undefined),
      'Give massG or volumeMl, or strengthFrac.',
    ),
]);

export type Jug = z.infer<typeof jugSchema>;
export type JugEntry = z.infer<typeof jugEntrySchema>;
export type JugEstimate = z.infer<typeof estimateSchema>;
export type NewJugRequest = z.infer<typeof newJugRequest>;
export type JugEntryRequest = z.infer<typeof jugEntryRequest>;
