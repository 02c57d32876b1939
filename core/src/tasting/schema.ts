import { z } from 'zod';
import {
  authorSchema,
  documentFields,
  idSchema,
  instantSchema,
  nameSchema,
} from '../document/schema.ts';
import { BLIND_KINDS } from './blindKinds.ts';
import { SCALE_NAMES } from './scales.ts';

/** What can be tasted. */
const TASTED_KINDS = ['batch', 'jug', 'drink', 'jar'] as const;

const saidFields = {
  /** How it was served. */
  served: z.enum(['cold', 'hot']).default('cold'),
  diluted: z.boolean().default(false),
  scores: z.partialRecord(z.enum(SCALE_NAMES), z.number().int().min(1).max(5)),
};

/** What somebody tasted: a row that nothing overwrites. */
export const tastingSchema = z.object({
  id: idSchema,
  at: instantSchema,
  author: authorSchema,
  /** Of what was tasted. */
  of: idSchema,
  kind: z.enum(TASTED_KINDS),
  taster: z.string(),
  note: z.string(),
  said: z.object(saidFields),
});

export const tastingRequest = z.strictObject({
  id: idSchema,
  of: idSchema,
  kind: z.enum(TASTED_KINDS),
  taster: z.string().trim().max(40).default(''),
  note: z.string().trim().max(200).default(''),
  said: z.strictObject(saidFields),
  at: instantSchema.optional(),
});

const sideSchema = z.enum(['A', 'B']);
/** What one taster gets: cups in an order, each with a code that says nothing. */
const servingSchema = z.strictObject({
  cups: z
    .array(z.strictObject({ side: sideSchema, code: z.string().regex(/^\d{3}$/) }))
    .min(2)
    .max(3),
  /** The place of the cup that was picked; null before. */
  picked: z.number().int().min(0).max(2).nullable(),
  taster: z.string().trim().max(40),
});

/** A blind comparison of two, from its plan to its answers. */
export const blindTestSchema = z.object({
  ...documentFields,
  kind: z.enum(BLIND_KINDS),
  /** What is compared. */
  a: nameSchema,
  b: nameSchema,
  aId: idSchema.nullable(),
  bId: idSchema.nullable(),
  begunAt: instantSchema,
  servings: z.array(servingSchema).min(1).max(200),
});

export type Tasting = z.infer<typeof tastingSchema>;
export type TastingRequest = z.infer<typeof tastingRequest>;
export type Serving = z.infer<typeof servingSchema>;
export type BlindTest = z.infer<typeof blindTestSchema>;
