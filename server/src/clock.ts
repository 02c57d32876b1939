/** The server's one clock. */
export interface Clock {
  readonly now: () => Date;
  /** Whether time stands still. */
  readonly frozen: boolean;
}

/**
 * A clock that runs, or stands still.
 *
 * @param input.frozenAt instant at which it stands, or null to run
 * @param input.offsetMs added to the machine's time while it runs: a demo keeps its own morning
 */
export function createClock(input: { frozenAt: Date | null; offsetMs: number }): Clock {
  const { frozenAt, offsetMs } = input;
  if (frozenAt !== null) return { now: () => new Date(frozenAt), frozen: true };
  return { now: () => new Date(Date.now() + offsetMs), frozen: false };
}
