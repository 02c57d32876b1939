import { z } from 'zod';
import { TARGET_KEYS } from '../brew/solve.ts';
import { planSchema } from './schema.ts';
import { documentFields, instantSchema } from '../document/schema.ts';

const targetSchema = z.strictObject({
  key: z.enum(TARGET_KEYS),
  value: z.number().positive(),
});

/** A plan before it is started: its choices, and the two amounts that are set. */
const draftFields = {
  plan: planSchema,
  targets: z.tuple([targetSchema, targetSchema]),
  locked: z.enum(TARGET_KEYS).nullable(),
  /** Whether the coffee was measured by volume. */
  scooped: z.boolean(),
  /** When it is to start; null for now. */
  startAt: instantSchema.nullable(),
};

/** A draft as the server keeps it for every tablet. */
export const draftSchema = z.object({
  ...documentFields,
  ...draftFields,
  savedAt: instantSchema,
});

/** Saving a draft; If-Match holds the version that was seen, 0 for a new one. */
export const saveDraftRequest = z.strictObject(draftFields);

export type Draft = z.infer<typeof draftSchema>;
export type SaveDraftRequest = z.infer<typeof saveDraftRequest>;
