import { brewUseBy } from '../batch/brewUseBy.ts';
import { derivedId } from '../document/derivedId.ts';
import type { FilledJug } from '../jug/ledger.ts';
import type { StoredJug } from '../jug/ledgerSchema.ts';
import type { EventContext } from './decision.ts';
import { entryOf } from './ledgerEntry.ts';
import type { EventRows } from './state.ts';

/** A jug as somebody fills it. */
export type NewJug = Omit<FilledJug, 'useBy'> &
  Pick<
    StoredJug,
    | 'filledRange'
    | 'label'
    | 'coffeeName'
    | 'batchId'
    | 'onGrounds'
    | 'capacityMl'
    | 'vesselId'
    | 'madeAt'
  >;

/** @returns until when a jug is good that was made at an instant, ISO */
export const useByOf = (madeAt: string, zone: string): string =>
  new Date(brewUseBy({ fromMs: Date.parse(madeAt), zone }).atMs).toISOString();

/** @returns a new jug and the first row of its ledger */
export function filledJug(input: {
  id: string;
  /** g, above 0. */
  massG: number;
  jug: NewJug;
  /** The request that filled it, where it was made elsewhere. */
  request?: StoredJug['request'];
  context: Pick<EventContext, 'shop'>;
}): { jugs: StoredJug[]; entries: EventRows['entries'] & object } {
  const { id, massG, request = null, context } = input;
  const jug = { ...input.jug, useBy: useByOf(input.jug.madeAt, context.shop.zone) };
  const { strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy: until } = jug;
  const filled = { strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy: until };
  return {
    jugs: [{ ...jug, id, version: 1, filled, request, onHandG: massG, lastEntryId: null }],
    entries: [
      entryOf({
        jugId: id,
        id: derivedId(id, 'filled'),
        kind: 'filled',
        massG,
        note: jug.label,
        at: jug.madeAt,
      }),
    ],
  };
}
