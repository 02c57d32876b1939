import { z } from 'zod';
import { COFFEE_FORMS, GRIND_NAMES } from '../coffee/grinds.ts';
import { rangeSchema, strengthNameSchema } from '../brew/schema.ts';

/** Body of a request to read a recipe. */
export const predictRecipeRequest = z.strictObject({
  text: z.string().trim().min(1, 'Type or paste a recipe.').max(4000, 'At most 4000 characters.'),
});

const rangedSchema = z.object({ value: z.number(), low: z.number(), high: z.number() });
const spanSchema = z.tuple([z.number().int(), z.number().int()]);

/** A recipe as stated, made comparable. */
export const predictRecipeResponse = z.object({
  coffee: z.object({
    massG: rangedSchema,
    grind: z.enum(GRIND_NAMES),
    form: z.enum(COFFEE_FORMS),
  }),
  water: z.object({ massG: rangedSchema }),
  ratio: rangedSchema,
  steep: z.object({ hours: rangeSchema, place: z.enum(['counter', 'fridge', 'warm']).nullable() }),
  strengthFrac: rangedSchema,
  strengthName: strengthNameSchema,
  notes: z.array(z.object({ code: z.string(), text: z.string(), span: spanSchema })),
  marks: z.array(z.object({ span: spanSchema, as: z.string() })),
});

export type PredictRecipeResponse = z.infer<typeof predictRecipeResponse>;
