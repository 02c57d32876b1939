import { z } from 'zod';
import { FILTRATION_METHODS } from '../brew/filtration.ts';
import { COFFEE_FORMS, GRIND_NAMES } from '../coffee/grinds.ts';
import { rangeSchema, strengthNameSchema } from '../brew/schema.ts';

/** Body of a request to read a recipe. */
export const predictRecipeRequest = z.strictObject({
  text: z.string().trim().min(1, 'Type or paste a recipe.').max(4000, 'At most 4000 characters.'),
});

const rangedSchema = z.object({ value: z.number(), low: z.number(), high: z.number() });
const spanSchema = z.tuple([z.number().int(), z.number().int()]);

const placeSchema = z.enum(['counter', 'fridge', 'warm']).nullable();

/** A drink as somebody states it. */
const statedDrinkSchema = z.object({
  concentrateMl: z.number().nullable(),
  additions: z.array(z.object({ ingredient: z.string(), volumeMl: z.number() })),
  cupMl: z.number().nullable(),
  ice: z.union([z.object({ massG: z.number() }), z.literal('full')]).nullable(),
});

/** A recipe as stated, made comparable. */
export const predictRecipeResponse = z.object({
  coffee: z.object({
    massG: rangedSchema,
    grind: z.enum(GRIND_NAMES),
    form: z.enum(COFFEE_FORMS),
  }),
  water: z.object({ massG: rangedSchema }),
  ratio: rangedSchema,
  steep: z.object({
    hours: rangeSchema,
    place: placeSchema,
    /** One place after another. */
    pieces: z.array(z.object({ place: placeSchema, hours: rangeSchema })),
  }),
  /** Of the water, where the text states it. */
  waterC: z.number().nullable(),
  decafFrac: z.number().nullable(),
  roast: z.enum(['light', 'medium', 'dark']).nullable(),
  filtration: z.enum(FILTRATION_METHODS).nullable(),
  rinseG: z.number(),
  brewMl: rangedSchema,
  /** So many parts to one of the brew, as the text states, and the strength that this gives. */
  dilution: z
    .object({ proportion: z.number(), with: z.string(), strengthFrac: z.number() })
    .nullable(),
  /** Water into the brew once it is out. */
  thinned: z.object({ waterMl: z.number(), strengthFrac: z.number() }).nullable(),
  drink: statedDrinkSchema.nullable(),
  strengthFrac: rangedSchema,
  strengthName: strengthNameSchema,
  notes: z.array(z.object({ code: z.string(), text: z.string(), span: spanSchema })),
  marks: z.array(z.object({ span: spanSchema, as: z.string() })),
});

export type PredictRecipeResponse = z.infer<typeof predictRecipeResponse>;
