<script setup lang="ts" generic="T extends object">
import { ascending, descending } from 'd3-array';
import { ElTable, ElTableColumn } from 'element-plus';
import 'element-plus/theme-chalk/el-scrollbar.css';
import 'element-plus/theme-chalk/el-table.css';
import { useMediaQuery } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { DataColumn } from './dataColumn.ts';
import { LinkButton } from '../buttons/index.ts';

/**
 * Rows in columns: sorted by a tap on a heading, the headings and the first column staying in sight, rows
 * open for more. On paper it is a plain table.
 */
const props = defineProps<{
  /** What the table holds, for whoever cannot see it. */
  label: string;
  rows: readonly T[];
  keyOf: (row: T) => string;
  columns: readonly DataColumn<T>[];
  /** The rows that are open for more, in the slot `more`. */
  openKeys?: readonly string[];
  rowClass?: (row: T) => string;
  /** So many are shown until somebody asks for the others; all where it is left out. */
  first?: number;
  /** Rows that take a tap as a whole. */
  tappable?: boolean;
}>();
const emit = defineEmits<{ choose: [row: T] }>();
defineSlots<{
  [cell: `${string}-cell`]: (of: { row: T }) => unknown;
  [head: `${string}-head`]: () => unknown;
  more?: (of: { row: T }) => unknown;
  /** What stands under the last row, once that is there. */
  below?: () => unknown;
}>();

/** By which column it is sorted; as the rows come before a heading is touched. */
const sorting = ref<{ prop: string | null; order: 'ascending' | 'descending' | null } | null>(null);
const sorted = computed(() => {
  const { prop, order } = sorting.value ?? {};
  const by = order && props.columns.find(({ key }) => key === prop)?.by;
  if (!by) return props.rows;
  const compare = order === 'ascending' ? ascending : descending;
  return props.rows.toSorted((a, b) => compare(by(a), by(b)));
});
const isAll = ref(false);
const asked = computed(() => (isAll.value ? sorted.value : sorted.value.slice(0, props.first)));
const others = computed(() => sorted.value.length - asked.value.length);
/** Asked for by each cell, so that it follows where its column becomes another one. */
const byKey = computed(() => new Map(props.columns.map((column) => [column.key, column])));
const isPrinting = useMediaQuery('print');
const classOf = ({ row }: { row: T }): string => props.rowClass?.(row) ?? '';
const onPaper = (column: DataColumn<T>): boolean => column.on !== 'screen';
const onScreen = (column: DataColumn<T>): boolean => column.on !== 'paper';
</script>

<template>
  <div>
    <ElTable
      class="sheet no-print"
      :class="{ tappable }"
      role="group"
      :aria-label="label"
      :data="[...asked]"
      native-scrollbar
      :row-key="keyOf"
      :expand-row-keys="[...(openKeys ?? [])]"
      :row-class-name="classOf"
      @row-click="emit('choose', $event)"
      @sort-change="sorting = $event"
    >
      <ElTableColumn
        v-for="(column, i) in columns.filter(onScreen)"
        :key="column.key"
        :fixed="i === 0 ? 'left' : false"
        :label="column.label"
        :align="column.isNumber ? 'right' : 'left'"
        :class-name="column.isNumber ? 'n' : ''"
        :min-width="column.minPx"
        :prop="column.key"
        :sortable="column.by && 'custom'"
      >
        <template #header>
          <slot :name="`${column.key}-head`">
            <span :class="{ 'visually-hidden': column.isQuiet }">{{ column.label }}</span>
          </slot>
        </template>
        <template #default="{ row, $index }">
          <!-- The table asks once with an empty row, to see whether columns stand inside. -->
          <template v-if="$index >= 0">
            <span v-if="i > 0 && !column.isQuiet" class="visually-hidden"
              >{{ byKey.get(column.key)?.label }}:
            </span>
            <slot :name="`${column.key}-cell`" :row="row as T">{{
              byKey.get(column.key)?.text?.(row)
            }}</slot>
          </template>
        </template>
      </ElTableColumn>
      <template #empty><span /></template>
      <ElTableColumn v-if="$slots['more']" type="expand" width="1" class-name="opens">
        <template #header><span class="visually-hidden">More</span></template>
        <template #default="{ row }"><slot name="more" :row="row as T" /></template>
      </ElTableColumn>
    </ElTable>
    <table v-if="isPrinting" class="paper">
      <caption class="visually-hidden">
        {{
          label
        }}
      </caption>
      <thead>
        <tr>
          <th
            v-for="column in columns.filter(onPaper)"
            :key="column.key"
            scope="col"
            :class="{ n: column.isNumber }"
          >
            <slot :name="`${column.key}-head`">
              <span :class="{ 'visually-hidden': column.isQuiet }">{{ column.label }}</span>
            </slot>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in sorted" :key="keyOf(row)" :class="rowClass?.(row)">
          <component
            :is="i === 0 ? 'th' : 'td'"
            v-for="(column, i) in columns.filter(onPaper)"
            :key="column.key"
            :scope="i === 0 ? 'row' : undefined"
            :class="[column.key, { n: column.isNumber }]"
          >
            <slot :name="`${column.key}-cell`" :row>{{ column.text?.(row) }}</slot>
          </component>
        </tr>
      </tbody>
    </table>
    <p v-if="others > 0" class="others no-print">
      <LinkButton @click="isAll = true">Show the other {{ others }}</LinkButton>
    </p>
    <slot name="below" />
  </div>
</template>

<style scoped>
.paper {
  display: none;
}

.others {
  padding: 8px 6px;
}

.sheet.el-table {
  --el-table-bg-color: transparent;
  --el-table-tr-bg-color: transparent;
  --el-table-header-bg-color: var(--ground, var(--paper));
  --el-table-header-text-color: var(--ink-soft);
  --el-table-row-hover-bg-color: var(--panel);
  --el-table-border-color: var(--hairline);
  --el-table-text-color: var(--ink);
  overflow: visible;
  font-size: var(--t13);
}

.sheet :deep(.el-table__inner-wrapper) {
  overflow: visible;
}

.sheet :deep(.el-table__header-wrapper) {
  position: sticky;
  top: 0;
  z-index: 4;
}

/* The first column stays over what moves behind it. */
.sheet :deep(td.el-table-fixed-column--left) {
  background: var(--ground, var(--paper));
}

.sheet :deep(tr:hover td.el-table-fixed-column--left) {
  background: var(--panel);
}

.sheet :deep(.cell) {
  padding: 0 6px;
  line-height: 1.35;
  word-break: normal;
  overflow: visible;
}

.sheet :deep(th .cell) {
  padding-right: 10px;
  font-weight: 600;
}

.sheet :deep(td.el-table__cell) {
  height: 42px;
  padding: 0;
}

.sheet :deep(th.el-table__cell) {
  border-bottom-color: var(--ink);
  padding: 4px 0;
  vertical-align: bottom;
}

.sheet :deep(td.n .cell) {
  font-family: var(--figures);
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}

/* Which way it is sorted; where it is not, a touch on the heading shows that it can be. */
.sheet :deep(th.is-sortable .cell) {
  position: relative;
}

.sheet :deep(.caret-wrapper) {
  position: absolute;
  right: -4px;
  bottom: -3px;
  width: 12px;
  opacity: 0.45;
}

.sheet :deep(th:hover .caret-wrapper),
.sheet :deep(th.ascending .caret-wrapper),
.sheet :deep(th.descending .caret-wrapper) {
  opacity: 1;
}

.sheet :deep(.sort-caret) {
  border-width: 4px;
  left: 2px;
}

.sheet :deep(.ascending .sort-caret.ascending) {
  border-bottom-color: var(--action);
}

.sheet :deep(.descending .sort-caret.descending) {
  border-top-color: var(--action);
}

.sheet :deep(td.el-table__expanded-cell) {
  background: transparent;
  padding: 2px 8px 10px;
}

.sheet :deep(td.n + td:not(.n) .cell),
.sheet :deep(th.n + th:not(.n) .cell) {
  padding-left: 18px;
}

.sheet :deep(td.opens .cell) {
  display: none;
}

.sheet.tappable :deep(tbody tr) {
  cursor: pointer;
}

@media print {
  .paper {
    display: table;
  }

  th,
  td {
    border-bottom: 1px solid var(--hairline);
    padding: 1.2mm 1.5mm;
    font-size: 8.5pt;
    text-align: left;
  }

  thead th {
    border-bottom-color: var(--ink);
    font-family: var(--words);
    vertical-align: bottom;
  }

  .n {
    text-align: right;
    white-space: nowrap;
  }

  td.n {
    font-family: var(--figures);
  }
}
</style>
