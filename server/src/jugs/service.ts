import {
  ledgerSum,
  type FilledJug,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
} from '@ratio/core/jug';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import type { StoredJug } from '../database/tables.ts';
import { ProblemError } from '../problem.ts';
import { blendRows, ownRows, rowOf, undoRows, type NewRow } from './entryRows.ts';

export interface JugService {
  readonly list: (caller: Caller) => Promise<Jug[]>;
  /** A jug's ledger, the latest row first. */
  readonly entries: (caller: Caller, id: string) => Promise<JugEntry[]>;
  readonly enter: (caller: Caller, input: { id: string; request: JugEntryRequest }) => Promise<Jug>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

const jugOf = ({ filled: _, ...jug }: StoredJug): Jug => jug;

/** @returns the use cases of the jugs, each in one transaction */
export function createJugService({ db, clock, changes }: Needs): JugService {
  const { jugs, jugEntries, write } = db;

  /** The rows that a request asks for; a blend touches two jugs. */
  async function rowsOf(of: {
    caller: Caller;
    jug: Jug;
    request: JugEntryRequest;
    transaction: Transaction;
  }): Promise<NewRow[]> {
    const { caller, jug, request, transaction } = of;
    const { shopId } = caller;
    const entry = (id: string | null) =>
      id === null ? null : jugEntries.find(shopId, id, transaction);
    if (request.kind === 'undone') {
      const done = await entry(request.entryId);
      return undoRows({ jug, id: request.id, done, pair: await entry(done?.pairId ?? null) });
    }
    if (request.kind !== 'blended') return ownRows(jug, request);
    const from = await jugs.find(shopId, request.fromJugId, transaction);
    if (!from || from.id === jug.id)
      throw new ProblemError('not_found', 'Blend from another jug that is on hand.');
    return blendRows({ jug, from, request });
  }

  return {
    list: async ({ shopId }) => (await jugs.list(shopId)).map(jugOf),

    entries: async ({ shopId }, id) => {
      const rows = await jugEntries.about(shopId, id);
      const undone = new Set(rows.map(({ undoes }) => undoes));
      return rows
        .map(({ undoes: _, useBy: __, ...row }) => ({ ...row, undone: undone.has(row.id) }))
        .toReversed();
    },

    enter: async (caller, { id, request }) => {
      const { shopId } = caller;
      const touched = await write(async (transaction) => {
        const jug = await jugs.get(shopId, id, transaction);
        const repeat = await jugEntries.find(shopId, request.id, transaction);
        if (repeat) {
          requireSame(repeat, { jugId: jug.id, request });
          return [];
        }
        const rows = await rowsOf({ caller, jug, request, transaction });
        const at = clock.now().toISOString();
        for (const row of rows) await jugEntries.add(caller, { ...row, at }, transaction);
        const changed = rows.map(({ jugId }) => jugId);
        for (const jugId of changed) await sumUp(db, { caller, jugId, transaction });
        return changed;
      });
      for (const jugId of touched) changes.publish(caller, { noun: 'jugs', id: jugId });
      return jugOf(await jugs.get(shopId, id));
    },
  };
}

/** A request sent again is answered with what it did; another one under its identity is refused. */
function requireSame(
  repeat: Pick<NewRow, 'jugId' | 'kind'>,
  { jugId, request }: { jugId: string; request: JugEntryRequest },
): void {
  const kind = request.kind === 'blended' ? 'blended-in' : request.kind;
  if (repeat.jugId !== jugId || repeat.kind !== kind)
    throw new ProblemError('already_exists', 'Another ledger row has this id.');
}

/** Writes down what a jug's ledger comes to. */
async function sumUp(
  db: Database,
  of: { caller: Caller; jugId: string; transaction: Transaction },
): Promise<void> {
  const { caller, jugId, transaction } = of;
  const { id, version: _, ...body } = await db.jugs.get(caller.shopId, jugId, transaction);
  const rows = await db.jugEntries.about(caller.shopId, jugId, transaction);
  await db.jugs.restate(
    caller,
    { id, body: { ...body, ...ledgerSum(body.filled, rows) } },
    transaction,
  );
}

/** A jug as somebody fills it. */
export interface NewJug extends FilledJug {
  readonly label: string;
  readonly coffeeName: string;
  readonly batchId: string | null;
  readonly capacityMl: number;
  readonly madeAt: string;
}

/** Makes a jug and its first ledger row, inside the transaction of whoever fills it. */
export async function fillJug(
  db: Database,
  of: { caller: Caller; transaction: Transaction; id: string; massG: number; jug: NewJug },
): Promise<void> {
  const { caller, transaction, id, massG, jug } = of;
  if (await db.jugs.find(caller.shopId, id, transaction))
    throw new ProblemError('already_exists', 'A jug with this id exists.');
  const { strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy } = jug;
  const filled = { strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy };
  const body = { ...jug, filled, onHandG: massG, lastEntryId: null };
  await db.jugs.save(caller, { id, seenVersion: 0, body }, transaction);
  const row = { jugId: id, id: `${id}-filled`.slice(-64), kind: 'filled' as const, massG };
  await db.jugEntries.add(
    caller,
    { ...rowOf({ ...row, note: jug.label }), at: jug.madeAt },
    transaction,
  );
}
