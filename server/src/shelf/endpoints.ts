import {
  drinkSchema,
  ingredientsResponse,
  shelfCoffeeSchema,
  shopSchema,
  vesselSchema,
} from '@ratio/core';
import { z } from 'zod';
import type { Clock } from '../clock.ts';
import { endpoint, type Endpoint } from '../endpoint.ts';
import { listIngredients, type ShelfService } from './service.ts';

/** What the shop is, has and sells. */
export const shelfEndpoints = (shelf: ShelfService, clock: Clock): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/ingredients',
    summary: 'Ingredients by id, with composition per 100 g, source and allergens',
    answer: ingredientsResponse,
    handle: listIngredients,
  }),
  endpoint({
    method: 'get',
    path: '/api/shop',
    summary: 'The shop, and what its clock says',
    answer: shopSchema.extend({ now: z.iso.datetime(), clockFrozen: z.boolean() }),
    handle: async () => ({
      ...(await shelf.shop()),
      now: clock.now().toISOString(),
      clockFrozen: clock.frozen,
    }),
  }),
  endpoint({
    method: 'get',
    path: '/api/coffees',
    summary: 'Coffees on the shelf',
    answer: z.array(shelfCoffeeSchema),
    handle: () => shelf.coffees(),
  }),
  endpoint({
    method: 'get',
    path: '/api/vessels',
    summary: 'Vessels to steep in, largest first',
    answer: z.array(vesselSchema),
    handle: () => shelf.vessels(),
  }),
  endpoint({
    method: 'get',
    path: '/api/drinks',
    summary: 'The menu, in its order',
    answer: z.array(drinkSchema),
    handle: () => shelf.drinks(),
  }),
];
