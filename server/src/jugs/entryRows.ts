import { blended, roomFor, type Jug, type JugEntryRequest, type LedgerRow } from '@ratio/core/jug';
import type { StoredJugRow } from '../database/tables.ts';
import { ProblemError } from '../problem.ts';

/** A ledger row before it has its time. */
export type NewRow = Omit<StoredJugRow, 'at'>;

type Request<K extends JugEntryRequest['kind']> = Extract<JugEntryRequest, { kind: K }>;

// A scale and a sum of rounded rows may disagree by this much.
const SLACK_G = 0.5;

/** @returns a row that says nothing but what is given */
export const rowOf = (
  row: Pick<NewRow, 'jugId' | 'id' | 'kind' | 'massG' | 'note'> & Partial<NewRow>,
): NewRow => ({
  strengthFrac: null,
  caffeineMgPerG: null,
  pricePerKg: null,
  pairId: null,
  undoes: null,
  useBy: null,
  ...row,
});

/**
 * The rows that pouring, reading or thinning a jug adds to its ledger.
 *
 * @throws {ProblemError} not_possible_now where there is too little in it, or no room
 */
export function ownRows(
  jug: Jug,
  request: Request<'poured'> | Request<'read'> | Request<'watered'>,
): NewRow[] {
  const { id, kind, note } = request;
  const row = { jugId: jug.id, id, kind, note };
  switch (request.kind) {
    case 'poured':
      return [rowOf({ ...row, massG: -takeFrom(jug, request.massG) })];
    case 'read':
      return [
        rowOf({
          ...row,
          massG: 0,
          strengthFrac: request.strengthFrac,
          // Caffeine comes out with the solids: a stronger reading holds more of both.
          caffeineMgPerG: (jug.caffeineMgPerG * request.strengthFrac) / jug.strengthFrac,
        }),
      ];
    case 'watered': {
      const after = blended(contentOf(jug), { massG: request.massG, strengthFrac: 0 });
      requireRoom(jug, after);
      const left = jug.onHandG / after.massG;
      return [
        rowOf({
          ...row,
          massG: request.massG,
          strengthFrac: after.strengthFrac,
          caffeineMgPerG: jug.caffeineMgPerG * left,
          pricePerKg: jug.pricePerKg === null ? null : jug.pricePerKg * left,
        }),
      ];
    }
  }
}

/**
 * The rows that a blend adds: one to each of the two ledgers.
 *
 * @throws {ProblemError} not_possible_now
 */
export function blendRows(input: { jug: Jug; from: Jug; request: Request<'blended'> }): NewRow[] {
  const { jug, from, request } = input;
  const { id, note } = request;
  const massG = takeFrom(from, request.massG);
  const after = blended(contentOf(jug), { massG, strengthFrac: from.strengthFrac });
  requireRoom(jug, after);
  const mixed = (own: number, others: number) => (jug.onHandG * own + massG * others) / after.massG;
  const outId = `${id.slice(0, 59)}-out`;
  return [
    rowOf({ jugId: from.id, id: outId, kind: 'blended-out', massG: -massG, note, pairId: id }),
    rowOf({
      jugId: jug.id,
      id,
      kind: 'blended-in',
      massG,
      note,
      pairId: outId,
      strengthFrac: after.strengthFrac,
      caffeineMgPerG: mixed(jug.caffeineMgPerG, from.caffeineMgPerG),
      pricePerKg:
        jug.pricePerKg === null || from.pricePerKg === null
          ? null
          : mixed(jug.pricePerKg, from.pricePerKg),
      // The older one's date holds for both.
      useBy: jug.useBy < from.useBy ? jug.useBy : from.useBy,
    }),
  ];
}

/**
 * The rows that take an entry back, and the other half of a blend with it.
 *
 * @param input.done the entry; null where the jug has none of that identity
 * @param input.pair the other row of a blend
 * @throws {ProblemError} not_found; not_possible_now where something was done to the jug since
 */
export function undoRows(input: {
  jug: Jug;
  id: string;
  done: StoredJugRow | null;
  pair: StoredJugRow | null;
}): NewRow[] {
  const { jug, id, done, pair } = input;
  if (!done || done.jugId !== jug.id || !canBeUndone(done))
    throw new ProblemError('not_found', 'This jug has no such entry to take back.');
  if (done.strengthFrac !== null && jug.lastEntryId !== done.id)
    throw new ProblemError(
      'not_possible_now',
      'Something was done to the jug since. Take that back first.',
    );
  const undo = (undoId: string, of: StoredJugRow): NewRow =>
    rowOf({
      jugId: of.jugId,
      id: undoId,
      kind: 'undone',
      massG: -of.massG,
      note: of.note,
      undoes: of.id,
    });
  return pair ? [undo(id, done), undo(`${id.slice(0, 58)}-pair`, pair)] : [undo(id, done)];
}

const canBeUndone = ({ kind }: LedgerRow): boolean =>
  !['filled', 'undone', 'blended-out'].includes(kind);

const contentOf = ({ onHandG, strengthFrac }: Jug) => ({ massG: onHandG, strengthFrac });

function takeFrom(jug: Jug, massG: number): number {
  if (massG > jug.onHandG + SLACK_G)
    throw new ProblemError(
      'not_possible_now',
      `Only ${Math.round(jug.onHandG)} g are in this jug. Take another one, or pour less.`,
    );
  return Math.min(massG, jug.onHandG);
}

function requireRoom(jug: Jug, after: { massG: number; strengthFrac: number }): void {
  const { needMl, fits } = roomFor({ capacityMl: jug.capacityMl, ...after });
  if (!fits)
    throw new ProblemError(
      'not_possible_now',
      `The jug holds ${Math.round(jug.capacityMl)} mL, and this would be ${Math.round(needMl)} mL. Add less, or draw some off first.`,
    );
}
