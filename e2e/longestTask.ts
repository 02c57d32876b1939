import type { Page } from '@playwright/test';

interface Event {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly dur?: number;
  readonly tdur?: number;
  readonly args: { readonly name?: string };
}
export interface Task {
  /** By the clock, ms. */
  readonly ms: number;
  /** What the processor really worked for it, ms: less where the machine had other things to do. */
  readonly workedMs: number;
}

/**
 * The longest task that a page's thread did while something was done, by the browser's own trace.
 *
 * @returns the task that took longest by the clock, and the most that any was worked for
 */
export async function longestTask(page: Page, something: () => Promise<void>): Promise<Task> {
  const browser = page.context().browser()!;
  await browser.startTracing(page, { categories: ['toplevel', '__metadata'] });
  await something();
  const trace = await browser.stopTracing();
  const { traceEvents } = JSON.parse(trace.toString()) as { traceEvents: readonly Event[] };
  const isPages = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const tasks = traceEvents.filter(
    ({ name, ph, pid, tid }) =>
      name === 'ThreadControllerImpl::RunTask' && ph === 'X' && isPages.has(`${pid} ${tid}`),
  );
  const most = (all: readonly (number | undefined)[]): number =>
    all.reduce<number>((max, us = 0) => Math.max(max, us), 0) / 1000;
  return { ms: most(tasks.map(({ dur }) => dur)), workedMs: most(tasks.map(({ tdur }) => tdur)) };
}
