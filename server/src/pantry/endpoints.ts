import { housePartSchema, ingredientsResponse, openedSchema, pantryItemSchema } from '@ratio/core';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { PantryService } from './service.ts';

const gone = z.strictObject({ id: z.string() });

/** What can be poured, and what the house makes. */
export const pantryEndpoints = (pantry: PantryService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/ingredients',
    summary:
      'Everything that can be poured by id, built in, own and house-made, with composition per 100 g, source and allergens',
    answer: ingredientsResponse,
    handle: async () => Object.values((await pantry.resolved()).pantry),
  }),
  endpoint({
    method: 'get',
    path: '/api/pantry',
    summary: 'The shop’s own ingredients, and its own say on built-in ones',
    answer: z.array(pantryItemSchema),
    handle: () => pantry.items(),
  }),
  endpoint({
    method: 'put',
    path: '/api/pantry/{id}',
    summary: 'Change an ingredient, or put a new one on the shelf; needs If-Match, 0 for a new one',
    body: pantryItemSchema.omit({ id: true, version: true }).strict(),
    answer: pantryItemSchema,
    handle: ({ body, params, seenVersion }) =>
      pantry.saveItem({ id: idOf(params), seenVersion, body }),
  }),
  endpoint({
    method: 'delete',
    path: '/api/pantry/{id}',
    summary: 'Take an own ingredient off the shelf; needs If-Match',
    answer: gone,
    handle: async ({ params, seenVersion }) => {
      const id = idOf(params);
      await pantry.removeItem({ id, seenVersion });
      return { id };
    },
  }),
  endpoint({
    method: 'get',
    path: '/api/parts',
    summary: 'House-made parts, by name',
    answer: z.array(housePartSchema),
    handle: () => pantry.parts(),
  }),
  endpoint({
    method: 'put',
    path: '/api/parts/{id}',
    summary: 'Change a house-made part, or add one; needs If-Match, 0 for a new one',
    body: housePartSchema.omit({ id: true, version: true }).strict(),
    answer: housePartSchema,
    handle: ({ body, params, seenVersion }) =>
      pantry.savePart({ id: idOf(params), seenVersion, body }),
  }),
  endpoint({
    method: 'delete',
    path: '/api/parts/{id}',
    summary: 'Take a house-made part away; needs If-Match',
    answer: gone,
    handle: async ({ params, seenVersion }) => {
      const id = idOf(params);
      await pantry.removePart({ id, seenVersion });
      return { id };
    },
  }),
  endpoint({
    method: 'get',
    path: '/api/opened',
    summary: 'What stands open or was made, by the id of the ingredient, and since when',
    answer: z.array(openedSchema),
    handle: () => pantry.opened(),
  }),
  endpoint({
    method: 'put',
    path: '/api/opened/{id}',
    summary: 'Open a package, or make a part; needs If-Match, 0 where none stands open',
    body: openedSchema.omit({ id: true, version: true }).strict(),
    answer: openedSchema,
    handle: ({ body, params, seenVersion }) => pantry.open({ id: idOf(params), seenVersion, body }),
  }),
  endpoint({
    method: 'delete',
    path: '/api/opened/{id}',
    summary: 'It is used up or thrown away; needs If-Match',
    answer: gone,
    handle: async ({ params, seenVersion }) => {
      const id = idOf(params);
      await pantry.useUp({ id, seenVersion });
      return { id };
    },
  }),
];
