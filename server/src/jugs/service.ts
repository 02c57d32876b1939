import { EMPTY_STATE, jugAt } from '@ratio/core/events';
import type {
  Jug,
  JugEntry,
  JugEntryRequest,
  Ledger,
  LedgerEntry,
  NewJugRequest,
  StoredJug,
} from '@ratio/core/jug';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered, type Written } from '../database/rows.ts';
import { carryOut } from '../events/carryOut.ts';
import { loadLedger } from '../events/loadState.ts';

export interface JugService {
  /** Jugs that hold something, the oldest first. */
  readonly list: (caller: Caller) => Promise<Jug[]>;
  readonly get: (caller: Caller, id: string) => Promise<Jug>;
  /** A jug's ledger, the latest row first. */
  readonly entries: (caller: Caller, id: string) => Promise<JugEntry[]>;
  /** Jugs that hold something with their ledgers, and the jugs that they were blended with. */
  readonly ledger: (caller: Caller) => Promise<Ledger>;
  readonly add: (caller: Caller, request: NewJugRequest) => Promise<Jug>;
  readonly enter: (caller: Caller, input: { id: string; request: JugEntryRequest }) => Promise<Jug>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

const jugOf = ({ request: _, ...jug }: StoredJug): Jug => jug;

/** @returns the use cases of the jugs; what may happen is decided by the core */
export function createJugService(needs: Needs): JugService {
  const { db, clock } = needs;
  const { jugs, jugEntries } = db;

  /** A jug as it is now: one on its grounds grows stronger by the hour. */
  async function asOfNow(shopId: string, jug: StoredJug): Promise<Jug> {
    if (!jug.onGrounds || jug.batchId === null) return jugOf(jug);
    const batch = await db.batches.find(shopId, jug.batchId);
    const state = { ...EMPTY_STATE, batches: new Map(batch ? [[batch.id, batch]] : []) };
    return jugOf(jugAt(state, jug, clock.now().getTime()));
  }
  const get = async ({ shopId }: Caller, id: string): Promise<Jug> =>
    asOfNow(shopId, await jugs.get(shopId, id));
  const onHand = (shopId: string): Promise<StoredJug[]> =>
    jugs.list(shopId, { above: { onHandG: 0 } });

  return {
    list: async ({ shopId }) =>
      Promise.all((await onHand(shopId)).map((jug) => asOfNow(shopId, jug))),
    get,
    entries: async ({ shopId }, id) => {
      const rows = await jugEntries.about(shopId, id);
      const undone = new Set(rows.map(({ undoes }) => undoes));
      const corrected = new Set(
        rows.filter((row) => !undone.has(row.id)).map(({ corrects }) => corrects),
      );
      return rows
        .map((row) => ({
          ...shownRow(row),
          undone: undone.has(row.id),
          corrected: corrected.has(row.id),
        }))
        .toReversed();
    },
    ledger: async ({ shopId }) => loadLedger({ db, shopId }, await onHand(shopId)),
    add: async (caller, request) => {
      await carryOut(needs, caller, { kind: 'add-jug', request });
      return get(caller, request.id);
    },
    enter: async (caller, { id, request }) => {
      await carryOut(needs, caller, { kind: 'change-jug', jugId: id, request });
      return get(caller, id);
    },
  };
}

const shownRow = (row: Written<LedgerEntry>): Omit<JugEntry, 'undone' | 'corrected'> => {
  const { undoes: _, useBy: __, request: ___, ...shown } = answered(row);
  return shown;
};
