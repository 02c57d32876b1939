/** Lets the browser draw and hear before more is done: what opens a page is many short tasks, not a long one. */
export const nextTask = (): Promise<void> =>
  'scheduler' in globalThis && 'yield' in scheduler
    ? scheduler.yield()
    : new Promise((resolve) => setTimeout(resolve));
