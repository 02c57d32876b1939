import { z } from 'zod';
import { documentFields, idSchema, instantSchema } from './document.ts';
import { BATCH_LIMITS } from './reckonBatch.ts';

/** Concentrate on hand. What is in it is the sum of its ledger. */
export const jugSchema = z.object({
  ...documentFields,
  label: z.string(),
  coffeeName: z.string(),
  batchId: idSchema.nullable(),
  strengthFrac: z.number(),
  readBy: z.enum(['refractometer', 'prediction']),
  caffeineMgPerG: z.number(),
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
  kind: z.enum(['filled', 'poured', 'undone']),
  massG: z.number(),
  note: z.string(),
  at: instantSchema,
});

/** Drawing concentrate off for a drink, or taking the jug's latest draw back. */
export const jugEntryRequest = z.union([
  z.strictObject({
    id: idSchema,
    kind: z.literal('poured'),
    massG: z.number().positive().max(BATCH_LIMITS.waterG),
    note: z.string().max(200).default(''),
  }),
  z.strictObject({ id: idSchema, kind: z.literal('undone'), entryId: idSchema }),
]);

export type Jug = z.infer<typeof jugSchema>;
export type JugEntry = z.infer<typeof jugEntrySchema>;
export type JugEntryRequest = z.infer<typeof jugEntryRequest>;
