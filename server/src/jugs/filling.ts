import { vesselTakesMl } from '@ratio/core/brew';
import { useBy } from '@ratio/core/calendar';
import { CONSTANTS } from '@ratio/core/constants';
import { roomFor, type FilledJug, type Jug } from '@ratio/core/jug';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Database } from '../database/database.ts';
import { derivedId } from '../derivedId.ts';
import { ProblemError } from '../problem.ts';
import { rowOf } from './entryRows.ts';

/** A jug as somebody fills it. */
export interface NewJug extends FilledJug {
  readonly filledRange: Jug['filledRange'];
  readonly label: string;
  readonly coffeeName: string;
  readonly batchId: string | null;
  readonly onGrounds?: boolean;
  readonly capacityMl: number | null;
  readonly vesselId: string | null;
  readonly madeAt: string;
}

/** Makes a jug and its first ledger row, inside the transaction of whoever fills it. */
export async function fillJug(
  db: Database,
  of: {
    caller: Caller;
    transaction: Transaction;
    id: string;
    massG: number;
    jug: NewJug;
    /** What was asked for, so that a repeat is known; none where a batch was strained. */
    request?: object;
  },
): Promise<void> {
  const { caller, transaction, id, massG, jug, request = null } = of;
  if (await db.jugs.find(caller.shopId, id, transaction))
    throw new ProblemError('already_exists', 'A jug with this id exists.');
  const { strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy } = jug;
  const filled = { strengthFrac, readBy, caffeineMgPerG, pricePerKg, useBy };
  const body = { onGrounds: false, ...jug, filled, request, onHandG: massG, lastEntryId: null };
  await db.jugs.save(caller, { id, seenVersion: 0, body }, transaction);
  const row = { jugId: id, id: derivedId(id, 'filled'), kind: 'filled' as const, massG };
  await db.jugEntries.add(
    caller,
    { ...rowOf({ ...row, note: jug.label }), at: jug.madeAt },
    transaction,
  );
}

/** @returns until when a jug is good that was made at an instant, ISO */
export const useByOf = (madeAt: string, zone: string): string =>
  new Date(
    useBy({ fromMs: Date.parse(madeAt), days: CONSTANTS.keepDays.value, zone }).atMs,
  ).toISOString();

/** The vessel that a jug is filled into. */
interface Into {
  readonly vesselId: string | null;
  readonly capacityMl: number | null;
  /** What the shop calls it; undefined where it is no vessel of the shop. */
  readonly label?: string;
}

/** The shop's jugs, each taken once as long as it is not empty. */
export async function vesselsOfJugs(
  db: Database,
  { shopId, transaction }: { shopId: string; transaction: Transaction },
) {
  const [vessels, filled] = await Promise.all([
    db.vessels.list(shopId, {}, transaction),
    db.jugs.list(shopId, { above: { onHandG: 0 } }, transaction),
  ]);
  const inUse = new Map(filled.map(({ vesselId, label }) => [vesselId, label]));
  return {
    /**
     * Takes a vessel for coffee that is filled into it.
     *
     * @throws {ProblemError} not_found; not_possible_now where it is not empty; out_of_range where the
     *   coffee does not fit
     */
    take(of: {
      vesselId: string | undefined;
      massG: number;
      strengthFrac: number;
      /** Where the request says how much. */
      path: string;
      /** To its mark, where it is no vessel of the shop. */
      capacityMl?: number;
    }): Into {
      const { vesselId, path, massG, strengthFrac } = of;
      const vessel = vessels.find(({ id }) => id === vesselId);
      if (vesselId !== undefined && !vessel)
        throw new ProblemError('not_found', `There is no vessel “${vesselId}”.`);
      const name = vessel?.name ?? 'This jug';
      if (vessel && inUse.has(vessel.id))
        throw new ProblemError(
          'not_possible_now',
          `${name} still holds ${inUse.get(vessel.id)}. Empty it first, or take another one.`,
          { issues: [{ path, message: 'This jug is not empty.' }] },
        );
      const capacityMl = vessel ? vesselTakesMl(vessel) : (of.capacityMl ?? null);
      const { needMl, fits } = roomFor({ capacityMl, massG, strengthFrac });
      if (!fits) {
        const over = Math.round(needMl - capacityMl!);
        throw new ProblemError(
          'out_of_range',
          `${name} takes ${Math.round(capacityMl!)} mL: ${over} mL do not fit. Put them into another one.`,
          { issues: [{ path, message: `${Math.round(needMl)} mL are too much by ${over} mL.` }] },
        );
      }
      if (vessel) inUse.set(vessel.id, name);
      return { vesselId: vessel?.id ?? null, capacityMl, ...(vessel && { label: vessel.name }) };
    },
  };
}

/** Identity of the jug that a batch is while it is left on its grounds. */
export const onGroundsId = (batchId: string): string => derivedId(batchId, 'on-grounds');

/** Ends what is poured off a batch: it is strained, and stands in its jugs from now on. */
export async function endOnGrounds(
  db: Database,
  of: { caller: Caller; transaction: Transaction; batchId: string; at: string },
): Promise<void> {
  const { caller, transaction, batchId, at } = of;
  const jugId = onGroundsId(batchId);
  const jug = await db.jugs.find(caller.shopId, jugId, transaction);
  if (!jug) return;
  const row = rowOf({
    jugId,
    id: derivedId(batchId, 'off-grounds'),
    kind: 'counted',
    massG: -jug.onHandG,
    countedG: 0,
    note: 'strained',
  });
  await db.jugEntries.add(caller, { ...row, at }, transaction);
  const { id, version: _, ...body } = jug;
  await db.jugs.restate(caller, { id, body: { ...body, onHandG: 0 } }, transaction);
}
