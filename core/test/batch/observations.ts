import { NOTHING_NOTED } from '../../src/batch/nothingNoted.ts';
import type { ObservationRow } from '../../src/batch/schema.ts';

/** A row of what happened to a batch on 12 June, changed as a test needs it. */
export const actualOf = (
  kind: ObservationRow['kind'],
  at: string,
  over: Partial<ObservationRow> = {},
): ObservationRow => ({
  id: `${kind}-${at}`.replaceAll(':', ''),
  batchId: 'b',
  kind,
  at: at.length > 8 ? at : `2026-06-12T${at}:00.000Z`,
  ...NOTHING_NOTED,
  author: 'unsigned',
  ...over,
});
