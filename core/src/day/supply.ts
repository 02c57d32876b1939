import type { Forecast, RunOut } from './forecast.ts';

/** Brew that will come to what is on hand. */
export interface Arrival {
  /** ms since 1970 UTC. */
  readonly atMs: number;
  readonly massG: number;
}

/**
 * How long what is on hand lasts, with what comes to it before it is gone.
 *
 * @param input.onHandG in all jugs together, g
 * @param input.arrivals in any order
 */
export function lastsUntil(input: {
  forecast: Pick<Forecast, 'runOut'>;
  onHandG: number;
  arrivals: readonly Arrival[];
}): RunOut {
  const { forecast, onHandG } = input;
  const arrivals = input.arrivals.toSorted((a, b) => a.atMs - b.atMs);
  const until = (key: keyof RunOut): number | null => {
    let heldG = onHandG;
    for (const { atMs, massG } of arrivals) {
      const gone = forecast.runOut(heldG)[key];
      if (gone === null || gone < atMs) return gone;
      heldG += massG;
    }
    return forecast.runOut(heldG)[key];
  };
  return { lowMs: until('lowMs'), atMs: until('atMs'), highMs: until('highMs') };
}
