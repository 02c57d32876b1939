import { isDeepStrictEqual } from 'node:util';
import { brewAt } from '@ratio/core/batch';
import { usualCoffee } from '@ratio/core/coffee';
import { massOfStoredG } from '@ratio/core/matter';
import {
  madeElsewhere,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
  type JugState,
  type NewJugRequest,
} from '@ratio/core/jug';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered, type Written } from '../database/rows.ts';
import type { StoredJug, StoredJugRow } from '../database/tables.ts';
import { ProblemError } from '../problem.ts';
import { blendRows, ownRow, type Entered } from './entryRows.ts';
import { fillJug, useByOf, vesselsOfJugs } from './filling.ts';
import { correctEntry, undoEntry, type Undone } from './undo.ts';

export interface JugService {
  /** Jugs that hold something, the oldest first. */
  readonly list: (caller: Caller) => Promise<Jug[]>;
  readonly get: (caller: Caller, id: string) => Promise<Jug>;
  /** A jug's ledger, the latest row first. */
  readonly entries: (caller: Caller, id: string) => Promise<JugEntry[]>;
  /** Takes in a jug that was filled elsewhere; sent again with the same id it counts once. */
  readonly add: (caller: Caller, request: NewJugRequest) => Promise<Jug>;
  readonly enter: (caller: Caller, input: { id: string; request: JugEntryRequest }) => Promise<Jug>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

/** What takes a jug that is none of coffee and grounds any more. */
const NOT_ON_GROUNDS: readonly JugEntryRequest['kind'][] = ['read', 'watered', 'blended'];

const jugOf = ({ filled: _, request: __, ...jug }: StoredJug): Jug => jug;

/** @returns the use cases of the jugs, each in one transaction */
export function createJugService({ db, clock, changes }: Needs): JugService {
  const { jugs, jugEntries, write } = db;

  /** A jug as it is now: one on its grounds grows stronger by the hour. */
  async function asOfNow(shopId: string, jug: StoredJug, transaction?: Transaction) {
    if (!jug.onGrounds || jug.batchId === null) return jug;
    const batch = await db.batches.find(shopId, jug.batchId, transaction);
    if (batch?.status !== 'steeping') return jug;
    return { ...jug, ...brewAt({ batch, atMs: clock.now().getTime() }) };
  }

  /** What a request does: rows to add, and the jugs as they are then. */
  async function doneBy(of: {
    caller: Caller;
    jug: StoredJug;
    request: JugEntryRequest;
    transaction: Transaction;
  }): Promise<Undone> {
    const { caller, jug, request, transaction } = of;
    const { shopId } = caller;
    if (jug.onGrounds && NOT_ON_GROUNDS.includes(request.kind))
      throw new ProblemError('not_possible_now', 'It steeps still: strain it into a jug first.');
    if (request.kind === 'undone')
      return undoEntry({ db, shopId, jugId: jug.id, request, transaction });
    if (request.kind === 'corrected')
      return correctEntry({ db, shopId, jugId: jug.id, request, transaction });
    if (request.kind !== 'blended') return together([ownRow(jug, request)]);
    const from = await jugs.find(shopId, request.fromJugId, transaction);
    if (!from || from.id === jug.id)
      throw new ProblemError('not_found', 'Blend from another jug that is on hand.');
    return together(blendRows({ jug, from, request }));
  }

  return {
    list: async ({ shopId }) => {
      const onHand = await jugs.list(shopId, { above: { onHandG: 0 } });
      return Promise.all(onHand.map(async (jug) => jugOf(await asOfNow(shopId, jug))));
    },
    get: async ({ shopId }, id) => jugOf(await asOfNow(shopId, await jugs.get(shopId, id))),

    entries: async ({ shopId }, id) => {
      const rows = await jugEntries.about(shopId, id);
      const undone = new Set(rows.map(({ undoes }) => undoes));
      const corrected = new Set(
        rows.filter(({ id: of }) => !undone.has(of)).map(({ corrects }) => corrects),
      );
      return rows
        .map((row) => ({
          ...shownRow(row),
          undone: undone.has(row.id),
          corrected: corrected.has(row.id),
        }))
        .toReversed();
    },

    add: async (caller, request) => {
      const { shopId } = caller;
      const { id, coffeeId, vesselId, label, onHandG, onHandMl = 0 } = request;
      await write(async (transaction) => {
        const before = await jugs.find(shopId, id, transaction);
        if (before && isDeepStrictEqual(before.request, request)) return;
        const [shop, coffee, standing] = await Promise.all([
          db.shops.get(shopId, shopId, transaction),
          coffeeId === undefined
            ? undefined
            : (usualCoffee(coffeeId) ?? db.coffees.get(shopId, coffeeId, transaction)),
          vesselsOfJugs(db, { shopId, transaction }),
        ]);
        const { range, ...known } = madeElsewhere({ ...request, ...shop, coffee });
        const { strengthFrac } = known;
        const massG = onHandG ?? massOfStoredG({ volumeMl: onHandMl, strengthFrac });
        const madeAt = clock.momentOf(request.madeAt).toISOString();
        const { vesselId: into, capacityMl } = standing.take({
          vesselId,
          massG,
          strengthFrac,
          path: 'onHandG',
          ...(request.capacityMl == null ? {} : { capacityMl: request.capacityMl }),
        });
        const jug = {
          ...known,
          filledRange: range,
          label,
          coffeeName: coffee?.name ?? '',
          batchId: null,
          vesselId: into,
          capacityMl,
          pricePerKg: null,
          madeAt,
          useBy: useByOf(madeAt, shop.zone),
        };
        await fillJug(db, { caller, transaction, id, massG, jug, request });
      });
      changes.publish(caller, { noun: 'jugs', id });
      return jugOf(await jugs.get(shopId, id));
    },

    enter: async (caller, { id, request }) => {
      const { shopId } = caller;
      const touched = await write(async (transaction) => {
        const stored = await jugs.get(shopId, id, transaction);
        const jug = await asOfNow(shopId, stored, transaction);
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
      return jugOf(await asOfNow(shopId, await jugs.get(shopId, id)));
    },
  };
}

const together = (entered: readonly Entered[]): Undone => ({
  rows: entered.map(({ row }) => row),
  restated: [],
  jugs: new Map(entered.map(({ row, state }) => [row.jugId, state])),
});

const shownRow = (row: Written<StoredJugRow>): Omit<JugEntry, 'undone' | 'corrected'> => {
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
