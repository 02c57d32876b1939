import {
  reckonBatch,
  reckonBatchRequest,
  reckonBatchResponse,
  reckonDrink,
  reckonDrinkRequest,
  reckonDrinkResponse,
  reckonRecipe,
  reckonRecipeRequest,
  reckonRecipeResponse,
} from '@ratio/core';
import { endpoint, type Endpoint } from '../endpoint.ts';
import { requirePourable, type PantryService } from '../pantry/service.ts';
import { ProblemError } from '../problem.ts';

/** The arithmetic for outside programs; it keeps nothing. */
export const reckonEndpoints = (pantry: PantryService): readonly Endpoint[] => [
  endpoint({
    method: 'post',
    path: '/api/reckon/recipe',
    summary: 'A recipe as told in words and spoons, made comparable',
    body: reckonRecipeRequest,
    answer: reckonRecipeResponse,
    handle: ({ body }) => {
      const { status: _, ...recipe } = reckonRecipe(body.text);
      if (!('message' in recipe)) return recipe;
      const { message } = recipe;
      throw new ProblemError('unreadable', message, { issues: [{ path: 'text', message }] });
    },
  }),
  endpoint({
    method: 'post',
    path: '/api/reckon/batch',
    summary: 'From what goes into a batch to what comes out',
    body: reckonBatchRequest,
    answer: reckonBatchResponse,
    handle: ({ body }) => reckonBatch(body),
  }),
  endpoint({
    method: 'post',
    path: '/api/reckon/drink',
    summary: 'Concentrate and filler that bring a cup to its strength',
    body: reckonDrinkRequest,
    answer: reckonDrinkResponse,
    handle: async ({ body }) => {
      const known = (await pantry.resolved()).pantry;
      requirePourable(body, known);
      return reckonDrink(body, known);
    },
  }),
];
