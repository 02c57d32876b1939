import { isStillToCome, STILL_TO_COME } from '@ratio/core/events';
import { ProblemError } from './problem.ts';

/** The server's one clock. */
export interface Clock {
  readonly now: () => Date;
  /** Whether the clock is frozen. */
  readonly frozen: boolean;
  /**
   * How far the machine's clock is behind what was written last, ms; 0 as it should be. It is above where
   * the clock was put back.
   */
  readonly behindMs: () => number;
  /** Now, and the latest instant that was ever written; ms since 1970 UTC. */
  readonly range: () => { readonly nowMs: number; readonly latestMs: number };
  /**
   * The instant of something that happened, as a page sends it, or else now.
   *
   * @param at ISO instant
   * @throws {ProblemError} out_of_range for what is still to come
   */
  readonly momentOf: (at: string | undefined) => Date;
}

/** Clocks are corrected by this much every day; that needs no message. */
const UNSAID_MS = 60_000;

/**
 * A clock that runs, or is frozen.
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
  const range = () => {
    const now = nowMs();
    return { nowMs: now, latestMs };
  };
  return {
    now: () => new Date(nowMs()),
    frozen: frozenAt !== null,
    behindMs,
    range,
    momentOf: (at) => {
      const now = range();
      const atMs = at === undefined ? now.nowMs : Date.parse(at);
      if (isStillToCome({ atMs, ...now })) throw new ProblemError('out_of_range', STILL_TO_COME);
      return new Date(atMs);
    },
  };
}
