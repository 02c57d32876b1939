import { z } from 'zod';
import { BATCH_LIMITS } from '../brew/limits.ts';
import { STEEP_PLACES } from '../brew/schema.ts';
import { readTime } from '../calendar/readTime.ts';
import { GRIND_NAMES, type Grind } from '../coffee/grinds.ts';
import { idSchema, instantSchema } from '../document/schema.ts';
import { readAmount, type Expected } from '../units/readAmount.ts';
import type { UnitId } from '../units/units.ts';
import { OLD_COLUMNS, type ColumnMatch, type OldColumn, type OldUnits } from './oldColumns.ts';

/** One batch out of an old log, as it is taken in. */
export const oldBatchSchema = z.strictObject({
  id: idSchema,
  startedAt: instantSchema,
  coffeeName: z.string().min(1).max(80),
  doseG: z.number().positive().max(BATCH_LIMITS.doseG),
  waterG: z.number().positive().max(BATCH_LIMITS.waterG),
  hours: z.number().positive().max(BATCH_LIMITS.hours),
  place: z.enum(STEEP_PLACES),
  grind: z.enum(GRIND_NAMES),
  strengthFrac: z.number().positive().max(0.3).nullable(),
  brewG: z.number().positive().max(BATCH_LIMITS.waterG).nullable(),
  note: z.string().max(200),
});
export type OldBatch = z.infer<typeof oldBatchSchema>;

/** What is wrong in a row, where it stands. */
export interface RowProblem {
  /** As a spreadsheet counts: 1 is the heading. */
  readonly row: number;
  readonly column: OldColumn;
  readonly message: string;
}

/**
 * Reads a row of an old log: amounts with or without their units, dates as people write them.
 *
 * @param input.cells as they stand in the file
 * @param input.row as a spreadsheet counts
 * @param input.idOf an identity that is the same for the same row, so that it is taken in once
 * @returns the batch, or everything that is wrong with the row
 */
export function readOldRow(input: {
  cells: readonly string[];
  row: number;
  match: ColumnMatch;
  units: OldUnits;
  nowMs: number;
  zone: string;
  idOf: (text: string) => string;
}):
  | { readonly ok: true; readonly batch: OldBatch }
  | { readonly ok: false; readonly problems: RowProblem[] } {
  const { cells, row, match, units, nowMs, zone, idOf } = input;
  const problems: RowProblem[] = [];
  const cell = (column: OldColumn): string =>
    match[column] < 0 ? '' : (cells[match[column]] ?? '').trim();
  const wrong = (column: OldColumn, message: string): null => {
    problems.push({ row, column, message });
    return null;
  };
  function amount(
    column: OldColumn,
    accepts: readonly [Expected, ...Expected[]],
    plainUnit?: UnitId,
  ): number | null {
    const text = cell(column);
    if (text === '') return OLD_COLUMNS[column].needed ? wrong(column, 'It is empty.') : null;
    const read = readAmount({ text, accepts: [...accepts], ...(plainUnit ? { plainUnit } : {}) });
    if (!read.ok) return wrong(column, read.message);
    // A litre of water is as good as a kilogram of it here.
    return read.value > 0 ? read.value : wrong(column, 'It has to be more than nothing.');
  }
  const when = readTime({ text: dated(cell('date')), nowMs, zone, looks: 'back' });
  if (!when.ok) wrong('date', when.message);
  else if (when.atMs > nowMs) wrong('date', 'It is still to come.');
  const coffeeName = cell('coffee');
  if (coffeeName === '') wrong('coffee', 'It is empty.');
  const doseG = amount('dose', ['mass'], units.mass === 'kilogram' ? 'kilogram' : units.mass);
  const waterG = amount('water', ['mass', 'volume'], units.water);
  const seconds = amount('hours', ['time'], 'hour');
  const strengthFrac = amount('strength', ['percent']);
  const brewG = amount('brew', ['mass', 'volume'], units.water);
  const grindText = cell('grind').toLowerCase().replaceAll(' ', '-');
  const grind = grindText === '' ? 'coarse' : GRIND_NAMES.find((name) => name === grindText);
  if (!grind) wrong('grind', `“${cell('grind')}” is none of ${GRIND_NAMES.join(', ')}.`);
  const placeText = cell('place').toLowerCase();
  const place =
    placeText === '' || /fridge|cold|refrig/.test(placeText)
      ? 'fridge'
      : /counter|room|warm|bench/.test(placeText)
        ? 'counter'
        : null;
  if (!place) wrong('place', `“${cell('place')}” is neither fridge nor counter.`);
  if (problems.length > 0) return { ok: false, problems };
  const batch = {
    id: idOf(cells.join('\u001f')),
    startedAt: new Date(when.ok ? when.atMs : 0).toISOString(),
    coffeeName: coffeeName.slice(0, 80),
    doseG: doseG!,
    waterG: waterG!,
    hours: seconds! / 3600,
    place: place!,
    grind: grind as Grind,
    strengthFrac,
    brewG,
    note: cell('note').slice(0, 200),
  };
  const checked = oldBatchSchema.safeParse(batch);
  if (checked.success) return { ok: true, batch: checked.data };
  return {
    ok: false,
    problems: checked.error.issues.map(({ path, message }) => ({
      row,
      column: COLUMN_OF[String(path[0])] ?? 'date',
      message,
    })),
  };
}

const COLUMN_OF: Readonly<Record<string, OldColumn>> = {
  startedAt: 'date',
  coffeeName: 'coffee',
  doseG: 'dose',
  waterG: 'water',
  hours: 'hours',
  strengthFrac: 'strength',
  brewG: 'brew',
};

/** A date alone means its noon; 13.06.2026 and 13/6/2026 are days first. */
function dated(text: string): string {
  const dotted = text.replace(
    /^(\d{1,2})[./](\d{1,2})[./](\d{4})/,
    (_, d: string, m: string, y: string) => `${y}-${m}-${d}`,
  );
  return /\d:\d\d|\d ?[ap]m$/i.test(dotted) ? dotted : `${dotted} 12:00`;
}
