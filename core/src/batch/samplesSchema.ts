import { z } from 'zod';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import { planSchema } from './schema.ts';
import { documentFields, idSchema, instantSchema } from '../document/schema.ts';

const sampleJarSchema = z.strictObject({
  number: z.number().int().min(1).max(9),
  grind: z.enum(GRIND_NAMES),
  ratio: z.number().positive().max(200),
  hours: z.number().positive().max(168),
  doseG: z.number().positive().max(5000),
  waterG: z.number().positive().max(50_000),
  strengthFrac: z.number().min(0).max(1),
  extractionYieldFrac: z.number().min(0).max(1),
  score: z.number().int().min(1).max(5).nullable(),
  note: z.string().max(200),
});

const sampleSetFields = {
  plan: planSchema,
  jarId: idSchema,
  jarName: z.string().max(80),
  coffeeName: z.string().max(80),
  jars: z.array(sampleJarSchema).min(1).max(9),
  /** When all of them were started; null before. */
  startedAt: instantSchema.nullable(),
};

/** A set of small jars steeped side by side. */
export const sampleSetSchema = z.object({ ...documentFields, ...sampleSetFields });

export type SampleSet = z.infer<typeof sampleSetSchema>;
