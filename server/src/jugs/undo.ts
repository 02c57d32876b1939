import { CONSTANTS } from '@ratio/core/constants';
import {
  correctableOf,
  replay,
  type JugEntryRequest,
  type JugState,
  type LedgerRow,
  type ReplayedJug,
} from '@ratio/core/jug';
import { massOfStoredG, waterDensityGPerMl } from '@ratio/core/matter';
import type { Transaction } from 'sequelize';
import type { Database } from '../database/database.ts';
import type { Written } from '../database/rows.ts';
import type { StoredJugRow } from '../database/tables.ts';
import { derivedId } from '../derivedId.ts';
import { ProblemError } from '../problem.ts';
import { rowOf, saidBy, type NewRow } from './entryRows.ts';

/** What taking an entry back does: rows to add, what older rows say from now on, and every jug's state. */
export interface Undone {
  readonly rows: readonly NewRow[];
  readonly restated: readonly ({ readonly id: string } & Partial<StoredJugRow>)[];
  readonly jugs: ReadonlyMap<string, JugState>;
}

type Row = Written<StoredJugRow>;

/**
 * Takes an entry back, the other half of a blend with it, and works out again every jug that it reached.
 *
 * @throws {ProblemError} not_found; not_possible_now, with the reason, where what happened since could not
 *   have been without it
 */
export async function undoEntry(of: {
  db: Pick<Database, 'jugs' | 'jugEntries'>;
  shopId: string;
  jugId: string;
  request: { readonly id: string; readonly entryId: string; readonly note?: string | undefined };
  transaction: Transaction;
}): Promise<Undone> {
  const { db, shopId, jugId, request, transaction } = of;
  const done = await db.jugEntries.find(shopId, request.entryId, transaction);
  if (!done || done.jugId !== jugId || !canBeUndone(done))
    throw new ProblemError('not_found', 'This jug has no such entry to take back.');
  const pair =
    done.pairId === null ? null : await db.jugEntries.find(shopId, done.pairId, transaction);
  const undo = (id: string, one: Row): NewRow =>
    rowOf({ jugId: one.jugId, id, kind: 'undone', massG: -one.massG, undoes: one.id });
  const rows = [
    { ...undo(request.id, done), note: request.note || done.note, request },
    ...(pair ? [undo(derivedId(request.id, 'pair'), pair)] : []),
  ];
  return workedOut({ db, shopId, from: done, rows, transaction, what: 'It cannot be taken back' });
}

/**
 * Corrects an entry: it stays, and one more row says what it really was, and why.
 *
 * @throws {ProblemError} not_found; bad_body where the entry holds no such thing; not_possible_now, with
 *   the reason, where what happened since could not have been with it
 */
export async function correctEntry(of: {
  db: Pick<Database, 'jugs' | 'jugEntries'>;
  shopId: string;
  jugId: string;
  request: Extract<JugEntryRequest, { kind: 'corrected' }>;
  transaction: Transaction;
}): Promise<Undone> {
  const { db, shopId, jugId, request, transaction } = of;
  const { entryId, massG, volumeMl, strengthFrac = null, reason } = request;
  const done = await db.jugEntries.find(shopId, entryId, transaction);
  const parts = done && done.jugId === jugId ? correctableOf(done.kind) : [];
  if (!done || parts.length === 0)
    throw new ProblemError('not_found', 'This jug has no such entry to correct.');
  const saysAmount = massG !== undefined || volumeMl !== undefined;
  if (
    (saysAmount && !parts.includes('amount')) ||
    (strengthFrac !== null && !parts.includes('strength'))
  )
    throw new ProblemError(
      'bad_body',
      `Of this entry the ${parts.join(' or the ')} can be corrected.`,
    );
  const { strengthFrac: jugFrac } = await db.jugs.get(shopId, jugId, transaction);
  const inG = (ml: number): number =>
    done.kind === 'watered'
      ? ml * waterDensityGPerMl(CONSTANTS.brewVolumeTempC.value)
      : massOfStoredG({ volumeMl: ml, strengthFrac: strengthFrac ?? jugFrac });
  const countedG = massG ?? (volumeMl === undefined ? null : inG(volumeMl));
  const row = rowOf({
    jugId,
    id: request.id,
    kind: 'corrected',
    massG: 0,
    countedG,
    strengthFrac,
    corrects: entryId,
    note: reason,
    request,
  });
  return workedOut({
    db,
    shopId,
    from: done,
    rows: [row],
    transaction,
    what: 'It cannot have been so',
  });
}

/** What more rows make of every jug that an earlier row reached. */
async function workedOut(of: {
  db: Pick<Database, 'jugs' | 'jugEntries'>;
  shopId: string;
  from: Row;
  rows: readonly NewRow[];
  transaction: Transaction;
  what: string;
}): Promise<Undone> {
  const { db, shopId, from, rows, transaction, what } = of;
  const { jugs, ledger } = await reached({ db, shopId, from, transaction });
  const result = replay({ jugs, rows: [...ledger, ...rows], checkedFrom: from.id });
  if (result.status === 'impossible') throw impossible(what, result, ledger);
  const restated = ledger.flatMap((row) => {
    const state = result.rows.get(row.id);
    const says = state ? saidBy(row, state) : {};
    return Object.keys(says).length === 0 ? [] : [{ id: row.id, ...says }];
  });
  return { rows, restated, jugs: result.jugs };
}

const canBeUndone = ({ kind }: LedgerRow): boolean =>
  !['filled', 'undone', 'blended-out'].includes(kind);

/**
 * The jugs that an entry reached, through blends made since, and their ledgers in the order of writing.
 * Blends from before say themselves what they brought; where they do not, their source is worked out too.
 */
async function reached(of: {
  db: Pick<Database, 'jugs' | 'jugEntries'>;
  shopId: string;
  from: Row;
  transaction: Transaction;
}): Promise<{ jugs: Map<string, ReplayedJug>; ledger: Row[] }> {
  const { db, shopId, from, transaction } = of;
  const jugs = new Map<string, ReplayedJug>();
  const ledger = new Map<string, Row>();
  const waiting = [from.jugId];
  for (let jugId = waiting.pop(); jugId !== undefined; jugId = waiting.pop()) {
    if (jugs.has(jugId)) continue;
    jugs.set(jugId, await db.jugs.get(shopId, jugId, transaction));
    for (const row of await db.jugEntries.about(shopId, jugId, transaction)) {
      ledger.set(row.id, row);
      if (row.pairId === null || ledger.has(row.pairId)) continue;
      const other = await db.jugEntries.find(shopId, row.pairId, transaction);
      if (!other) continue;
      const gave = row.kind === 'blended-out' && row.seq >= from.seq;
      const untold = row.kind === 'blended-in' && other.strengthFrac === null;
      if (gave || untold || row.id === from.id) waiting.push(other.jugId);
      else ledger.set(other.id, other);
    }
  }
  return { jugs, ledger: [...ledger.values()].toSorted((a, b) => a.seq - b.seq) };
}

function impossible(
  whatNot: string,
  { row, why, state }: { row: LedgerRow; why: 'too_little' | 'no_room'; state: JugState },
  ledger: readonly Row[],
): ProblemError {
  const { at } = ledger.find(({ id }) => id === row.id)!;
  const what =
    why === 'too_little'
      ? `${Math.round(-row.massG)} g were drawn off later, and without it only ${Math.round(state.onHandG - row.massG)} g were there`
      : `${Math.round(row.massG)} g were added later, and with it back there was no room for them`;
  return new ProblemError('not_possible_now', `${whatNot}: ${what}. Take that back first.`, {
    issues: [{ path: row.id, message: `Written at ${at}.` }],
  });
}
