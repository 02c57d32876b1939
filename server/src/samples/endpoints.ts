import { sampleSetSchema, saveSampleSetRequest } from '@ratio/core';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { SampleService } from './service.ts';

/** Sets of small jars, steeped side by side. */
export const sampleEndpoints = (samples: SampleService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/samples',
    summary: 'Sets of small jars',
    answer: z.array(sampleSetSchema),
    handle: () => samples.list(),
  }),
  endpoint({
    method: 'put',
    path: '/api/samples/{id}',
    summary: 'Save a set, its start or its scores; needs If-Match, 0 for a new one',
    body: saveSampleSetRequest,
    answer: sampleSetSchema,
    handle: ({ body, params, seenVersion }) =>
      samples.save({ id: idOf(params), seenVersion, body }),
  }),
];
