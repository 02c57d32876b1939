/** Median time of one run, ms, after a warm-up; runs for about `forMs`. */
export function medianMs(input: { run: () => unknown; forMs: number }): number {
  const { run, forMs } = input;
  const warmUntil = performance.now() + forMs / 4;
  do run();
  while (performance.now() < warmUntil);
  const times: number[] = [];
  const until = performance.now() + forMs;
  do {
    const from = performance.now();
    run();
    times.push(performance.now() - from);
  } while (performance.now() < until);
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)]!;
}

/** Tolerance of the library when it is timed, and when its result is the yardstick. */
export const COARSE = 1e-6;
export const FINE = 1e-9;

/** One line of the bench's table: ours against a named baseline in the same run. */
export interface BenchRow {
  readonly name: string;
  readonly baseline: string;
  readonly oursMs: number;
  readonly baselineMs: number;
  /** Largest relative difference from the library at its fine tolerance. */
  readonly difference: number;
}
