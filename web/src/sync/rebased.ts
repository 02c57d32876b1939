import { isEqual } from '@ratio/core/document';
import { isRecord } from './json.ts';

/**
 * Applies a change to the current version of a document. Fields that the change did not touch keep their
 * current value, also in nested parts and in lists of the same length.
 *
 * @param input.before the document that the change was made on
 * @param input.after the same, changed
 * @param input.now what it has become since
 */
export function rebased<T>(input: { before: T; after: T; now: T }): T {
  return merge(input.before, input.after, input.now) as T;
}

function merge(before: unknown, after: unknown, now: unknown): unknown {
  if (isEqual(before, after)) return now;
  if (isRecord(before) && isRecord(after) && isRecord(now)) {
    const keys = new Set([...Object.keys(now), ...Object.keys(after)]);
    const entries = [...keys]
      .filter((key) => key in after || !(key in before))
      .map((key) => [key, key in after ? merge(before[key], after[key], now[key]) : now[key]]);
    return Object.fromEntries(entries);
  }
  const isList = [before, after, now].every(Array.isArray);
  if (!isList) return after;
  const [from, to, current] = [before, after, now] as unknown[][];
  const isSame = from!.length === to!.length && from!.length === current!.length;
  return isSame ? to!.map((value, i) => merge(from![i], value, current![i])) : after;
}
