import { createHash } from 'node:crypto';

/**
 * The identity of something that comes with something else: the same each time, and its own however long
 * that one's is.
 */
export const derivedId = (id: string, what: string): string =>
  `${createHash('sha256').update(id).digest('hex').slice(0, 40)}-${what}`;
