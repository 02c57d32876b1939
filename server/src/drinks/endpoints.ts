import { drinkSchema, drinkVersionSchema, keepDrinkRequest } from '@ratio/core';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { DrinkService } from './service.ts';

/** The menu. */
export const drinkEndpoints = (drinks: DrinkService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/drinks',
    summary: 'The menu, in its order',
    answer: z.array(drinkSchema),
    handle: () => drinks.list(),
  }),
  endpoint({
    method: 'get',
    path: '/api/drinks/{id}/versions',
    summary: 'How a drink was before, and how somebody likes it, the latest first',
    answer: z.array(drinkVersionSchema),
    handle: ({ params }) => drinks.versions(idOf(params)),
  }),
  endpoint({
    method: 'post',
    path: '/api/drinks/{id}/versions',
    summary:
      'Keep a drink with what changed: as the usual (needs If-Match, 0 for a new drink), or for somebody',
    body: keepDrinkRequest,
    answer: drinkSchema,
    status: 201,
    handle: ({ body, params, seenVersion }) =>
      drinks.keep({ id: idOf(params), seenVersion, request: body }),
  }),
  endpoint({
    method: 'delete',
    path: '/api/drinks/{id}',
    summary: 'Take a drink off the menu; its versions stay; needs If-Match',
    answer: z.strictObject({ id: z.string() }),
    handle: async ({ params, seenVersion }) => {
      const id = idOf(params);
      await drinks.remove({ id, seenVersion });
      return { id };
    },
  }),
];
