import { z } from 'zod';
import { SEPARATION_NAMES } from '../brew/separation.ts';
import { WETTING_NAMES } from '../brew/wetting.ts';
import { COFFEE_FORMS, GRIND_NAMES } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { cautionSchema, rangeSchema, strengthNameSchema } from './common.ts';

/** Largest amounts that a shop's bench can hold; beyond them a slip of the finger is likelier. */
export const BATCH_LIMITS = {
  doseG: 50_000,
  waterG: 500_000,
  volumeMl: 500_000,
  hours: 168,
} as const;

const positive = (max: number) => z.number().positive().max(max);
const tempC = z.number().min(0).max(100);

export const doseSchema = z.union([
  z.strictObject({ massG: positive(BATCH_LIMITS.doseG) }),
  z.strictObject({
    volumeMl: positive(BATCH_LIMITS.volumeMl / 4),
    form: z.enum(COFFEE_FORMS).default('ground'),
  }),
]);

export const waterSchema = z.union([
  z.strictObject({ massG: positive(BATCH_LIMITS.waterG) }),
  z.strictObject({ volumeMl: positive(BATCH_LIMITS.volumeMl), tempC: tempC.default(20) }),
  z.strictObject({ ratio: z.number().min(0.1).max(200) }),
  z.strictObject({ fillToMl: positive(BATCH_LIMITS.volumeMl) }),
]);

export const coffeeSchema = z.strictObject({
  solubleFrac: z.number().min(0.05).max(0.35).default(CONSTANTS.solubleFrac.value),
  robustaFrac: z.number().min(0).max(1).default(0),
  decafFrac: z.number().min(0).max(1).default(0),
});

export const steepPieceSchema = z.strictObject({ hours: positive(BATCH_LIMITS.hours), tempC });

export const separationSchema = z.strictObject({
  method: z.enum(SEPARATION_NAMES).default('drain'),
  rinseG: z.number().min(0).max(BATCH_LIMITS.waterG).default(0),
});

/** Body of a request to reckon a batch. */
export const reckonBatchRequest = z.strictObject({
  dose: doseSchema,
  water: waterSchema,
  grind: z.enum(GRIND_NAMES),
  coffee: coffeeSchema.prefault({}),
  wetting: z.enum(WETTING_NAMES).default('stages'),
  steep: z
    .array(steepPieceSchema)
    .min(1)
    .max(20)
    .refine(
      (pieces) => pieces.reduce((sum, piece) => sum + piece.hours, 0) <= BATCH_LIMITS.hours,
      `The steep is longer than ${BATCH_LIMITS.hours} h in all.`,
    ),
  agitationHours: z.array(z.number().min(0).max(BATCH_LIMITS.hours)).max(50).default([]),
  separation: separationSchema.prefault({}),
});

/** What comes out of a batch. */
export const reckonBatchResponse = z.object({
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
  range: z.object({ strengthFrac: rangeSchema, brewMl: rangeSchema }),
  curve: z.array(
    z.object({ hours: z.number(), extractionYieldFrac: z.number(), strengthFrac: z.number() }),
  ),
  cautions: z.array(cautionSchema),
});

export type ReckonBatchRequest = z.infer<typeof reckonBatchRequest>;
export type ReckonBatchResponse = z.infer<typeof reckonBatchResponse>;
