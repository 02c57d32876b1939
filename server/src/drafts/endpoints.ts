import { draftSchema, saveDraftRequest } from '@ratio/core/batch';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { DraftService } from './service.ts';

/** Plans before they are started. */
export const draftEndpoints = (drafts: DraftService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/drafts',
    summary: 'Drafts, the one saved last at the head',
    answer: z.array(draftSchema),
    isStored: true,
    handle: ({ caller }) => drafts.list(caller),
  }),
  endpoint({
    method: 'put',
    path: '/api/drafts/{id}',
    summary: 'Save a draft; needs If-Match with the version that was seen, 0 for a new one',
    body: saveDraftRequest,
    answer: draftSchema,
    handle: ({ caller, body, params, seenVersion }) =>
      drafts.save(caller, { id: idOf(params), seenVersion, request: body }),
  }),
];
