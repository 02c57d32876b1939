import { refuse, type EventContext } from './decision.ts';

/** A tablet's clock may be ahead of the server's by this much. */
const AHEAD_MS = 5 * 60_000;

/**
 * Whether an instant is still to come, as far as clocks that differ a little can tell.
 *
 * @param input.latestMs the latest instant that was ever written, ms since 1970 UTC
 */
export const isStillToCome = (input: { atMs: number; nowMs: number; latestMs: number }): boolean =>
  input.atMs > Math.max(input.nowMs, input.latestMs) + AHEAD_MS;

export const STILL_TO_COME = 'That is still to come. What happened is past.';

/** @returns the instant at which something happened, ISO: as it was stated, or now; refuses the future */
export function momentOf(
  at: string | undefined,
  { nowMs, latestMs = nowMs }: Pick<EventContext, 'nowMs' | 'latestMs'>,
): string {
  const atMs = at === undefined ? nowMs : Date.parse(at);
  if (isStillToCome({ atMs, nowMs, latestMs })) refuse('out_of_range', STILL_TO_COME);
  return new Date(atMs).toISOString();
}
