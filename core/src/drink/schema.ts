import { z } from 'zod';
import { CONSTANTS } from '../constants.ts';
import {
  authorSchema,
  documentFields,
  idSchema,
  instantSchema,
  nameSchema,
} from '../document/schema.ts';
import { ICE_KINDS } from './ice.ts';
import { SERVES } from './serve.ts';
import { GLASSES } from './glasses.ts';

export const LIQUID_C = z.number().min(0).max(100);
const ICE_C = z.number().min(-40).max(0);
export const CUP_ML = 20_000;

/** Most things that a drink is diluted with at once. */
export const MOST_DILUENTS = 7;

/** An ingredient of the shop's pantry, or a house recipe. */
const ingredient = idSchema;

/** A house recipe that the ice is frozen from; its strength then stands for `coffeeFrac`. */
const recipe = idSchema.optional();

export const iceSchema = z.union([
  z.strictObject({
    massG: z.number().min(0).max(CUP_ML),
    tempC: ICE_C.default(-2),
    coffeeFrac: z.number().min(0).max(0.5).default(0),
    kind: z.enum(ICE_KINDS).default('cubes'),
    recipe,
  }),
  z.strictObject({
    fill: z.literal('full'),
    tempC: ICE_C.default(-2),
    coffeeFrac: z.number().min(0).max(0.5).default(0),
    kind: z.enum(ICE_KINDS).default('cubes'),
    recipe,
  }),
]);

export const additionSchema = z.strictObject({
  ingredient,
  volumeMl: z.number().min(0).max(CUP_ML),
  tempC: LIQUID_C.default(4),
});

export const diluentSchema = z.strictObject({
  ingredient,
  tempC: LIQUID_C.default(4),
  /** By volume, beside those of the other diluents. */
  proportion: z.number().positive().max(1000).default(1),
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
  /** So much of the glass, to its line, is concentrate: two thirds. */
  z.strictObject({ glassFrac: z.number().positive().max(1) }),
  /** Concentrate takes the room that is left; nothing else does. */
  z.strictObject({ rest: z.literal('concentrate') }),
  z.strictObject({
    concentrateMl: z.number().min(0).max(CUP_ML),
    /** How it is typed and written; the amount is in mL all the same. */
    writtenIn: z.enum(['volume', 'spoons']).default('volume'),
  }),
]);

/** A drink of the menu. */
export const drinkSchema = z.object({
  ...documentFields,
  name: nameSchema,
  cupMl: z.number().min(10).max(20_000),
  glass: z.enum(GLASSES),
  /** How many people drink from it. */
  servings: z.number().int().min(1).max(50),
  ice: iceSchema.nullable(),
  additions: z.array(additionSchema).max(20),
  /** What takes the room that is left; none where every amount is set, or concentrate takes it. */
  diluents: z.array(diluentSchema).max(MOST_DILUENTS),
  target: targetSchema,
  stirredDown: z.boolean(),
  /** Poured in layers and served so: the first sips come from the top one. */
  layered: z.boolean().optional(),
  chilledToC: z.number().min(0).max(100).nullable(),
  serve: z.enum(SERVES),
  price: z.number().min(0),
  /** How many the shop expects to sell in a week. */
  weekCount: z.number().int().min(0).max(100_000),
  order: z.number().int(),
});

export type Drink = z.infer<typeof drinkSchema>;

/** A drink as it once was, or as somebody likes it: what changed, and for whom. */
export const drinkVersionSchema = z.object({
  id: idSchema,
  drinkId: idSchema,
  drink: drinkSchema.omit({ id: true, version: true }),
  change: z.string(),
  /** Empty for the usual. */
  forWhom: z.string(),
  at: instantSchema,
  author: authorSchema,
});

/** Keeping a drink: as the usual, or as somebody's own. */
export const keepDrinkRequest = z.strictObject({
  id: idSchema,
  drink: drinkSchema.omit({ id: true, version: true }).strict(),
  change: z.string().trim().max(300),
  forWhom: z.string().trim().max(80),
});

export type DrinkVersion = z.infer<typeof drinkVersionSchema>;
export type KeepDrinkRequest = z.infer<typeof keepDrinkRequest>;
