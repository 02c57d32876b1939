import type { JugEntryKind } from '../jug/schema.ts';
import type { Pour } from './poursByDay.ts';

/** What a row of a jug's ledger says of what was poured. */
interface PouredRow {
  readonly id: string;
  readonly jugId: string;
  readonly kind: JugEntryKind;
  /** Positive in, negative out, g. */
  readonly massG: number;
  readonly countedG: number | null;
  readonly undoes: string | null;
  readonly corrects: string | null;
  /** ISO instant. */
  readonly at: string;
}

/** A drink's worth of concentrate, for what was counted and not noted pour by pour (practice). */
const USUAL_POUR_G = 110;
/** Less than this a count is off by the scale, not by drinks. */
const OFF_G = 50;
/** A count says nothing of pours further back than a day's work. */
const LONGEST_MS = 15 * 3_600_000;

/**
 * What was poured by a ledger's rows, of all jugs: without what was taken back, and as it was corrected. A
 * count that finds less than the ledger tells of pours that nobody noted: they lie evenly between the
 * jug's row before and the count.
 *
 * @param input.rows in the order of writing
 * @returns in no particular order
 */
export function poursOf(rows: readonly PouredRow[]): Pour[] {
  const undone = new Set(rows.map(({ undoes }) => undoes));
  const standing = rows.filter(({ id, kind }) => kind !== 'undone' && !undone.has(id));
  const corrected = new Map(
    standing.flatMap(({ kind, corrects, countedG }) =>
      kind === 'corrected' && corrects !== null && countedG !== null ? [[corrects, countedG]] : [],
    ),
  );
  const before = new Map<string, number>();
  return standing.flatMap((row) => {
    const atMs = Date.parse(row.at);
    const fromMs = before.get(row.jugId);
    if (row.kind !== 'corrected') before.set(row.jugId, atMs);
    if (row.kind === 'poured') {
      const massG = corrected.get(row.id) ?? -row.massG;
      return massG > 0 ? [{ atMs, massG }] : [];
    }
    if (row.kind !== 'counted' || row.massG > -OFF_G) return [];
    return spread({
      massG: -row.massG,
      fromMs: Math.max(fromMs ?? 0, atMs - LONGEST_MS),
      toMs: atMs,
    });
  });
}

function spread({ massG, fromMs, toMs }: { massG: number; fromMs: number; toMs: number }): Pour[] {
  const count = Math.max(1, Math.round(massG / USUAL_POUR_G));
  return Array.from({ length: count }, (_, i) => ({
    atMs: fromMs + ((i + 0.5) / count) * (toMs - fromMs),
    massG: massG / count,
  }));
}
