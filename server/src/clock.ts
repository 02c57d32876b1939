import { ProblemError } from './problem.ts';

/** The server's one clock. */
export interface Clock {
  readonly now: () => Date;
  /** Whether time stands still. */
  readonly frozen: boolean;
  /**
   * How far the machine's clock is behind what was written last, ms; 0 as it should be. It is above where
   * the clock was put back.
   */
  readonly behindMs: () => number;
  /**
   * The instant of something that happened, as a page sends it, or else now.
   *
   * @param at ISO instant
   * @throws {ProblemError} out_of_range for what is still to come
   */
  readonly momentOf: (at: string | undefined) => Date;
}

/** A tablet's clock may be so far ahead of the server's. */
const AHEAD_MS = 5 * 60_000;
/** Clocks are corrected by this much every day; nobody need hear of it. */
const UNSAID_MS = 60_000;

/**
 * A clock that runs, or stands still.
 *
 * @param input.frozenAt instant at which it stands, or null to run
 * @param input.offsetMs added to the machine's time while it runs: a demo keeps its own morning
 * @param input.latestMs the latest instant that was ever written; 0 for none
 * @param input.machineMs the machine's own time, ms since 1970 UTC
 */
export function createClock(input: {
  frozenAt: Date | null;
  offsetMs: number;
  latestMs?: number;
  machineMs?: () => number;
}): Clock {
  const { frozenAt, offsetMs, machineMs = Date.now } = input;
  let latestMs = input.latestMs ?? 0;
  const nowMs = (): number => {
    const at = frozenAt === null ? machineMs() + offsetMs : frozenAt.getTime();
    latestMs = Math.max(latestMs, at);
    return at;
  };
  const behindMs = (): number => {
    const behind = frozenAt === null ? -nowMs() + latestMs : 0;
    return behind > UNSAID_MS ? behind : 0;
  };
  return {
    now: () => new Date(nowMs()),
    frozen: frozenAt !== null,
    behindMs,
    momentOf: (at) => {
      const now = nowMs();
      if (at === undefined) return new Date(now);
      const atMs = Date.parse(at);
      if (atMs > Math.max(now, latestMs) + AHEAD_MS)
        throw new ProblemError('out_of_range', 'That is still to come. What happened is past.');
      return new Date(atMs);
    },
  };
}
