import { caffeineAtStrength } from '../coffee/caffeineAtStrength.ts';
import { blended, roomFor } from './balance.ts';
import type { JugEntryKind } from './schema.ts';

/** What a row of a jug's ledger says: positive mass in, negative out; null for what stays. */
export interface LedgerRow {
  readonly id: string;
  readonly jugId: string;
  readonly kind: JugEntryKind;
  readonly massG: number;
  /** Strength, caffeine, cost and date from this row on; of a blend's other half, of what it took. */
  readonly strengthFrac: number | null;
  readonly caffeineMgPerG: number | null;
  readonly pricePerKg: number | null;
  /** ISO instant. */
  readonly useBy: string | null;
  /** What a count found on hand, or what a correction says that it was, g. */
  readonly countedG: number | null;
  /** The row that this one takes back. */
  readonly undoes: string | null;
  /** The row that this one corrects. */
  readonly corrects: string | null;
  /** The other row of a blend. */
  readonly pairId: string | null;
}

/** @returns a row that says nothing but what is given */
export const ledgerRow = <R extends Partial<LedgerRow>>(row: R) => ({
  massG: 0,
  strengthFrac: null,
  caffeineMgPerG: null,
  pricePerKg: null,
  useBy: null,
  countedG: null,
  undoes: null,
  corrects: null,
  pairId: null,
  ...row,
});

/** Whence the strength is known with which a jug was filled. */
export type FilledBy = 'refractometer' | 'prediction' | 'taste';

/** A jug as it was filled. */
export interface FilledJug {
  readonly strengthFrac: number;
  readonly readBy: FilledBy;
  readonly caffeineMgPerG: number;
  readonly pricePerKg: number | null;
  /** ISO instant. */
  readonly useBy: string;
}

/** What a jug's ledger comes to. */
export interface JugState extends Omit<FilledJug, 'readBy'> {
  readonly readBy: FilledJug['readBy'] | 'balance';
  readonly onHandG: number;
  /** The latest thing done to it that still stands and can be taken back. */
  readonly lastEntryId: string | null;
}

/** What coffee is, whatever there is of it. */
export type Content = Pick<JugState, 'strengthFrac' | 'caffeineMgPerG' | 'pricePerKg' | 'useBy'>;

/** Rows that are not taken back by themselves. */
const NEVER_LAST: readonly JugEntryKind[] = ['filled', 'blended-out', 'undone'];
/** Less than this is what rounding leaves, g. */
const NOTHING_G = 1e-6;

/** @returns an empty jug, before its first row */
export const emptyJug = (filled: FilledJug): JugState => ({
  ...filled,
  onHandG: 0,
  lastEntryId: null,
});

/**
 * A jug after one more row.
 *
 * @param input.taken what a blend brings in; for other rows null
 * @returns its state; on hand may be below 0 where more was taken than there was
 */
export function afterRow(input: {
  state: JugState;
  row: LedgerRow;
  taken: Content | null;
}): JugState {
  const { state, row, taken } = input;
  const lastEntryId = NEVER_LAST.includes(row.kind) ? state.lastEntryId : row.id;
  if (row.kind === 'corrected') return { ...state, lastEntryId };
  const onHandG = held(row.countedG ?? state.onHandG + row.massG);
  return { ...state, ...contentAfter({ state, row, taken }), onHandG, lastEntryId };
}

const held = (massG: number): number => (Math.abs(massG) < NOTHING_G ? 0 : massG);

function contentAfter(input: {
  state: JugState;
  row: LedgerRow;
  taken: Content | null;
}): Partial<JugState> {
  const { state, row, taken } = input;
  switch (row.kind) {
    case 'read':
      return {
        strengthFrac: row.strengthFrac ?? state.strengthFrac,
        caffeineMgPerG: caffeineAtStrength({
          ...state,
          wantedFrac: row.strengthFrac ?? state.strengthFrac,
        }),
        readBy: 'refractometer',
      };
    case 'watered':
      return { ...mixture(state, row.massG, WATER), readBy: 'balance' };
    case 'blended-in':
      return { ...mixture(state, row.massG, taken ?? contentOf(row, state)), readBy: 'balance' };
    default:
      return {};
  }
}

const WATER = { strengthFrac: 0, caffeineMgPerG: 0, pricePerKg: 0, useBy: null };

/** What is in a jug once something else is in it too. */
function mixture(
  state: JugState,
  massG: number,
  other: Omit<Content, 'useBy'> & { useBy: string | null },
): Content {
  const own = { massG: Math.max(0, state.onHandG), strengthFrac: state.strengthFrac };
  const after = blended(own, { massG, strengthFrac: other.strengthFrac });
  const shared = (a: number, b: number): number =>
    after.massG === 0 ? a : (own.massG * a + massG * b) / after.massG;
  return {
    strengthFrac: after.strengthFrac,
    caffeineMgPerG: shared(state.caffeineMgPerG, other.caffeineMgPerG),
    pricePerKg:
      state.pricePerKg === null || other.pricePerKg === null
        ? null
        : shared(state.pricePerKg, other.pricePerKg),
    // The older one's date holds for both.
    useBy: other.useBy !== null && other.useBy < state.useBy ? other.useBy : state.useBy,
  };
}

/** @returns what a row says of what it took, as far as it does */
const contentOf = (row: LedgerRow, state: JugState): Content => ({
  strengthFrac: row.strengthFrac ?? state.strengthFrac,
  caffeineMgPerG: row.caffeineMgPerG ?? state.caffeineMgPerG,
  pricePerKg: row.pricePerKg,
  useBy: row.useBy ?? state.useBy,
});

/** @returns the content of a jug, as a row writes it down */
export const contentOfJug = ({
  strengthFrac,
  caffeineMgPerG,
  pricePerKg,
  useBy,
}: JugState): Content => ({ strengthFrac, caffeineMgPerG, pricePerKg, useBy });

/** A jug whose ledger is worked out again. */
export interface ReplayedJug {
  readonly filled: FilledJug;
  readonly capacityMl: number | null;
}

/**
 * How a replay ended: every jug, and what each standing row makes of its own; or the first row that
 * could not have been, and how the jug stood then.
 */
export type Replay =
  | {
      readonly status: 'done';
      readonly jugs: ReadonlyMap<string, JugState>;
      readonly rows: ReadonlyMap<string, JugState>;
    }
  | {
      readonly status: 'impossible';
      readonly row: LedgerRow;
      readonly why: 'too_little' | 'no_room';
      readonly state: JugState;
    };

/**
 * Works out ledgers from the start, without what was taken back, and with what was corrected as it is
 * now known to have been: a blend brings what its source held at that moment.
 *
 * @param input.jugs those to work out, by identity
 * @param input.rows all of theirs in the order of writing, and the other halves of their blends
 * @param input.checkedFrom the first row from which too little and too much is found: earlier ones were
 *   checked when they were made
 */
export function replay(input: {
  jugs: ReadonlyMap<string, ReplayedJug>;
  rows: readonly LedgerRow[];
  checkedFrom?: string;
}): Replay {
  const { jugs, rows, checkedFrom } = input;
  const undone = new Set(rows.map(({ undoes }) => undoes));
  const corrections = new Map(
    rows
      .filter(({ id, kind }) => kind === 'corrected' && !undone.has(id))
      .map((row) => [row.corrects, row]),
  );
  const states = new Map<string, JugState>();
  for (const [id, { filled }] of jugs) states.set(id, emptyJug(filled));
  const said = new Map<string, JugState>();
  const taken = new Map<string, Content>();
  let isChecked = checkedFrom === undefined;
  for (const row of rows) {
    isChecked ||= row.id === checkedFrom;
    if (row.kind === 'undone' || undone.has(row.id)) continue;
    const jug = states.get(row.jugId);
    const correction = corrections.get(row.id);
    const before =
      jug && correction && row.kind === 'filled' ? refilled(jug, row, correction) : jug;
    if (!before) {
      // The other half of a blend from a jug that nothing changed.
      if (row.strengthFrac !== null) taken.set(row.id, contentOf(row, EMPTY));
      continue;
    }
    if (row.kind === 'blended-out') taken.set(row.id, contentOfJug(before));
    const state = afterRow({
      state: before,
      row: correction ? correctedRow(row, correction) : row,
      taken: row.pairId === null ? null : (taken.get(row.pairId) ?? null),
    });
    if (isChecked) {
      const why = whyImpossible(state, row, jugs.get(row.jugId)!.capacityMl);
      if (why) return { status: 'impossible', row, why, state };
    }
    states.set(row.jugId, state);
    said.set(row.id, state);
  }
  return { status: 'done', jugs: states, rows: said };
}

/** A row as it is now known to have been. */
function correctedRow(row: LedgerRow, { countedG, strengthFrac }: LedgerRow): LedgerRow {
  if (row.kind === 'read') return { ...row, strengthFrac: strengthFrac ?? row.strengthFrac };
  if (countedG === null) return row;
  if (row.kind === 'counted') return { ...row, countedG };
  return { ...row, massG: row.massG < 0 ? -countedG : countedG };
}

/** A jug before it was filled with what it is now known to have been filled with. */
function refilled(jug: JugState, { massG }: LedgerRow, correction: LedgerRow): JugState {
  const strengthFrac = correction.strengthFrac ?? jug.strengthFrac;
  const filledG = correction.countedG ?? massG;
  return {
    ...jug,
    strengthFrac,
    caffeineMgPerG: caffeineAtStrength({ ...jug, wantedFrac: strengthFrac }),
    // The same coffee was paid for, whatever came out of it.
    pricePerKg:
      jug.pricePerKg === null || filledG === 0 ? null : (jug.pricePerKg * massG) / filledG,
    readBy: correction.strengthFrac === null ? jug.readBy : 'refractometer',
  };
}

/** Kinds of row that can be corrected, and whether it is their amount or their strength. */
const CORRECTED: Readonly<Partial<Record<JugEntryKind, readonly ('amount' | 'strength')[]>>> = {
  filled: ['amount', 'strength'],
  poured: ['amount'],
  watered: ['amount'],
  discarded: ['amount'],
  counted: ['amount'],
  read: ['strength'],
};

/** @returns what of a row can be corrected: its amount, its strength, both or nothing */
export const correctableOf = (kind: JugEntryKind): readonly ('amount' | 'strength')[] =>
  CORRECTED[kind] ?? [];

const EMPTY: JugState = emptyJug({
  strengthFrac: 0,
  readBy: 'prediction',
  caffeineMgPerG: 0,
  pricePerKg: null,
  useBy: '9999-12-31T00:00:00.000Z',
});

function whyImpossible(
  state: JugState,
  row: LedgerRow,
  capacityMl: number | null,
): 'too_little' | 'no_room' | null {
  if (state.onHandG < 0) return 'too_little';
  if (row.kind === 'filled') return null;
  const { onHandG: massG, strengthFrac } = state;
  return roomFor({ capacityMl, massG, strengthFrac }).fits ? null : 'no_room';
}
