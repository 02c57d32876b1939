import { z } from 'zod';
import { FILTRATION_METHODS } from '../brew/filtration.ts';
import { BEDS } from '../brew/release.ts';
import { WETTING_NAMES } from '../brew/wetting.ts';
import { COFFEE_FORMS, GRIND_NAMES } from '../coffee/grinds.ts';
import { BATCH_LIMITS } from '../brew/limits.ts';
import { rangeSchema, strengthNameSchema } from '../brew/schema.ts';
import { cautionSchema } from '../caution.ts';
import { coffeeTraitsSchema } from '../coffee/schema.ts';
import { steepHoursOf } from './steepHours.ts';

const positive = (max: number) => z.number().positive().max(max);
const tempC = z.number().min(0).max(100);

const doseSchema = z.union([
  z.strictObject({ massG: positive(BATCH_LIMITS.doseG) }),
  z.strictObject({
    volumeMl: positive(BATCH_LIMITS.volumeMl / 4),
    form: z.enum(COFFEE_FORMS).default('ground'),
  }),
]);

const waterSchema = z.union([
  z.strictObject({ massG: positive(BATCH_LIMITS.waterG) }),
  z.strictObject({ volumeMl: positive(BATCH_LIMITS.volumeMl), tempC: tempC.default(20) }),
  z.strictObject({ ratio: z.number().min(0.1).max(200) }),
  z.strictObject({ fillToMl: positive(BATCH_LIMITS.volumeMl) }),
]);

const steepPieceSchema = z.strictObject({ hours: positive(BATCH_LIMITS.hours), tempC });

const filtrationSchema = z.strictObject({
  method: z.enum(FILTRATION_METHODS).default('drain'),
  rinseG: z.number().min(0).max(BATCH_LIMITS.waterG).default(0),
});

/** Body of a request to predict a batch. */
export const predictBatchRequest = z.strictObject({
  dose: doseSchema,
  water: waterSchema,
  grind: z.enum(GRIND_NAMES),
  coffee: coffeeTraitsSchema.prefault({}),
  wetting: z.enum(WETTING_NAMES).default('stages'),
  steep: z
    .array(steepPieceSchema)
    .min(1)
    .max(20)
    .refine(
      (steep) => steepHoursOf({ steep }) <= BATCH_LIMITS.hours,
      `The steep is longer than ${BATCH_LIMITS.hours} h in all.`,
    ),
  /** Grounds loose in the water, or held together in a bag or under a plunger. */
  bed: z.enum(BEDS).default('loose'),
  agitationHours: z.array(z.number().min(0).max(BATCH_LIMITS.hours)).max(50).default([]),
  filtration: filtrationSchema.prefault({}),
});

/** What comes out of a batch. */
export const predictBatchResponse = z.object({
  doseG: z.number(),
  waterG: z.number(),
  ratio: z.number(),
  extractionYieldFrac: z.number(),
  releasedFrac: z.number(),
  strengthFrac: z.number(),
  strengthName: strengthNameSchema,
  brewG: z.number(),
  brewMl: z.number(),
  retainedG: z.number(),
  slurryMl: z.number(),
  caffeineMgPerG: z.number(),
  range: z.object({
    strengthFrac: rangeSchema,
    brewMl: rangeSchema,
    caffeineMgPerG: rangeSchema,
  }),
  curve: z.array(
    z.object({ hours: z.number(), extractionYieldFrac: z.number(), strengthFrac: z.number() }),
  ),
  cautions: z.array(cautionSchema),
});

export type PredictBatchRequest = z.infer<typeof predictBatchRequest>;
export type PredictBatchResponse = z.infer<typeof predictBatchResponse>;
