import { isDeepStrictEqual } from 'node:util';
import type { FilledJug, Jug, JugEntry, JugEntryRequest, JugState } from '@ratio/core/jug';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered, type Written } from '../database/rows.ts';
import type { StoredJug, StoredJugRow } from '../database/tables.ts';
import { derivedId } from '../derivedId.ts';
import { ProblemError } from '../problem.ts';
import { blendRows, ownRow, rowOf, type Entered } from './entryRows.ts';
import { undoEntry, type Undone } from './undo.ts';

export interface JugService {
  /** Jugs that hold something, the oldest first. */
  readonly list: (caller: Caller) => Promise<Jug[]>;
  readonly get: (caller: Caller, id: string) => Promise<Jug>;
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

  /** What a request does: rows to add, and the jugs as they are then. */
  async function doneBy(of: {
    caller: Caller;
    jug: StoredJug;
    request: JugEntryRequest;
    transaction: Transaction;
  }): Promise<Undone> {
    const { caller, jug, request, transaction } = of;
    const { shopId } = caller;
    if (request.kind === 'undone')
      return undoEntry({ db, shopId, jugId: jug.id, request, transaction });
    if (request.kind !== 'blended') return together([ownRow(jug, request)]);
    const from = await jugs.find(shopId, request.fromJugId, transaction);
    if (!from || from.id === jug.id)
      throw new ProblemError('not_found', 'Blend from another jug that is on hand.');
    return together(blendRows({ jug, from, request }));
  }

  return {
    list: async ({ shopId }) => (await jugs.list(shopId, { above: { onHandG: 0 } })).map(jugOf),
    get: async ({ shopId }, id) => jugOf(await jugs.get(shopId, id)),

    entries: async ({ shopId }, id) => {
      const rows = await jugEntries.about(shopId, id);
      const undone = new Set(rows.map(({ undoes }) => undoes));
      return rows.map((row) => ({ ...shownRow(row), undone: undone.has(row.id) })).toReversed();
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
        const { rows, restated, jugs: after } = await doneBy({ caller, jug, request, transaction });
        const at = clock.momentOf(request.at).toISOString();
        for (const row of rows) await jugEntries.add(caller, { ...row, at }, transaction);
        for (const row of restated) await jugEntries.restate(shopId, row, transaction);
        for (const [jugId, state] of after)
          await restate(db, { caller, jugId, state, transaction });
        return [...after.keys()];
      });
      for (const jugId of touched) changes.publish(caller, { noun: 'jugs', id: jugId });
      return jugOf(await jugs.get(shopId, id));
    },
  };
}

const together = (entered: readonly Entered[]): Undone => ({
  rows: entered.map(({ row }) => row),
  restated: [],
  jugs: new Map(entered.map(({ row, state }) => [row.jugId, state])),
});

const shownRow = (row: Written<StoredJugRow>): Omit<JugEntry, 'undone'> => {
  const { undoes: _, useBy: __, request: ___, ...shown } = answered(row);
  return shown;
};

/** A request sent again is answered with what it did; another one under its identity is refused. */
function requireSame(
  repeat: StoredJugRow,
  { jugId, request }: { jugId: string; request: JugEntryRequest },
): void {
  if (repeat.jugId !== jugId || !isDeepStrictEqual(repeat.request, request))
    throw new ProblemError(
      'already_exists',
      'Something else was done under this id. Send what is new under an id of its own.',
    );
}

/** Writes down what a jug's ledger comes to. */
async function restate(
  db: Database,
  of: { caller: Caller; jugId: string; state: JugState; transaction: Transaction },
): Promise<void> {
  const { caller, jugId, state, transaction } = of;
  const { id, version: _, ...body } = await db.jugs.get(caller.shopId, jugId, transaction);
  const { onHandG, lastEntryId, strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy } = state;
  const now = { onHandG, lastEntryId, strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy };
  await db.jugs.restate(caller, { id, body: { ...body, ...now } }, transaction);
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
  const row = { jugId: id, id: derivedId(id, 'filled'), kind: 'filled' as const, massG };
  await db.jugEntries.add(
    caller,
    { ...rowOf({ ...row, note: jug.label }), at: jug.madeAt },
    transaction,
  );
}
