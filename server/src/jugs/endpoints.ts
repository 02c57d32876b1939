import { jugEntryRequest, jugEntrySchema, jugSchema } from '@ratio/core/jug';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { JugService } from './service.ts';

/** Jugs: what is on hand, and each draw from it. */
export const jugEndpoints = (jugs: JugService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/jugs',
    summary: 'Every jug with what is on hand, oldest first',
    answer: z.array(jugSchema),
    handle: ({ caller }) => jugs.list(caller),
  }),
  endpoint({
    method: 'get',
    path: '/api/jugs/{id}/entries',
    summary: 'A jug’s ledger, the latest row first',
    answer: z.array(jugEntrySchema),
    handle: ({ caller, params }) => jugs.entries(caller, idOf(params)),
  }),
  endpoint({
    method: 'post',
    path: '/api/jugs/{id}/entries',
    summary:
      'Draw off, read, thin, blend from another jug, or take the latest back; sent again with the same id it counts once',
    body: jugEntryRequest,
    answer: jugSchema,
    status: 201,
    handle: ({ caller, body, params }) => jugs.enter(caller, { id: params['id']!, request: body }),
  }),
];
