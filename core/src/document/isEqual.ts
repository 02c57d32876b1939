import equal from 'fast-deep-equal';

/**
 * Whether two documents hold the same values. The order of keys does not matter, and a key whose value is
 * undefined counts as absent, as it does in JSON.
 */
export const isEqual = (one: unknown, other: unknown): boolean =>
  equal(withoutUndefined(one), withoutUndefined(other));

function withoutUndefined(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutUndefined);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, part]) => part !== undefined)
      .map(([key, part]) => [key, withoutUndefined(part)]),
  );
}
