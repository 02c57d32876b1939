import {
  readOldRow,
  type ColumnMatch,
  type OldBatch,
  type OldUnits,
  type RowProblem,
} from '@ratio/core/log';
import Papa from 'papaparse';

/** How the rows of a file are to be understood. */
export interface OldLogSense {
  readonly match: ColumnMatch;
  readonly units: OldUnits;
  /** Taken once for each file: a row is not of tomorrow because the clock went on. */
  readonly nowMs: number;
  readonly zone: string;
}

/** What the rows come to, and as much of them as a page shows. */
export interface OldLogSummary {
  readonly good: number;
  readonly bad: number;
  readonly preview: readonly OldBatch[];
  readonly problems: readonly RowProblem[];
  readonly moreProblems: number;
}

const MOST_SHOWN = 100;
const PREVIEWED = 5;
/** Rows that are read before the next question is let in, and whose text is handed to the browser at once. */
const PIECE = 1000;

/** The same row is the same batch, whenever the file is taken in (FNV-1a over two halves; memory). */
function idOf(text: string): string {
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let i = 0; i < text.length; i++) {
    a = Math.imul(a ^ text.charCodeAt(i), 16777619) >>> 0;
    b = Math.imul(b ^ text.charCodeAt(text.length - 1 - i), 2246822519) >>> 0;
  }
  return `old-${a.toString(16)}${b.toString(16)}-${text.length}`;
}

/** Reads an old log row by row: its cells are kept, and nothing else of it. */
export function createOldLogReader() {
  let rows: readonly (readonly string[])[] = [];
  /** How often a summary was asked for. */
  let asked = 0;

  /** Row by row, in pieces, between which other questions are let in. */
  async function* read(sense: OldLogSense): AsyncGenerator<ReturnType<typeof readOldRow>[]> {
    for (let from = 0; from < rows.length; from += PIECE) {
      yield (
        rows
          .slice(from, from + PIECE)
          // As a spreadsheet counts: the heading is row 1.
          .map((cells, i) => readOldRow({ cells, row: from + i + 2, idOf, ...sense }))
      );
      await new Promise((resolve) => setTimeout(resolve));
    }
  }

  return {
    /** @returns the headings and how many rows there are below them */
    async open(file: File): Promise<{ headings: string[]; rows: number }> {
      const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
      const [headings = [], ...rest] = data;
      rows = rest;
      return { headings, rows: rest.length };
    },

    /** Asked again meanwhile it stops, and knows only a part: the later answer is the one that counts. */
    async summary(sense: OldLogSense): Promise<OldLogSummary> {
      asked += 1;
      const mine = asked;
      let [good, bad, moreProblems] = [0, 0, 0];
      const preview: OldBatch[] = [];
      const problems: RowProblem[] = [];
      for await (const piece of read(sense)) {
        if (mine !== asked) break;
        for (const row of piece) {
          if (row.ok) {
            good += 1;
            if (good <= PREVIEWED) preview.push(row.batch);
            continue;
          }
          bad += 1;
          const shown = row.problems.slice(0, MOST_SHOWN - problems.length);
          problems.push(...shown);
          moreProblems += row.problems.length - shown.length;
        }
      }
      return { good, bad, preview, problems, moreProblems };
    },

    /** All batches that can be read, as JSON, one to a line. */
    async lines(sense: OldLogSense): Promise<Blob> {
      let whole = new Blob();
      for await (const piece of read(sense)) {
        const texts = piece.flatMap((row) => (row.ok ? `${JSON.stringify(row.batch)}\n` : []));
        whole = new Blob([whole, ...texts]);
      }
      return whole;
    },
  };
}

export type OldLogReader = ReturnType<typeof createOldLogReader>;
