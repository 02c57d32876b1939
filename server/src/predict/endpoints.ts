import { predictBatch, predictBatchRequest, predictBatchResponse } from '@ratio/core/batch';
import { predictDrink, predictDrinkRequest, predictDrinkResponse } from '@ratio/core/drink';
import { predictRecipe, predictRecipeRequest, predictRecipeResponse } from '@ratio/core/recipeText';
import { endpoint, type Endpoint } from '../endpoint.ts';
import { requirePourable, type PantryService } from '../pantry/service.ts';
import { ProblemError } from '../problem.ts';

/** The arithmetic for outside programs; it keeps nothing. */
export const predictEndpoints = (pantry: PantryService): readonly Endpoint[] => [
  endpoint({
    method: 'post',
    path: '/api/predict/recipe',
    summary: 'A recipe in words and spoons, made comparable',
    body: predictRecipeRequest,
    answer: predictRecipeResponse,
    handle: ({ body }) => {
      const { status: _, ...recipe } = predictRecipe(body.text);
      if ('steep' in recipe) return recipe;
      const message =
        'message' in recipe
          ? recipe.message
          : 'This tells a drink and no batch. Ask /api/predict/drink what it comes to.';
      throw new ProblemError('unreadable', message, {
        issues: [{ path: 'text', message }],
      });
    },
  }),
  endpoint({
    method: 'post',
    path: '/api/predict/batch',
    summary: 'From what goes into a batch to what comes out',
    body: predictBatchRequest,
    answer: predictBatchResponse,
    handle: ({ body }) => predictBatch(body),
  }),
  endpoint({
    method: 'post',
    path: '/api/predict/drink',
    summary: 'Concentrate and diluents that bring a cup to its strength',
    body: predictDrinkRequest,
    answer: predictDrinkResponse,
    handle: async ({ caller, body }) => {
      const known = (await pantry.resolved(caller)).pantry;
      requirePourable(body, known);
      return predictDrink(body, known);
    },
  }),
];
