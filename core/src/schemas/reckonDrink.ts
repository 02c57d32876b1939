import { z } from 'zod';
import { CONSTANTS } from '../constants.ts';
import { ICE_KINDS } from '../cup/ice.ts';
import { ALLERGENS, INGREDIENT_IDS } from '../matter/ingredients.ts';
import { cautionSchema } from './common.ts';

const LIQUID_C = z.number().min(0).max(100);
const ICE_C = z.number().min(-40).max(0);
const CUP_ML = 20_000;

const ingredient = z.enum(INGREDIENT_IDS);

export const iceSchema = z.union([
  z.strictObject({
    massG: z.number().min(0).max(CUP_ML),
    tempC: ICE_C.default(-2),
    coffeeFrac: z.number().min(0).max(0.5).default(0),
    kind: z.enum(ICE_KINDS).default('cubes'),
  }),
  z.strictObject({
    fill: z.literal('full'),
    tempC: ICE_C.default(-2),
    coffeeFrac: z.number().min(0).max(0.5).default(0),
    kind: z.enum(ICE_KINDS).default('cubes'),
  }),
]);

export const additionSchema = z.strictObject({
  ingredient,
  volumeMl: z.number().min(0).max(CUP_ML),
  tempC: LIQUID_C.default(4),
});

export const fillWithSchema = z.strictObject({ ingredient, tempC: LIQUID_C.default(4) });

export const targetSchema = z.union([
  z.strictObject({
    strengthFrac: z.number().min(0).max(0.5),
    atMinutes: z.number().min(0).max(30).default(CONSTANTS.targetMinutes.value),
  }),
  z.strictObject({
    parts: z
      .strictObject({
        concentrate: z.number().min(0).max(1000),
        fill: z.number().min(0).max(1000),
      })
      .refine(
        ({ concentrate, fill }) => concentrate + fill > 0,
        'At least one part must be above 0.',
      ),
  }),
]);

/** Body of a request to bring a cup to a strength. */
export const reckonDrinkRequest = z.strictObject({
  cupMl: z.number().min(10).max(CUP_ML),
  concentrate: z.strictObject({
    strengthFrac: z.number().min(0).max(0.5),
    tempC: LIQUID_C.default(4),
    caffeineMgPerG: z.number().min(0).max(30).optional(),
  }),
  ice: iceSchema.nullable().default(null),
  additions: z.array(additionSchema).max(20).default([]),
  fillWith: fillWithSchema.prefault({ ingredient: 'water' }),
  target: targetSchema,
  roomC: z.number().min(0).max(50).default(22),
  stirredDown: z.boolean().default(false),
});

/** Amounts for the cup, and what becomes of it while the ice melts. */
export const reckonDrinkResponse = z.object({
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
    }),
  ),
  energyKcal: z.number(),
  sugarG: z.number(),
  caffeineMg: z.number(),
  allergens: z.array(z.enum(ALLERGENS)),
  cautions: z.array(cautionSchema),
});

export type ReckonDrinkRequest = z.infer<typeof reckonDrinkRequest>;
export type ReckonDrinkResponse = z.infer<typeof reckonDrinkResponse>;
