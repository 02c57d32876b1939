import { mayDo } from '@ratio/core/shop';
import type { RoledCaller } from '../caller.ts';
import { ProblemError } from '../problem.ts';

type Priced = Readonly<Record<string, unknown>>;

/**
 * Only a lead sets prices: others may write a document only with its current price.
 *
 * @param input.before the document as it is; null for a new one, which has none
 * @throws {ProblemError} not_allowed
 */
export function requirePriceRight(input: {
  caller: RoledCaller;
  before: object | null;
  after: object;
  keys: readonly string[];
}): void {
  const { caller, before, after, keys } = input;
  if (mayDo(caller.role, 'leads')) return;
  const priceOf = (input: object | null, key: string): unknown =>
    (input as Priced | null)?.[key] || null;
  if (keys.some((key) => priceOf(before, key) !== priceOf(after, key)))
    throw new ProblemError('not_allowed', 'Prices take somebody who leads.');
}
