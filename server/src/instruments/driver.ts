import type { InstrumentActRequest, Line } from '@ratio/core/instruments';

/** The state of a driver's connection. */
export type DriverState = 'connecting' | 'speaks' | 'gone';

/** Receives what a driver reads. */
export interface Hearing {
  readonly line: (line: Line) => void;
  readonly state: (state: DriverState, detail: string) => void;
}

/**
 * What speaks for an instrument. A real device needs no more than one of these: open its connection, read
 * its lines into `hearing`, send it what it is asked, and let go of it on `close`.
 */
export interface Driver {
  /** @returns whether it can do that */
  readonly act: (request: InstrumentActRequest) => boolean;
  readonly close: () => void;
}
