const idle =
  globalThis.requestIdleCallback?.bind(globalThis) ?? ((work: () => void) => setTimeout(work, 50));
const waiting: (() => void)[] = [];

function next(): void {
  const work = waiting.shift();
  if (waiting.length > 0) idle(next);
  work?.();
}

/**
 * Does things one after another when the page has nothing else to do, so that opening it never waits.
 *
 * @returns takes a thing back that is not done yet
 */
export function whenIdle(work: () => void): () => void {
  waiting.push(work);
  if (waiting.length === 1) idle(next);
  return () => {
    const i = waiting.indexOf(work);
    if (i >= 0) waiting.splice(i, 1);
  };
}
