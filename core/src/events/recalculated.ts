import { replay, type JugState, type LedgerRow } from '../jug/ledger.ts';
import type { LedgerEntry, StoredJug } from '../jug/ledgerSchema.ts';
import { refuse } from './decision.ts';
import { contentInRow, withState } from './ownEntry.ts';
import type { EventRows, EventState } from './state.ts';

/** A ledger row with its place in the order of writing. */
interface Placed {
  readonly row: Pick<LedgerEntry, 'id' | 'jugId' | 'kind' | 'pairId' | 'strengthFrac'>;
  readonly place: number;
}

/**
 * Whether a change of a row reaches the other jug of a blend: one that was made since, the blend itself,
 * or one from before whose row does not state what it brought.
 *
 * @param input.one a row of a jug that is reached
 * @param input.other the other row of its blend
 * @param input.from the row that changes
 */
export function reachesOther(input: {
  one: Placed;
  other: Pick<LedgerEntry, 'strengthFrac'>;
  from: { readonly id: string; readonly place: number };
}): boolean {
  const { one, other, from } = input;
  const gaveSince = one.row.kind === 'blended-out' && one.place >= from.place;
  const isUnstated = one.row.kind === 'blended-in' && other.strengthFrac === null;
  return gaveSince || isUnstated || one.row.id === from.id;
}

/**
 * What more rows make of every jug that an earlier row reached, through blends that were made since.
 * Refuses where a later row could not have been.
 *
 * @param input.from the row that is undone or corrected
 * @param input.entries the rows that do so
 * @param input.whyNot how a refusal begins
 */
export function recalculated(input: {
  state: EventState;
  from: LedgerEntry;
  entries: readonly LedgerEntry[];
  whyNot: string;
}): EventRows {
  const { state, from, entries, whyNot } = input;
  const { jugs, rows } = reached(state, from);
  const result = replay({ jugs, rows: [...rows, ...entries], checkedFrom: from.id });
  if (result.status === 'impossible') return refuseImpossible({ whyNot, ...result, rows });
  return {
    entries,
    recalculated: rows.flatMap((row) => {
      const after = result.rows.get(row.id);
      const content = after ? contentInRow(row, after) : {};
      return Object.keys(content).length === 0 ? [] : [{ ...row, ...content }];
    }),
    jugs: [...result.jugs].map(([id, after]) => withState(jugs.get(id)!, after)),
  };
}

/** The jugs that a row reached, and their ledgers with the other halves of their blends. */
function reached(
  state: EventState,
  from: LedgerEntry,
): { jugs: Map<string, StoredJug>; rows: LedgerEntry[] } {
  const placed = new Map(state.entries.map((row, place) => [row.id, { row, place }]));
  const origin = { id: from.id, place: placed.get(from.id)!.place };
  const jugs = new Map<string, StoredJug>();
  const known = new Set<string>();
  const waiting = [from.jugId];
  for (let jugId = waiting.pop(); jugId !== undefined; jugId = waiting.pop()) {
    if (jugs.has(jugId)) continue;
    const jug = state.jugs.get(jugId);
    if (!jug) return refuse('not_found', `There is no jug “${jugId}”.`);
    jugs.set(jugId, jug);
    for (const one of placed.values()) {
      if (one.row.jugId !== jugId) continue;
      known.add(one.row.id);
      const other = one.row.pairId === null ? undefined : placed.get(one.row.pairId);
      if (!other) continue;
      known.add(other.row.id);
      if (reachesOther({ one, other: other.row, from: origin })) waiting.push(other.row.jugId);
    }
  }
  return { jugs, rows: state.entries.filter(({ id }) => known.has(id)) };
}

function refuseImpossible(input: {
  whyNot: string;
  row: LedgerRow;
  why: 'too_little' | 'no_room';
  state: JugState;
  rows: readonly LedgerEntry[];
}): never {
  const { whyNot, row, why, state, rows } = input;
  const { at } = rows.find(({ id }) => id === row.id)!;
  const what =
    why === 'too_little'
      ? `${Math.round(-row.massG)} g were drawn off later, and without it only ${Math.round(state.onHandG - row.massG)} g were there`
      : `${Math.round(row.massG)} g were added later, and with it back there was no room for them`;
  return refuse('not_possible_now', `${whyNot}: ${what}. Undo that first.`, {
    issues: [{ path: row.id, message: `Written at ${at}.` }],
  });
}
