import { z } from 'zod';
import { SEPARATION_NAMES } from '../brew/separation.ts';
import { WETTING_NAMES } from '../brew/wetting.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import { strengthNameSchema } from './common.ts';
import { documentFields, idSchema, instantSchema } from './document.ts';
import { BATCH_LIMITS, coffeeSchema } from './reckonBatch.ts';

/** Where a slurry steeps. */
export const STEEP_PLACES = ['fridge', 'counter'] as const;

/** One stretch of the steep in one place. */
export const planPieceSchema = z.strictObject({
  place: z.enum(STEEP_PLACES),
  tempC: z.number().min(0).max(50),
  hours: z.number().positive().max(BATCH_LIMITS.hours),
});

/** What a brewer decides about a batch. */
export const planSchema = z.strictObject({
  coffeeId: idSchema,
  vesselId: idSchema,
  grind: z.enum(GRIND_NAMES),
  doseG: z.number().positive().max(BATCH_LIMITS.doseG),
  waterG: z.number().positive().max(BATCH_LIMITS.waterG),
  waterC: z.number().min(0).max(100),
  wetting: z.enum(WETTING_NAMES),
  steep: z.array(planPieceSchema).min(1).max(10),
  agitationHours: z.array(z.number().min(0).max(BATCH_LIMITS.hours)).max(20),
  separation: z.strictObject({
    method: z.enum(SEPARATION_NAMES),
    rinseG: z.number().min(0).max(BATCH_LIMITS.waterG),
  }),
});

/** A prediction as it was when the steep began. */
export const predictionSchema = z.object({
  extractionYieldFrac: z.number(),
  releasedFrac: z.number(),
  strengthFrac: z.number(),
  strengthName: strengthNameSchema,
  brewG: z.number(),
  brewMl: z.number(),
  retainedG: z.number(),
  caffeineMgPerG: z.number(),
  strengthLowFrac: z.number(),
  strengthHighFrac: z.number(),
});

/** A batch that was started: the plan, the coffee and the prediction as they were then. */
export const batchSchema = z.object({
  ...documentFields,
  coffeeName: z.string(),
  vesselName: z.string(),
  coffee: coffeeSchema,
  plan: planSchema,
  predicted: predictionSchema,
  status: z.enum(['steeping', 'strained']),
  startedAt: instantSchema,
  endsAt: instantSchema,
  strainedAt: instantSchema.nullable(),
});

/** Starting a steep. The id is the client's, so that a repeated request starts nothing twice. */
export const startBatchRequest = z.strictObject({ id: idSchema, plan: planSchema });

/** Straining a batch into a jug: what was weighed, and read where somebody read it. */
export const strainBatchRequest = z.strictObject({
  jugId: idSchema,
  brewG: z.number().positive().max(BATCH_LIMITS.waterG),
  strengthFrac: z.number().positive().max(0.3).optional(),
});

export type Plan = z.infer<typeof planSchema>;
export type Batch = z.infer<typeof batchSchema>;
export type Prediction = z.infer<typeof predictionSchema>;
export type StartBatchRequest = z.infer<typeof startBatchRequest>;
export type StrainBatchRequest = z.infer<typeof strainBatchRequest>;
