import { isDeepStrictEqual } from 'node:util';
import type { Clock } from './clock.ts';
import { answered, type Written } from './database/rows.ts';
import { ProblemError } from './problem.ts';

/**
 * When something happened that is written down: as it was said, or now. Sent again without a time it keeps
 * the one of before.
 *
 * @param input.before what is written under its identity; null where nothing is
 * @throws {ProblemError} out_of_range for what is still to come
 */
export const momentOnce = (input: {
  clock: Clock;
  at: string | undefined;
  before: { readonly at: string } | null;
}): string => {
  const { clock, at, before } = input;
  return before && at === undefined ? before.at : clock.momentOf(at).toISOString();
};

/**
 * Whether a row exists already: a repeated request changes nothing, from any sender.
 *
 * @param before what is written under its identity; null where nothing is
 * @throws {ProblemError} already_exists where something else is
 */
export function isRepeat<R extends { readonly at: string }>(
  before: Written<R> | null,
  row: Omit<R, 'author'>,
): boolean {
  if (!before) return false;
  const { author: _, ...known } = answered(before);
  if (isDeepStrictEqual(known, row)) return true;
  throw new ProblemError('already_exists', 'Something else was written under this id.');
}
