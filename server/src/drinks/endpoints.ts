import { drinkSchema, drinkVersionSchema, keepDrinkRequest } from '@ratio/core/drink';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import { mayDo } from '@ratio/core/shop';
import { ProblemError } from '../problem.ts';
import type { DrinkService } from './service.ts';

/** The menu. */
export const drinkEndpoints = (drinks: DrinkService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/drinks',
    summary: 'The menu, in its order',
    answer: z.array(drinkSchema),
    isStored: true,
    handle: ({ caller }) => drinks.list(caller),
  }),
  endpoint({
    method: 'get',
    path: '/api/drinks/{id}/versions',
    summary: 'The history of a drink, and how somebody likes it, the latest first',
    answer: z.array(drinkVersionSchema),
    handle: ({ caller, params }) => drinks.versions(caller, idOf(params)),
  }),
  endpoint({
    method: 'post',
    path: '/api/drinks/{id}/versions',
    summary:
      'Keep a drink with what changed: as the usual (needs If-Match, 0 for a new drink), or for somebody',
    body: keepDrinkRequest,
    answer: drinkSchema,
    status: 201,
    handle: ({ caller, body, params, seenVersion }) => {
      if (body.forWhom === '' && !mayDo(caller.role, 'brews'))
        throw new ProblemError('not_allowed', 'That takes somebody who brews.');
      return drinks.keep(caller, { id: idOf(params), seenVersion, request: body });
    },
  }),
  endpoint({
    method: 'delete',
    path: '/api/drinks/{id}',
    summary: 'Take a drink off the menu; its versions stay; needs If-Match',
    answer: z.strictObject({ id: z.string() }),
    handle: async ({ caller, params, seenVersion }) => {
      const id = idOf(params);
      await drinks.remove(caller, { id, seenVersion });
      return { id };
    },
  }),
];
