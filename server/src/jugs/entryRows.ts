import {
  afterRow,
  contentOfJug,
  ledgerRow,
  roomFor,
  type Jug,
  type JugEntryRequest,
  type JugState,
} from '@ratio/core/jug';
import { storedCoffeeMl, waterDensityGPerMl } from '@ratio/core/matter';
import type { StoredJugRow } from '../database/tables.ts';
import { derivedId } from '../derivedId.ts';
import { ProblemError } from '../problem.ts';

/** A ledger row before it has its time. */
export type NewRow = Omit<StoredJugRow, 'at'>;
/** A row, and what its jug is from then on. */
export interface Entered {
  readonly row: NewRow;
  readonly state: JugState;
}

type Request<K extends JugEntryRequest['kind']> = Extract<JugEntryRequest, { kind: K }>;
/** What is done to one jug alone. */
export type OwnRequest = Exclude<JugEntryRequest, { kind: 'blended' | 'undone' | 'corrected' }>;

// A scale and a sum of rounded rows may disagree by this much.
const SLACK_G = 0.5;
const FRIDGE_C = 4;

/** @returns a row that says nothing but what is given */
export const rowOf = (
  row: Pick<NewRow, 'jugId' | 'id' | 'kind' | 'massG'> & Partial<NewRow>,
): NewRow => ledgerRow({ request: null, note: '', ...row });

/**
 * The row that something done to one jug adds to its ledger, and the jug then.
 *
 * @throws {ProblemError} not_possible_now where there is too little in it, or no room
 */
export function ownRow(jug: Jug, request: OwnRequest): Entered {
  const { id, kind } = request;
  const row = {
    jugId: jug.id,
    id,
    kind,
    note: 'reason' in request ? request.reason : request.note,
    massG: 0,
    request,
  };
  switch (request.kind) {
    case 'poured':
    case 'discarded':
      return entered(jug, { ...row, massG: -takeFrom(jug, request.massG) });
    case 'read':
      return entered(jug, { ...row, strengthFrac: request.strengthFrac });
    case 'counted': {
      const { massG, volumeMl = 0 } = request;
      const countedG = massG ?? volumeMl / storedCoffeeMl({ ...jug, massG: 1 });
      return entered(jug, { ...row, countedG, massG: countedG - jug.onHandG });
    }
    case 'watered': {
      const { massG, volumeMl = 0 } = request;
      return entered(jug, { ...row, massG: massG ?? volumeMl * waterDensityGPerMl(FRIDGE_C) });
    }
  }
}

/**
 * The rows that a blend adds: one to each of the two ledgers.
 *
 * @throws {ProblemError} not_possible_now
 */
export function blendRows(input: {
  jug: Jug;
  from: Jug;
  request: Request<'blended'>;
}): [out: Entered, into: Entered] {
  const { jug, from, request } = input;
  const { id, note } = request;
  const massG = takeFrom(from, request.massG);
  const taken = contentOfJug(from);
  const outId = derivedId(id, 'out');
  const out = { jugId: from.id, id: outId, kind: 'blended-out' as const, massG: -massG, note };
  const into = { jugId: jug.id, id, kind: 'blended-in' as const, massG, note, request };
  const after = entered(jug, { ...into, pairId: outId }, taken);
  return [entered(from, { ...out, pairId: id, ...taken }), after];
}

/** A row with what it makes of its jug. */
function entered(
  jug: Jug,
  said: Parameters<typeof rowOf>[0],
  taken: ReturnType<typeof contentOfJug> | null = null,
): Entered {
  const row = rowOf(said);
  const state = afterRow({ state: jug, row, taken });
  if (row.massG > 0) requireRoom(jug, state);
  return { row: { ...row, ...saidBy(row, state) }, state };
}

/** What a row writes down of its jug: what it is from then on, where the row changes that. */
export const saidBy = (
  { kind }: Pick<NewRow, 'kind'>,
  state: JugState,
): Partial<ReturnType<typeof contentOfJug>> =>
  ['read', 'watered', 'blended-in', 'blended-out'].includes(kind) ? contentOfJug(state) : {};

function takeFrom(jug: Jug, massG: number): number {
  if (massG > jug.onHandG + SLACK_G)
    throw new ProblemError(
      'not_possible_now',
      `Only ${Math.round(jug.onHandG)} g are in this jug. Take another one, or pour less.`,
    );
  return Math.min(massG, jug.onHandG);
}

function requireRoom({ capacityMl }: Jug, { onHandG: massG, strengthFrac }: JugState): void {
  const { needMl, fits } = roomFor({ capacityMl, massG, strengthFrac });
  if (!fits && capacityMl !== null)
    throw new ProblemError(
      'not_possible_now',
      `The jug holds ${Math.round(capacityMl)} mL, and this would be ${Math.round(needMl)} mL. Add less, or draw some off first.`,
    );
}
