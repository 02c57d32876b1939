/** What measures in a shop. */
export const INSTRUMENT_KINDS = ['scale', 'refractometer', 'probe'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];
