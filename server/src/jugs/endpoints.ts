import { jugEntryRequest, jugSchema } from '@ratio/core';
import { z } from 'zod';
import { endpoint, type Endpoint } from '../endpoint.ts';
import type { JugService } from './service.ts';

/** Jugs: what is on hand, and each draw from it. */
export const jugEndpoints = (jugs: JugService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/jugs',
    summary: 'Every jug with what is on hand, oldest first',
    answer: z.array(jugSchema),
    handle: () => jugs.list(),
  }),
  endpoint({
    method: 'post',
    path: '/api/jugs/{id}/entries',
    summary:
      'Draw concentrate off, or take a draw back; sent again with the same id it counts once',
    body: jugEntryRequest,
    answer: jugSchema,
    status: 201,
    handle: ({ body, params }) => jugs.enter({ id: params['id']!, request: body }),
  }),
];
