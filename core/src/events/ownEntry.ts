import { CONSTANTS } from '../constants.ts';
import { afterRow, contentOfJug, type Content, type JugState } from '../jug/ledger.ts';
import type { LedgerEntry, StoredJug } from '../jug/ledgerSchema.ts';
import type { JugEntryRequest } from '../jug/schema.ts';
import { roomFor } from '../jug/balance.ts';
import { storedCoffeeMl } from '../matter/properties.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { refuse } from './decision.ts';
import { entryOf } from './ledgerEntry.ts';
import type { EventRows } from './state.ts';

/** What is done to one jug alone. */
type OwnRequest = Exclude<JugEntryRequest, { kind: 'blended' | 'undone' | 'corrected' }>;

/** A scale and a sum of rounded rows may disagree by this much, g. */
const SLACK_G = 0.5;

/** @returns rows of what is done to one jug; refuses where there is too little in it, or no room */
export function ownRows(input: { jug: StoredJug; request: OwnRequest; at: string }): EventRows {
  const { jug, request, at } = input;
  const row = {
    jugId: jug.id,
    id: request.id,
    kind: request.kind,
    note: 'reason' in request ? request.reason : request.note,
    massG: 0,
    request,
    at,
  };
  switch (request.kind) {
    case 'poured':
    case 'discarded':
      return entered(jug, { ...row, massG: -takenFrom(jug, request.massG) });
    case 'read':
      return entered(jug, { ...row, strengthFrac: request.strengthFrac });
    case 'counted': {
      const { massG, volumeMl = 0 } = request;
      const countedG = massG ?? volumeMl / storedCoffeeMl({ ...jug, massG: 1 });
      return entered(jug, { ...row, countedG, massG: countedG - jug.onHandG });
    }
    case 'watered': {
      const { massG, volumeMl = 0 } = request;
      return entered(jug, { ...row, massG: massG ?? storedWaterG(volumeMl) });
    }
  }
}

/** @returns mass of water at the temperature at which volumes are stated, g */
export const storedWaterG = (volumeMl: number): number =>
  volumeMl * waterDensityGPerMl(CONSTANTS.brewVolumeTempC.value);

/** @returns how much is taken from a jug, g; refuses more than it holds */
export function takenFrom(jug: StoredJug, massG: number): number {
  if (massG > jug.onHandG + SLACK_G)
    refuse(
      'not_possible_now',
      `Only ${Math.round(jug.onHandG)} g are in this jug. Take another one, or pour less.`,
    );
  return Math.min(massG, jug.onHandG);
}

/**
 * Adds a row to a jug's ledger.
 *
 * @param taken what a blend brings in; null for any other row
 */
export function entered(
  jug: StoredJug,
  stated: Parameters<typeof entryOf>[0],
  taken: Content | null = null,
): EventRows {
  const row = entryOf(stated);
  const state = afterRow({ state: jug, row, taken });
  if (row.massG > 0) requireRoom(jug, state);
  return {
    jugs: [withState(jug, state)],
    entries: [{ ...row, ...contentInRow(row, state) }],
  };
}

/** @returns the content that a row of a kind records: that of its jug from then on */
export const contentInRow = (
  { kind }: Pick<LedgerEntry, 'kind'>,
  state: JugState,
): Partial<Content> =>
  ['read', 'watered', 'blended-in', 'blended-out'].includes(kind) ? contentOfJug(state) : {};

/** @returns a jug with what its ledger comes to */
export const withState = (jug: StoredJug, state: JugState): StoredJug => ({
  ...jug,
  ...contentOfJug(state),
  readBy: state.readBy,
  onHandG: state.onHandG,
  lastEntryId: state.lastEntryId,
});

function requireRoom({ capacityMl }: StoredJug, { onHandG: massG, strengthFrac }: JugState): void {
  const { needMl, fits } = roomFor({ capacityMl, massG, strengthFrac });
  if (!fits && capacityMl !== null)
    refuse(
      'not_possible_now',
      `The jug holds ${Math.round(capacityMl)} mL, and this would be ${Math.round(needMl)} mL. Add less, or draw some off first.`,
    );
}
