/** A paper that labels are printed on, mm. */
export interface Paper {
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Labels beside and above one another, and where the first one begins. */
  readonly columns: number;
  readonly rows: number;
  readonly label: { readonly widthMm: number; readonly heightMm: number };
  readonly leftMm: number;
  readonly topMm: number;
}

const SMALL = { widthMm: 62, heightMm: 40 };
const LARGE = { widthMm: 100, heightMm: 62 };
const A4 = { widthMm: 210, heightMm: 297 };

/** Labels in the middle of a sheet of A4. */
const sheetOf = (name: string, label: Paper['label'], columns: number, rows: number): Paper => ({
  name,
  ...A4,
  columns,
  rows,
  label,
  leftMm: (A4.widthMm - columns * label.widthMm) / 2,
  topMm: (A4.heightMm - rows * label.heightMm) / 2,
});
const rollOf = (name: string, label: Paper['label']): Paper => ({
  name,
  ...label,
  columns: 1,
  rows: 1,
  label,
  leftMm: 0,
  topMm: 0,
});

export const PAPERS = {
  small: rollOf('62 × 40 mm', SMALL),
  large: rollOf('100 × 62 mm', LARGE),
  'a4-small': sheetOf('A4, 21 of 62 × 40', SMALL, 3, 7),
  'a4-large': sheetOf('A4, 8 of 100 × 62', LARGE, 2, 4),
} as const satisfies Record<string, Paper>;
export type PaperName = keyof typeof PAPERS;

/**
 * Places of labels on sheets.
 *
 * @param input.start which place of the first sheet is the first free one, from 1
 * @param input.count how many labels, 1 or more
 * @returns sheets, each with its labels' left upper corners, mm
 */
export function placesOf(input: {
  paper: Paper;
  start: number;
  count: number;
}): { readonly xMm: number; readonly yMm: number }[][] {
  const { paper, start, count } = input;
  const { columns, rows, label, leftMm, topMm } = paper;
  const each = columns * rows;
  const sheets: { xMm: number; yMm: number }[][] = [];
  for (let i = 0; i < count; i++) {
    const at = start - 1 + i;
    const place = at % each;
    (sheets[Math.floor(at / each)] ??= []).push({
      xMm: leftMm + (place % columns) * label.widthMm,
      yMm: topMm + Math.floor(place / columns) * label.heightMm,
    });
  }
  return sheets;
}
