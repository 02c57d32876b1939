import { z } from 'zod';
import { cautionSchema } from '../caution.ts';
import { idSchema } from '../document/schema.ts';
import { ALLERGENS } from '../pantry/ingredients.ts';
import {
  additionSchema,
  CUP_ML,
  diluentSchema,
  iceSchema,
  LIQUID_C,
  MOST_DILUENTS,
  targetSchema,
} from './schema.ts';
import { SERVES } from './serve.ts';

/** Body of a request to bring a cup to a strength. */
export const predictDrinkRequest = z
  .strictObject({
    cupMl: z.number().min(10).max(CUP_ML),
    concentrate: z.strictObject({
      strengthFrac: z.number().min(0).max(0.5),
      tempC: LIQUID_C.default(4),
      caffeineMgPerG: z.number().min(0).max(30).optional(),
    }),
    ice: iceSchema.nullable().default(null),
    additions: z.array(additionSchema).max(20).default([]),
    /** What dilutes it, where that is one thing; water unless `diluents` says more. */
    fillWith: diluentSchema.optional(),
    diluents: z.array(diluentSchema).max(MOST_DILUENTS).optional(),
    target: targetSchema,
    roomC: z.number().min(0).max(50).default(22),
    stirredDown: z.boolean().default(false),
    chilledToC: LIQUID_C.nullable().default(null),
    servings: z.number().int().min(1).max(50).default(1),
    serve: z.enum(SERVES).default('built'),
  })
  .refine(({ fillWith, diluents }) => fillWith === undefined || diluents === undefined, {
    path: ['diluents'],
    message: 'Send fillWith or diluents, not both.',
  });

/** Amounts for the cup, and what becomes of it while the ice melts. */
export const predictDrinkResponse = z.object({
  status: z.enum(['met', 'too_weak', 'no_room']),
  concentrateG: z.number(),
  concentrateMl: z.number(),
  fillG: z.number(),
  fillMl: z.number(),
  iceG: z.number(),
  strengthFrac: z.number(),
  needsStrengthFrac: z.number().nullable(),
  timeline: z.array(
    z.object({
      minutes: z.number(),
      strengthFrac: z.number(),
      meltedG: z.number(),
      tempC: z.number(),
      levelMl: z.number(),
    }),
  ),
  diluents: z.array(z.object({ ingredient: idSchema, massG: z.number(), volumeMl: z.number() })),
  levelMl: z.number(),
  energyKcal: z.number(),
  sugarG: z.number(),
  caffeineMg: z.number(),
  alcoholFrac: z.number(),
  /** When it tastes as it was meant; null where it never does. */
  window: z.object({ fromMinutes: z.number(), toMinutes: z.number() }).nullable(),
  /** Single changes that would bring a drink out of reach to its target. */
  remedies: z.array(z.object({ remedy: z.string(), text: z.string() })),
  allergens: z.array(z.enum(ALLERGENS)),
  cautions: z.array(cautionSchema),
});

export type PredictDrinkRequest = z.infer<typeof predictDrinkRequest>;
export type PredictDrinkResponse = z.infer<typeof predictDrinkResponse>;
