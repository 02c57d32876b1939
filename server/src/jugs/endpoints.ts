import {
  jugEntryRequest,
  jugEntrySchema,
  jugSchema,
  ledgerSchema,
  newJugRequest,
  type JugEntryRequest,
} from '@ratio/core/jug';
import { mayDo } from '@ratio/core/shop';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import { ProblemError } from '../problem.ts';
import type { JugService } from './service.ts';

/** What changes a jug's strength. */
const BREWING: readonly JugEntryRequest['kind'][] = ['read', 'watered', 'blended', 'corrected'];

/** Jugs on hand, and the entries of their ledgers. */
export const jugEndpoints = (jugs: JugService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/jugs',
    summary: 'Every jug that holds something, oldest first',
    answer: z.array(jugSchema),
    handle: ({ caller }) => jugs.list(caller),
  }),
  endpoint({
    method: 'post',
    path: '/api/jugs',
    summary:
      'Take in a jug that was filled elsewhere: its strength read, by the ratio and hours it was made with, or by the parts at which it tastes right; sent again with the same id it counts once',
    body: newJugRequest,
    answer: jugSchema,
    status: 201,
    handle: ({ caller, body }) => jugs.add(caller, body),
  }),
  endpoint({
    method: 'get',
    path: '/api/jugs/{id}',
    summary: 'One jug, an emptied one too',
    answer: jugSchema,
    handle: ({ caller, params }) => jugs.get(caller, idOf(params)),
  }),
  endpoint({
    method: 'get',
    path: '/api/jugs/{id}/entries',
    summary: 'A jug’s ledger, the latest row first',
    answer: z.array(jugEntrySchema),
    isStored: true,
    handle: ({ caller, params }) => jugs.entries(caller, idOf(params)),
  }),
  endpoint({
    method: 'get',
    path: '/api/ledger',
    summary:
      'Every jug that holds something with its ledger in the order of writing, and the jugs that it was blended with',
    answer: ledgerSchema,
    isStored: true,
    handle: ({ caller }) => jugs.ledger(caller),
  }),
  endpoint({
    method: 'post',
    path: '/api/jugs/{id}/entries',
    summary:
      'Draw off, read, thin, count, discard, correct, blend from another jug, or take something back; sent again with the same id it counts once, and something else under it is refused',
    body: jugEntryRequest,
    answer: jugSchema,
    status: 201,
    handle: ({ caller, body, params }) => {
      if (BREWING.includes(body.kind) && !mayDo(caller.role, 'brews'))
        throw new ProblemError('not_allowed', 'That takes somebody who brews.');
      return jugs.enter(caller, { id: idOf(params), request: body });
    },
  }),
];
