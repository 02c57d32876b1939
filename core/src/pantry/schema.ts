import { z } from 'zod';
import { massG } from '../matter/composition.ts';
import { ALLERGENS, INGREDIENT_KINDS } from './ingredients.ts';
import { documentFields, idSchema, instantSchema, nameSchema } from '../document/schema.ts';

const grams = z.number().min(0).max(100);

/** Labels round to tenths: eight of them may be off 100 g by so much. */
const ROUNDING_G = 1;
const compositionSchema = z
  .strictObject({
    waterG: grams,
    coffeeG: grams,
    sugarG: grams,
    carbohydrateG: grams,
    fatG: grams,
    proteinG: grams,
    ashG: grams,
    ethanolG: grams,
  })
  .refine(
    (parts) => Math.abs(massG(parts) - 100) <= ROUNDING_G,
    'What 100 g are made of must come to 100 g.',
  );

const ingredientFields = {
  name: nameSchema,
  kind: z.enum(INGREDIENT_KINDS),
  /** Grams of each component in 100 g. */
  per100G: compositionSchema,
  allergens: z.array(z.enum(ALLERGENS)),
  /** Life in the fridge once opened or made; null where it keeps. */
  openedDays: z.number().int().min(1).max(3650).nullable(),
  /** Loose density of what is spooned; null for what is poured. */
  looseGPerMl: z.number().min(0.05).max(3).nullable(),
  overrunFrac: z.number().min(0).max(6),
  caffeineMgPerG: z.number().min(0).max(1000),
  /** Food energy that the composition does not tell, kcal/g. */
  extraKcalPerG: z.number().min(0).max(9).default(0),
  pricePerKg: z.number().min(0).max(10_000).nullable(),
  source: z.string().max(200),
  mark: z.enum(['exact', 'published', 'memory', 'practice', 'ours']),
};

/** An ingredient as other programs see it: built in, the shop's own, or made by the house. */
const ingredientSchema = z.object({ id: idSchema, ...ingredientFields });

/** An ingredient that the shop has put on its shelf, or its own say on a built-in one. */
export const pantryItemSchema = z.object({ ...documentFields, ...ingredientFields });

/** That something stands open, or was made, since when; its id is the ingredient's. */
export const openedSchema = z.object({ ...documentFields, at: instantSchema });

export const ingredientsResponse = z.array(ingredientSchema);

export type PantryItem = z.infer<typeof pantryItemSchema>;
export type Opened = z.infer<typeof openedSchema>;
