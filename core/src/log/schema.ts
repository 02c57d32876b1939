import { z } from 'zod';
import { FILTRATION_METHODS } from '../brew/filtration.ts';
import { learnedSchema } from '../brew/learnedSchema.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import { authorSchema, idSchema, instantSchema } from '../document/schema.ts';
import { LOG_SORTS } from './logPage.ts';

const date = z.iso.date();

/** What is sought in the log, as it stands in an address. */
export const logQuery = z.strictObject({
  /** Words of coffee, vessel, grind, notes and people; each has to be there. */
  text: z.string().max(200).default(''),
  coffee: z.string().max(80).default(''),
  grind: z.enum(GRIND_NAMES).or(z.literal('')).default(''),
  /** Dates of the shop's calendar, both of them in it. */
  from: date.or(z.literal('')).default(''),
  to: date.or(z.literal('')).default(''),
  sort: z.enum(LOG_SORTS).default('date'),
  order: z.enum(['asc', 'desc']).default('desc'),
  page: z.coerce.number().int().min(1).max(100_000).default(1),
});

/** One batch in the log, as a line. */
const logRowSchema = z.object({
  id: idSchema,
  coffeeName: z.string(),
  coffeeId: z.string(),
  vesselName: z.string(),
  grind: z.enum(GRIND_NAMES),
  doseG: z.number(),
  waterG: z.number(),
  method: z.enum(FILTRATION_METHODS),
  status: z.enum(['steeping', 'strained', 'abandoned']),
  startedAt: instantSchema,
  strainedAt: instantSchema.nullable(),
  /** Really steeped, h; null until it is strained. */
  hours: z.number().nullable(),
  predictedFrac: z.number(),
  lowFrac: z.number(),
  highFrac: z.number(),
  /** As it was read; null where nobody did. */
  foundFrac: z.number().nullable(),
  predictedBrewG: z.number(),
  /** What came out; null where nobody weighed it. */
  brewG: z.number().nullable(),
  /** Which model predicted it: 0 for the handbook's, or the version of what was learned. */
  model: z.number().int().min(0),
  author: authorSchema,
});

export const logAnswer = z.object({
  rows: z.array(logRowSchema),
  /** How many there are in all. */
  total: z.number().int(),
  page: z.number().int(),
});

/** What was learned from the log, as it was accepted. */
export const learnedVersionSchema = z.object({
  id: idSchema,
  at: instantSchema,
  author: authorSchema,
  number: z.number().int().min(1),
  /** Null where the handbook's values were taken back. */
  learned: learnedSchema.nullable(),
  /** How many batches it rests on. */
  batchCount: z.number().int().min(0),
});

/** Accepting what was learned, or going back to a version before, or to the handbook. */
export const acceptLearnedRequest = z.strictObject({
  id: idSchema,
  learned: learnedSchema.nullable(),
  batchCount: z.number().int().min(0).max(1e6),
});

export type LogQuery = z.infer<typeof logQuery>;
export type LogAnswer = z.infer<typeof logAnswer>;
export type LogRow = z.infer<typeof logRowSchema>;
export type LearnedVersion = z.infer<typeof learnedVersionSchema>;
export type AcceptLearnedRequest = z.infer<typeof acceptLearnedRequest>;
