import { batchSchema, startBatchRequest, strainBatchRequest } from '@ratio/core';
import { z } from 'zod';
import { endpoint, type Endpoint } from '../endpoint.ts';
import type { BatchService } from './service.ts';

/** Batches: started, running, strained. */
export const batchEndpoints = (batches: BatchService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/batches',
    summary: 'Every batch, the one that ends first at the head',
    answer: z.array(batchSchema),
    handle: () => batches.list(),
  }),
  endpoint({
    method: 'post',
    path: '/api/batches',
    summary: 'Start a steep; sent again with the same id it starts nothing twice',
    body: startBatchRequest,
    answer: batchSchema,
    status: 201,
    handle: ({ body }) => batches.start(body),
  }),
  endpoint({
    method: 'post',
    path: '/api/batches/{id}/strain',
    summary: 'Strain a batch into a jug; needs If-Match with the version that was seen',
    body: strainBatchRequest,
    answer: batchSchema,
    handle: ({ body, params, seenVersion }) =>
      batches.strain({ id: params['id']!, seenVersion, request: body }),
  }),
];
