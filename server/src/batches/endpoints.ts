import {
  batchesQuery,
  batchInFullSchema,
  batchSchema,
  noteRequest,
  splitBatchRequest,
  startBatchRequest,
  strainBatchRequest,
} from '@ratio/core/batch';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { BatchService } from './service.ts';

/** Batches: started, running, strained. */
export const batchEndpoints = (batches: BatchService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/batches',
    summary:
      'Every batch that steeps or left something to clean, and the latest others, the one that ended first at the head; the log has all',
    query: batchesQuery,
    answer: z.array(batchSchema),
    isStored: true,
    handle: ({ caller, query }) => batches.list(caller, query),
  }),
  endpoint({
    method: 'get',
    path: '/api/running',
    summary: 'Every batch that steeps, with what really happened to it so far',
    answer: z.array(batchInFullSchema),
    handle: ({ caller }) => batches.running(caller),
  }),
  endpoint({
    method: 'get',
    path: '/api/batches/{id}',
    summary: 'One batch with its plan, its prediction and what really happened',
    answer: batchInFullSchema,
    handle: ({ caller, params }) => batches.get(caller, idOf(params)),
  }),
  endpoint({
    method: 'post',
    path: '/api/batches',
    summary: 'Start a steep; sent again with the same id it starts nothing twice',
    body: startBatchRequest,
    answer: batchSchema,
    status: 201,
    handle: ({ caller, body }) => batches.start(caller, body),
  }),
  endpoint({
    method: 'post',
    path: '/api/batches/{id}/actuals',
    summary:
      'Note what really happened: coffee weighed, water poured, a temperature, a stir, a reading; sent again with the same id it counts once',
    body: noteRequest,
    answer: batchInFullSchema,
    status: 201,
    handle: ({ caller, body, params }) => batches.note(caller, { id: idOf(params), request: body }),
  }),
  endpoint({
    method: 'post',
    path: '/api/batches/{id}/split',
    summary:
      'Split a running batch: a share of it steeps on in another vessel as a batch of its own',
    body: splitBatchRequest,
    answer: batchSchema,
    status: 201,
    handle: ({ caller, body, params }) =>
      batches.split(caller, { id: idOf(params), request: body }),
  }),
  endpoint({
    method: 'post',
    path: '/api/batches/{id}/strain',
    summary:
      'Strain a batch into one jug or several; needs If-Match with the version that was seen',
    body: strainBatchRequest,
    answer: batchSchema,
    handle: ({ caller, body, params, seenVersion }) =>
      batches.strain(caller, { id: idOf(params), seenVersion, request: body }),
  }),
];
