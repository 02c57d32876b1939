import { shelfCoffeeSchema, shopSchema, vesselSchema } from '@ratio/core';
import { z } from 'zod';
import type { Clock } from '../clock.ts';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { ShelfService } from './service.ts';

/** What the shop is, has and sells. */
export const shelfEndpoints = (shelf: ShelfService, clock: Clock): readonly Endpoint[] => [
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
    method: 'put',
    path: '/api/shop',
    summary: 'Change the shop; needs If-Match with the version that was seen',
    body: shopSchema.omit({ id: true, version: true }).strict(),
    answer: shopSchema,
    handle: ({ body, seenVersion }) => shelf.saveShop({ seenVersion, body }),
  }),
  endpoint({
    method: 'put',
    path: '/api/coffees/{id}',
    summary: 'Change a coffee, or put a new one on the shelf; needs If-Match, 0 for a new one',
    body: shelfCoffeeSchema.omit({ id: true, version: true }).strict(),
    answer: shelfCoffeeSchema,
    handle: ({ body, params, seenVersion }) =>
      shelf.saveCoffee({ id: idOf(params), seenVersion, body }),
  }),
  endpoint({
    method: 'put',
    path: '/api/vessels/{id}',
    summary: 'Change a vessel, or put a new one on the shelf; needs If-Match, 0 for a new one',
    body: vesselSchema.omit({ id: true, version: true }).strict(),
    answer: vesselSchema,
    handle: ({ body, params, seenVersion }) =>
      shelf.saveVessel({ id: idOf(params), seenVersion, body }),
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
];
