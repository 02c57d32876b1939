/** Reads a thing by its key, or gives what the same read gave since the last write. */
export type RememberedRead = <R extends object>(
  key: string,
  read: () => Promise<R | null>,
) => Promise<R | null>;

/** More than this is read again each time, so that a long list is not held for a rare question. */
const MOST_ROWS = 500;
const MOST_READS = 300;

/**
 * Keeps what was read until something is written: the server is the only one who writes, and one write
 * forgets everything. A read that a write overtook is not kept.
 *
 * @param written how many writes have been committed
 */
export function rememberReads(written: () => number): RememberedRead {
  const kept = new Map<string, Promise<object | null>>();
  let keptAt = written();
  return <R extends object>(key: string, read: () => Promise<R | null>): Promise<R | null> => {
    if (written() !== keptAt) {
      kept.clear();
      keptAt = written();
    }
    const known = kept.get(key);
    if (known) return known as Promise<R | null>;
    const asked = read();
    if (kept.size < MOST_READS) {
      kept.set(key, asked);
      const forget = (): void => {
        if (kept.get(key) === asked) kept.delete(key);
      };
      asked.then((found) => {
        if (Array.isArray(found) && found.length > MOST_ROWS) forget();
      }, forget);
    }
    return asked;
  };
}
