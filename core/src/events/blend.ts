import { derivedId } from '../document/derivedId.ts';
import { contentOfJug } from '../jug/ledger.ts';
import type { StoredJug } from '../jug/ledgerSchema.ts';
import type { JugEntryRequest } from '../jug/schema.ts';
import { entered, takenFrom } from './ownEntry.ts';
import type { EventRows } from './state.ts';

/** @returns the rows of a blend, one to each of the two ledgers; refuses where there is too little, or no room */
export function blendRows(input: {
  jug: StoredJug;
  from: StoredJug;
  request: Extract<JugEntryRequest, { kind: 'blended' }>;
  at: string;
}): EventRows {
  const { jug, from, request, at } = input;
  const { id, note } = request;
  const massG = takenFrom(from, request.massG);
  const taken = contentOfJug(from);
  const outId = derivedId(id, 'out');
  const out = entered(from, {
    jugId: from.id,
    id: outId,
    kind: 'blended-out',
    massG: -massG,
    note,
    at,
    pairId: id,
    ...taken,
  });
  const into = entered(
    jug,
    { jugId: jug.id, id, kind: 'blended-in', massG, note, request, at, pairId: outId },
    taken,
  );
  return {
    jugs: [...out.jugs!, ...into.jugs!],
    entries: [...out.entries!, ...into.entries!],
  };
}
