import { zoned } from './localTime.ts';

/** A moment at which a zone's clocks are changed. */
export interface ZoneTransition {
  /** ms since 1970 UTC. */
  readonly atMs: number;
  readonly fromOffsetMs: number;
  readonly toOffsetMs: number;
}

/**
 * The changes of a zone's clocks in a span of time, and the last one before it.
 *
 * @param input.zone IANA name
 * @param input.fromMs ms since 1970 UTC
 * @returns the oldest first; none for a zone that never changed
 */
export function zoneTransitions(input: {
  zone: string;
  fromMs: number;
  toMs: number;
}): ZoneTransition[] {
  const { zone, fromMs, toMs } = input;
  const transitions: ZoneTransition[] = [];
  let at = zoned({ atMs: fromMs, zone }).getTimeZoneTransition('previous');
  at ??= zoned({ atMs: fromMs, zone }).getTimeZoneTransition('next');
  for (; at && at.epochMilliseconds <= toMs; at = at.getTimeZoneTransition('next'))
    transitions.push({
      atMs: at.epochMilliseconds,
      fromOffsetMs: at.subtract({ nanoseconds: 1 }).offsetNanoseconds / 1e6,
      toOffsetMs: at.offsetNanoseconds / 1e6,
    });
  return transitions;
}
