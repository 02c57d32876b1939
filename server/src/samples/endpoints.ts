import { sampleSetSchema, type SampleSet } from '@ratio/core/batch';
import { documentEndpoints, type Endpoint } from '../endpoint.ts';
import type { KeptDocuments } from '../keepDocuments.ts';

/** Sets of small jars, steeped side by side. */
export const sampleEndpoints = (samples: KeptDocuments<SampleSet>): readonly Endpoint[] =>
  documentEndpoints({
    path: '/api/samples',
    schema: sampleSetSchema,
    list: 'Sets of small jars',
    save: 'Save a set, its start or its scores; needs If-Match, 0 for a new one',
    documents: samples,
  });
