/**
 * Writes that run one after another, so that each can build on what the one before left: two fields
 * that somebody leaves quickly are two writes of one document.
 *
 * @returns runs a job once all before it have ended, well or not
 */
export function inOrder(): <T>(job: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (job) => {
    const next = last.then(job, job);
    last = next.catch(() => undefined);
    return next;
  };
}
