/** On a page that is never idle the work runs after this time, ms. */
const MOST_WAIT_MS = 1000;

/**
 * Runs work when the browser has nothing else to do, so that opening a page does not wait for it.
 *
 * @returns cancels work that has not run yet
 */
export function whenIdle(work: () => void): () => void {
  if (!('requestIdleCallback' in globalThis)) {
    const timer = setTimeout(work, 50);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(work, { timeout: MOST_WAIT_MS });
  return () => cancelIdleCallback(handle);
}
