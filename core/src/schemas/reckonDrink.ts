import { z } from 'zod';
import { CONSTANTS } from '../constants.ts';
import { ICE_KINDS } from '../cup/ice.ts';
import { SERVES } from '../caution/drinkCautions.ts';
import { ALLERGENS } from '../matter/ingredients.ts';
import { cautionSchema } from './common.ts';
import { idSchema } from './document.ts';

const LIQUID_C = z.number().min(0).max(100);
const ICE_C = z.number().min(-40).max(0);
const CUP_ML = 20_000;

/** An ingredient of the shop's pantry, or a part of the house. */
const ingredient = idSchema;

/** A house-made part that the ice is; its strength then stands for `coffeeFrac`. */
const part = idSchema.optional();

export const iceSchema = z.union([
  z.strictObject({
    massG: z.number().min(0).max(CUP_ML),
    tempC: ICE_C.default(-2),
    coffeeFrac: z.number().min(0).max(0.5).default(0),
    kind: z.enum(ICE_KINDS).default('cubes'),
    part,
  }),
  z.strictObject({
    fill: z.literal('full'),
    tempC: ICE_C.default(-2),
    coffeeFrac: z.number().min(0).max(0.5).default(0),
    kind: z.enum(ICE_KINDS).default('cubes'),
    part,
  }),
]);

export const additionSchema = z.strictObject({
  ingredient,
  volumeMl: z.number().min(0).max(CUP_ML),
  tempC: LIQUID_C.default(4),
});

export const fillWithSchema = z.strictObject({
  ingredient,
  tempC: LIQUID_C.default(4),
  /** Its share of the volume, beside the other fillers. */
  share: z.number().positive().max(1000).default(1),
});

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
  z.strictObject({ caffeineMg: z.number().min(0).max(20_000) }),
  z.strictObject({
    concentrateMl: z.number().min(0).max(CUP_ML),
    /** How it is told and written; the amount is in mL all the same. */
    told: z.enum(['volume', 'spoons']).default('volume'),
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
  fillAlso: z.array(fillWithSchema).max(6).default([]),
  target: targetSchema,
  roomC: z.number().min(0).max(50).default(22),
  stirredDown: z.boolean().default(false),
  chilledToC: LIQUID_C.nullable().default(null),
  shares: z.number().int().min(1).max(50).default(1),
  serve: z.enum(SERVES).default('built'),
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
      levelMl: z.number(),
    }),
  ),
  fills: z.array(z.object({ ingredient: idSchema, massG: z.number(), volumeMl: z.number() })),
  levelMl: z.number(),
  energyKcal: z.number(),
  sugarG: z.number(),
  caffeineMg: z.number(),
  alcoholFrac: z.number(),
  /** When it tastes as it was meant; null where it never does. */
  window: z.object({ fromMinutes: z.number(), toMinutes: z.number() }).nullable(),
  /** Single changes that would bring a drink out of reach to its target. */
  ways: z.array(z.object({ way: z.string(), text: z.string() })),
  allergens: z.array(z.enum(ALLERGENS)),
  cautions: z.array(cautionSchema),
});

export type ReckonDrinkRequest = z.infer<typeof reckonDrinkRequest>;
export type ReckonDrinkResponse = z.infer<typeof reckonDrinkResponse>;
