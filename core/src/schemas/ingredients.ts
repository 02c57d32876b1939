import { z } from 'zod';
import { ALLERGENS, INGREDIENT_IDS } from '../matter/ingredients.ts';

const grams = z.number().min(0);

/** An ingredient as other programs see it: composition in grams per 100 g. */
export const ingredientSchema = z.object({
  id: z.enum(INGREDIENT_IDS),
  name: z.string(),
  kind: z.string(),
  per100G: z.object({
    waterG: grams,
    coffeeG: grams,
    sugarG: grams,
    carbohydrateG: grams,
    fatG: grams,
    proteinG: grams,
    ashG: grams,
    ethanolG: grams,
  }),
  allergens: z.array(z.enum(ALLERGENS)),
  source: z.string(),
  mark: z.enum(['exact', 'published', 'memory', 'practice', 'ours']),
});

export const ingredientsResponse = z.array(ingredientSchema);
