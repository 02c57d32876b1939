import {
  matchColumns,
  OLD_COLUMN_NAMES,
  OLD_COLUMNS,
  type ColumnMatch,
  type OldColumn,
  type OldUnits,
} from '@ratio/core/log';
import { computed, ref, shallowRef, watch } from 'vue';
import { sendLog } from './sendLog.ts';
import type { OldLogReader, OldLogSense, OldLogSummary } from './oldLogReader.ts';
import { useBatches } from '../events/index.ts';
import { useShop } from '../shop/index.ts';
import { sentenceOf, useNotice } from '../sync/index.ts';

const NOTHING: OldLogSummary = { good: 0, bad: 0, preview: [], problems: [], moreProblems: 0 };

/** An old log from a spreadsheet: its columns matched, each row checked, taken in as a whole or not at all. */
export function useImportPage(reader: OldLogReader) {
  const shop = useShop();
  const batches = useBatches();
  const notice = useNotice();
  const headings = shallowRef<readonly string[]>([]);
  const fileName = ref('');
  const rowCount = ref(0);
  const openedMs = ref(0);
  const match = shallowRef<ColumnMatch>(matchColumns([]));
  const units = ref<OldUnits>({ mass: 'gram', water: 'gram' });
  const problem = ref('');
  const isReading = ref(false);
  const summary = shallowRef<OldLogSummary>(NOTHING);

  async function open(file: File): Promise<void> {
    problem.value = '';
    isReading.value = true;
    try {
      const opened = await reader.open(file);
      if (opened.rows === 0) {
        problem.value = 'There is no row in it. A heading and a row for each batch are needed.';
        isReading.value = false;
        return;
      }
      openedMs.value = shop.now.getTime();
      [fileName.value, headings.value, rowCount.value] = [file.name, opened.headings, opened.rows];
      match.value = matchColumns(opened.headings);
      await understand();
    } catch (error) {
      problem.value = `${file.name} cannot be read. ${sentenceOf(error)}`;
      isReading.value = false;
    }
  }
  const setColumn = (column: OldColumn, i: number): void => {
    match.value = { ...match.value, [column]: i };
    void understand();
  };
  const isMatched = computed(() =>
    OLD_COLUMN_NAMES.every((name) => !OLD_COLUMNS[name].needed || match.value[name] >= 0),
  );
  const sense = computed<OldLogSense>(() => ({
    match: match.value,
    // A copy: what is reactive cannot be sent to a worker.
    units: { ...units.value },
    nowMs: openedMs.value,
    zone: shop.zone,
  }));
  let asked = 0;
  async function understand(): Promise<void> {
    asked += 1;
    const mine = asked;
    isReading.value = isMatched.value;
    const found = isMatched.value ? await reader.summary(sense.value) : NOTHING;
    if (mine !== asked) return;
    summary.value = found;
    isReading.value = false;
  }
  watch(units, understand);

  const done = ref(0);
  const isRunning = ref(false);
  let stopping: AbortController | null = null;

  async function takeIn(): Promise<void> {
    isRunning.value = true;
    done.value = 0;
    stopping = new AbortController();
    try {
      const lines = await reader.lines(sense.value);
      const said = await sendLog(lines, stopping.signal, (count) => (done.value = count));
      await batches.load();
      const known = said.known > 0 ? ` ${said.known} were there already.` : '';
      notice.say({ tone: 'done', text: `${said.taken} batches are in the log.${known}` });
      rowCount.value = 0;
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
    isReading,
    summary,
    isOpen: computed(() => rowCount.value > 0),
    isRunning,
    done,
    takeIn,
    stop: (): void => stopping?.abort(),
  };
}
