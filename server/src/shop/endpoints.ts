import { shopSchema } from '@ratio/core/shop';
import { z } from 'zod';
import type { Clock } from '../clock.ts';
import { bodyOf, endpoint, type Endpoint } from '../endpoint.ts';
import type { ShopService } from './service.ts';

/** The shop that this server serves. */
export const shopEndpoints = (shop: ShopService, clock: Clock): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/shop',
    summary: 'The shop, and what its clock says',
    answer: shopSchema.extend({
      now: z.iso.datetime(),
      clockFrozen: z.boolean(),
      clockBehindMs: z.number(),
    }),
    handle: async ({ caller }) => ({
      ...(await shop.get(caller)),
      now: clock.now().toISOString(),
      clockBehindMs: clock.behindMs(),
      clockFrozen: clock.frozen,
    }),
  }),
  endpoint({
    method: 'put',
    path: '/api/shop',
    summary: 'Change the shop; needs If-Match with the version that was seen',
    body: bodyOf(shopSchema),
    answer: shopSchema,
    handle: ({ caller, body, seenVersion }) => shop.save(caller, { seenVersion, body }),
  }),
];
