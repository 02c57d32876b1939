import { isObject } from '../kept/json.ts';

/** @returns whether two documents say the same, in whatever order */
export const isSame = (one: unknown, other: unknown): boolean =>
  JSON.stringify(sorted(one)) === JSON.stringify(sorted(other));

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (!isObject(value)) return value;
  const entries = Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([key, of]) => [key, sorted(of)]));
}
