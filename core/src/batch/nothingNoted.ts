import type { ObservationRow } from './schema.ts';

/** What a row says where nothing was measured and nothing else stated. */
export const NOTHING_NOTED: Omit<ObservationRow, 'id' | 'batchId' | 'kind' | 'at' | 'author'> =
  Object.freeze({
    massG: null,
    tempC: null,
    strengthFrac: null,
    note: '',
    shareFrac: null,
    vesselId: null,
    place: null,
    step: null,
    until: null,
    undoes: null,
    instrumentId: null,
  });
