import { useMediaQuery } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import type { LogLine } from './useLogPage.ts';
import { onPhone } from '../ui/browser/index.ts';
import type { DataColumn } from '../ui/tables/index.ts';

const COLUMNS: readonly DataColumn<LogLine>[] = [
  { key: 'date', label: 'Began', minPx: 130 },
  { key: 'coffee', label: 'Coffee', text: ({ coffee }) => coffee, minPx: 150 },
  { key: 'vessel', label: 'Vessel', text: ({ vessel }) => vessel, minPx: 150 },
  { key: 'grind', label: 'Grind', text: ({ grind }) => grind, minPx: 104 },
  { key: 'ratio', label: 'Ratio', text: ({ ratio }) => ratio, isNumber: true, minPx: 58 },
  { key: 'hours', label: 'Steeped', text: ({ hours }) => hours, isNumber: true, minPx: 82 },
  {
    key: 'expected',
    label: 'Predicted',
    text: ({ expected }) => expected,
    isNumber: true,
    minPx: 168,
  },
  { key: 'found', label: 'Found', isNumber: true, minPx: 134 },
  { key: 'brew', label: 'Brew', text: ({ brew }) => brew, isNumber: true, minPx: 78 },
  { key: 'by', label: 'By', text: ({ by }) => by, minPx: 84 },
];
const PICK = { key: 'pick', label: 'Compare', isQuiet: true, on: 'screen', minPx: 44 } as const;
/** Where not all of them have room, these stand last. */
const LAST: readonly string[] = ['vessel', 'grind', 'by'];
/** What a phone has room for, px. */
const ON_PHONE: Readonly<Record<string, number>> = { date: 122, coffee: 94, found: 126 };

/** The columns of the log, what matters most first where not all of them have room. */
export function useLogColumns(
  isPicking: () => boolean,
): ComputedRef<readonly DataColumn<LogLine>[]> {
  const isNarrow = useMediaQuery('(max-width: 900px)');
  const isPhone = onPhone();
  return computed(() => {
    const all = isNarrow.value
      ? COLUMNS.toSorted((a, b) => Number(LAST.includes(a.key)) - Number(LAST.includes(b.key)))
      : COLUMNS;
    const own = isPhone.value
      ? all
          .toSorted((a, b) => Number(b.key in ON_PHONE) - Number(a.key in ON_PHONE))
          .map((column) => ({ ...column, minPx: ON_PHONE[column.key] ?? column.minPx }))
      : all;
    return isPicking() ? own.toSpliced(1, 0, PICK) : own;
  });
}
