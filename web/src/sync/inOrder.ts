/**
 * Runs writes one after another, so that each starts from the result of the one before: two fields that
 * are left quickly are two writes of one document.
 *
 * @returns a function that runs a job after all jobs before it have ended, also where they failed
 */
export function inOrder(): <T>(job: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (job) => {
    const next = last.then(job, job);
    last = next.catch(() => undefined);
    return next;
  };
}
