import { batchInFullSchema } from '@ratio/core/batch';
import {
  acceptLearnedRequest,
  learnedVersionSchema,
  logAnswer,
  logQuery,
  weekSchema,
} from '@ratio/core/log';
import {
  blindTestSchema,
  tastingRequest,
  tastingSchema,
  type BlindTest,
} from '@ratio/core/tasting';
import { z } from 'zod';
import { documentEndpoints, endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { KeptDocuments } from '../keepDocuments.ts';
import type { LogService } from './service.ts';

/** The log: search, learned constants, tastings. */
export const logEndpoints = (
  log: LogService,
  blindTests: KeptDocuments<BlindTest>,
): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/log',
    summary: 'Every batch as a line: found by words, coffee, grind and date, sorted, 50 to a page',
    query: logQuery,
    answer: logAnswer,
    handle: ({ caller, query }) => log.page(caller, query),
  }),
  endpoint({
    method: 'get',
    path: '/api/log/lately',
    summary: 'The latest batches with all that was noted of them, for a fit',
    answer: z.array(batchInFullSchema),
    handle: ({ caller }) => log.lately(caller),
  }),
  endpoint({
    method: 'get',
    path: '/api/log/weeks',
    summary: 'What coffee cost in each of the last weeks, and what of it was thrown away',
    answer: z.array(weekSchema),
    handle: ({ caller }) => log.weeks(caller),
  }),
  endpoint({
    method: 'get',
    path: '/api/learned',
    summary: 'Every version of what the log taught, the one in use first',
    answer: z.array(learnedVersionSchema),
    isStored: true,
    handle: ({ caller }) => log.learned(caller),
  }),
  endpoint({
    method: 'post',
    path: '/api/learned',
    summary: 'Accept what was learned, or go back to what was before, or to the handbook',
    body: acceptLearnedRequest,
    answer: z.array(learnedVersionSchema),
    status: 201,
    handle: ({ caller, body }) => log.accept(caller, body),
  }),
  endpoint({
    method: 'get',
    path: '/api/tastings/{id}',
    summary: 'How something tasted, in the order of writing',
    answer: z.array(tastingSchema),
    handle: ({ caller, params }) => log.tastings(caller, idOf(params)),
  }),
  endpoint({
    method: 'post',
    path: '/api/tastings',
    summary: 'Write down how something tasted; sent again with the same id it counts once',
    body: tastingRequest,
    answer: z.array(tastingSchema),
    status: 201,
    handle: ({ caller, body }) => log.taste(caller, body),
  }),
  ...documentEndpoints({
    path: '/api/blind-tests',
    schema: blindTestSchema as unknown as z.ZodObject<{ id: z.ZodType; version: z.ZodType }> &
      z.ZodType<BlindTest>,
    list: 'Every blind comparison',
    save: 'Begin a blind comparison, or write down its answers; needs If-Match',
    documents: blindTests,
  }),
];
