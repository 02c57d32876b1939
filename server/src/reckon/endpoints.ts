import {
  reckonBatch,
  reckonBatchRequest,
  reckonBatchResponse,
  reckonDrink,
  reckonDrinkRequest,
  reckonDrinkResponse,
} from '@ratio/core';
import { endpoint, type Endpoint } from '../endpoint.ts';

/** The arithmetic for outside programs; it keeps nothing. */
export const reckonEndpoints: readonly Endpoint[] = [
  endpoint({
    method: 'post',
    path: '/api/reckon/batch',
    summary: 'From what goes into a batch to what comes out',
    body: reckonBatchRequest,
    answer: reckonBatchResponse,
    handle: ({ body }) => reckonBatch(body),
  }),
  endpoint({
    method: 'post',
    path: '/api/reckon/drink',
    summary: 'Concentrate and filler that bring a cup to its strength',
    body: reckonDrinkRequest,
    answer: reckonDrinkResponse,
    handle: ({ body }) => reckonDrink(body),
  }),
];
