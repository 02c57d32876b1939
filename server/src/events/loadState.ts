import type { Batch, ProbeHistory } from '@ratio/core/batch';
import { onGroundsId, reachesOther, type EventState, type ShopEvent } from '@ratio/core/events';
import type { LedgerEntry, StoredJug } from '@ratio/core/jug';
import type { Transaction } from 'sequelize';
import type { Database } from '../database/database.ts';
import { answered, type Written } from '../database/rows.ts';
import { probesOf } from '../instruments/probeHistory.ts';

interface Source {
  readonly db: Database;
  readonly shopId: string;
  /** None where a page only reads. */
  readonly transaction?: Transaction;
}

type Row = Written<LedgerEntry>;

const byId = <T extends { readonly id: string }>(all: readonly (T | null)[]): Map<string, T> =>
  new Map(all.flatMap((one) => (one ? [[one.id, one] as const] : [])));

/**
 * Loads what a request depends on.
 *
 * @param untilMs until when temperatures that probes measured are read, ms since 1970 UTC
 */
export async function loadState(
  source: Source,
  event: ShopEvent,
  untilMs: number,
): Promise<EventState> {
  if (event.kind === 'change-jug') return loadForJug(source, event);
  const { db, shopId, transaction } = source;
  const batchId = 'batchId' in event ? event.batchId : event.request.id;
  const steeping = await db.batches.list(shopId, { is: { status: 'steeping' } }, transaction);
  const named = await Promise.all(
    [batchId, event.kind === 'split' ? event.request.id : null].map((id) =>
      id === null ? null : db.batches.find(shopId, id, transaction),
    ),
  );
  const rows = await db.observations.about(shopId, batchId, transaction);
  const filled = await db.jugs.list(shopId, { above: { onHandG: 0 } }, transaction);
  const jugs = await findJugs(source, [...jugIdsOf(event), onGroundsId(batchId)]);
  const batch = named[0];
  return {
    batches: byId([...steeping, ...named]),
    observations: new Map([[batchId, rows.map(unauthored)]]),
    probes: event.kind === 'strain' && batch ? await loadProbes(source, batch, untilMs) : new Map(),
    jugs: byId([...filled, ...jugs]),
    entries: [],
  };
}

/** Jugs that a request makes. */
function jugIdsOf(event: Exclude<ShopEvent, { kind: 'change-jug' }>): string[] {
  if (event.kind === 'strain') return event.request.jugs.map(({ jugId }) => jugId);
  return event.kind === 'add-jug' ? [event.request.id] : [];
}

const findJugs = ({ db, shopId, transaction }: Source, ids: readonly string[]) =>
  Promise.all(ids.map((id) => db.jugs.find(shopId, id, transaction)));

async function loadProbes(
  { db, shopId }: Source,
  batch: Batch,
  untilMs: number,
): Promise<EventState['probes']> {
  const probes: readonly ProbeHistory[] = await probesOf(db, { shopId, batch, untilMs });
  return new Map([[batch.id, probes]]);
}

async function loadForJug(
  source: Source,
  { jugId, request }: Extract<ShopEvent, { kind: 'change-jug' }>,
): Promise<EventState> {
  const { db, shopId, transaction } = source;
  const repeat = await db.jugEntries.find(shopId, request.id, transaction);
  const from = request.kind === 'blended' ? [request.fromJugId] : [];
  const own = await findJugs(source, [jugId, ...from]);
  const changed =
    request.kind === 'undone' || request.kind === 'corrected'
      ? await db.jugEntries.find(shopId, request.entryId, transaction)
      : null;
  const ledger = changed ? await loadReached(source, changed) : { jugs: [], rows: [] };
  const jugs = byId([...own, ...ledger.jugs]);
  const steeps = own.flatMap((jug) => (jug?.onGrounds && jug.batchId ? [jug.batchId] : []));
  const batches = await Promise.all(steeps.map((id) => db.batches.find(shopId, id, transaction)));
  const rows = byId([...ledger.rows, repeat]);
  return {
    batches: byId(batches),
    observations: new Map(),
    probes: new Map(),
    jugs,
    entries: inOrder([...rows.values()]),
  };
}

/** The jugs that a ledger row reached, their rows, and the other halves of their blends. */
async function loadReached(source: Source, from: Row): Promise<{ jugs: StoredJug[]; rows: Row[] }> {
  const origin = { id: from.id, place: from.seq };
  return followBlends(source, [from.jugId], (row, other) =>
    reachesOther({ one: { row, place: row.seq }, other, from: origin }),
  );
}

/**
 * The jugs on hand with all that an undo or a correction of one of their rows can reach: what they gave
 * to other jugs, and the jugs that they were blended from.
 */
export async function loadLedger(
  source: Source,
  onHand: readonly StoredJug[],
): Promise<{ jugs: StoredJug[]; entries: LedgerEntry[] }> {
  const own = new Set(onHand.map(({ id }) => id));
  const { jugs, rows } = await followBlends(
    source,
    [...own],
    (row) => row.kind === 'blended-out' || own.has(row.jugId),
  );
  return { jugs, entries: inOrder(rows) };
}

/** Jugs and their rows, and every jug at the other side of a blend that is to be followed. */
async function followBlends(
  { db, shopId, transaction }: Source,
  jugIds: readonly string[],
  isFollowed: (row: Row, other: Row) => boolean,
): Promise<{ jugs: StoredJug[]; rows: Row[] }> {
  const jugs = new Map<string, StoredJug>();
  const rows = new Map<string, Row>();
  const waiting = [...jugIds];
  for (let jugId = waiting.pop(); jugId !== undefined; jugId = waiting.pop()) {
    if (jugs.has(jugId)) continue;
    jugs.set(jugId, await db.jugs.get(shopId, jugId, transaction));
    for (const row of await db.jugEntries.about(shopId, jugId, transaction)) {
      rows.set(row.id, row);
      if (row.pairId === null) continue;
      const other =
        rows.get(row.pairId) ?? (await db.jugEntries.find(shopId, row.pairId, transaction));
      if (!other) continue;
      rows.set(other.id, other);
      if (isFollowed(row, other)) waiting.push(other.jugId);
    }
  }
  return { jugs: [...jugs.values()], rows: [...rows.values()] };
}

const inOrder = (rows: readonly Row[]): LedgerEntry[] =>
  rows.toSorted((a, b) => a.seq - b.seq).map(unauthored);

const unauthored = <R extends { readonly author: string; readonly seq: number }>(row: R) => {
  const { author: _, ...rest } = answered(row);
  return rest as Omit<R, 'author' | 'seq'>;
};
