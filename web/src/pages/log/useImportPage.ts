import {
  matchColumns,
  OLD_COLUMN_NAMES,
  OLD_COLUMNS,
  readOldRow,
  type ColumnMatch,
  type OldColumn,
  type OldUnits,
} from '@ratio/core/log';
import Papa from 'papaparse';
import { computed, ref, shallowRef } from 'vue';
import { sentenceOf } from '../../api/client.ts';
import { sendLog } from '../../api/sendLog.ts';
import { useStores } from '../../stores/useStores.ts';

/** Rows that are shown of those that cannot be read. */
const MOST_SHOWN = 100;
const PREVIEWED = 5;

/** An old log from a spreadsheet: its columns matched, each row checked, taken in as a whole or not at all. */
export function useImportPage() {
  const { shelf, batches, notice } = useStores();
  const headings = shallowRef<readonly string[]>([]);
  const cells = shallowRef<readonly (readonly string[])[]>([]);
  const fileName = ref('');
  /** Taken once for each file: the clock's tick must not read all its rows again. */
  const openedMs = ref(0);
  const match = shallowRef<ColumnMatch>(matchColumns([]));
  const units = ref<OldUnits>({ mass: 'gram', water: 'gram' });
  const problem = ref('');

  async function open(file: File): Promise<void> {
    problem.value = '';
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
    const [first, ...rest] = data;
    if (!first || rest.length === 0) {
      problem.value = 'There is no row in it. A heading and a row for each batch are needed.';
      return;
    }
    openedMs.value = shelf.now.getTime();
    [fileName.value, headings.value, cells.value] = [file.name, first, rest];
    match.value = matchColumns(first);
  }
  const setColumn = (column: OldColumn, i: number): void => {
    match.value = { ...match.value, [column]: i };
  };

  /** The same row is the same batch, whenever the file is taken in (FNV-1a over two halves; memory). */
  function idOf(text: string): string {
    let [a, b] = [0x811c9dc5, 0x01000193];
    for (let i = 0; i < text.length; i++) {
      a = Math.imul(a ^ text.charCodeAt(i), 16777619) >>> 0;
      b = Math.imul(b ^ text.charCodeAt(text.length - 1 - i), 2246822519) >>> 0;
    }
    return `old-${a.toString(16)}${b.toString(16)}-${text.length}`;
  }
  const isMatched = computed(() =>
    OLD_COLUMN_NAMES.every((name) => !OLD_COLUMNS[name].needed || match.value[name] >= 0),
  );
  const read = computed(() => {
    if (!isMatched.value) return [];
    return cells.value.map((row, i) =>
      readOldRow({
        cells: row,
        row: i + 2,
        match: match.value,
        units: units.value,
        nowMs: openedMs.value,
        zone: shelf.zone,
        idOf,
      }),
    );
  });
  const good = computed(() => read.value.flatMap((one) => (one.ok ? [one.batch] : [])));
  const problems = computed(() => read.value.flatMap((one) => (one.ok ? [] : one.problems)));
  const badRows = computed(() => read.value.length - good.value.length);

  const done = ref(0);
  const isRunning = ref(false);
  let stopping: AbortController | null = null;

  async function takeIn(): Promise<void> {
    isRunning.value = true;
    done.value = 0;
    stopping = new AbortController();
    try {
      const said = await sendLog(good.value, stopping.signal, (lines) => (done.value = lines));
      await batches.load();
      const known = said.known > 0 ? ` ${said.known} were there already.` : '';
      notice.say({ tone: 'done', text: `${said.taken} batches are in the log.${known}` });
      cells.value = [];
    } catch (error) {
      const isStopped = stopping.signal.aborted;
      const text = isStopped ? 'It was stopped. Nothing was taken in.' : sentenceOf(error);
      notice.say({ tone: 'wrong', text });
    } finally {
      isRunning.value = false;
    }
  }

  return {
    headings,
    fileName,
    match,
    units,
    problem,
    open,
    setColumn,
    isMatched,
    good,
    badRows,
    problems: computed(() => problems.value.slice(0, MOST_SHOWN)),
    moreProblems: computed(() => Math.max(0, problems.value.length - MOST_SHOWN)),
    preview: computed(() => good.value.slice(0, PREVIEWED)),
    isOpen: computed(() => cells.value.length > 0),
    isRunning,
    done,
    takeIn,
    stop: (): void => stopping?.abort(),
  };
}
