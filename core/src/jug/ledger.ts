import { fsum } from 'd3-array';
import type { JugEntryKind } from './schema.ts';

/** What a row of a jug's ledger says: positive mass in, negative out; null for what stays. */
export interface LedgerRow {
  readonly id: string;
  readonly kind: JugEntryKind;
  readonly massG: number;
  readonly strengthFrac: number | null;
  readonly caffeineMgPerG: number | null;
  readonly pricePerKg: number | null;
  /** ISO instant. */
  readonly useBy: string | null;
  /** The row that this one takes back. */
  readonly undoes: string | null;
  /** The other row of a blend. */
  readonly pairId: string | null;
}

/** A jug as it was filled. */
export interface FilledJug {
  readonly strengthFrac: number;
  readonly readBy: 'refractometer' | 'prediction';
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

/** Rows that are not taken back by themselves. */
const NEVER_LAST: readonly JugEntryKind[] = ['filled', 'blended-out', 'undone'];

/**
 * The sum of a ledger. What is on hand is the sum of all rows; strength, caffeine, cost and date are
 * those of the latest row that says them and is not taken back, or else as the jug was filled.
 *
 * @param rows of one jug, in the order of writing
 */
export function ledgerSum(filled: FilledJug, rows: readonly LedgerRow[]): JugState {
  const undone = new Set(rows.map(({ undoes }) => undoes));
  const standing = rows.filter(({ id, kind }) => kind !== 'undone' && !undone.has(id));
  const latest = <K extends 'strengthFrac' | 'caffeineMgPerG' | 'pricePerKg' | 'useBy'>(key: K) =>
    standing.findLast((row) => row[key] !== null);
  const said = latest('strengthFrac');
  return {
    onHandG: fsum(rows, ({ massG }) => massG),
    lastEntryId: standing.findLast(({ kind }) => !NEVER_LAST.includes(kind))?.id ?? null,
    strengthFrac: said?.strengthFrac ?? filled.strengthFrac,
    readBy: said === undefined ? filled.readBy : said.kind === 'read' ? 'refractometer' : 'balance',
    caffeineMgPerG: latest('caffeineMgPerG')?.caffeineMgPerG ?? filled.caffeineMgPerG,
    pricePerKg: latest('pricePerKg')?.pricePerKg ?? filled.pricePerKg,
    useBy: latest('useBy')?.useBy ?? filled.useBy,
  };
}
