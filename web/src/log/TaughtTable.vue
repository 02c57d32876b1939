<script setup lang="ts">
import { times, type Taught } from './taught.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

/** What the log teaches of each coffee. */
defineProps<{ rows: readonly Taught[] }>();

const COLUMNS: readonly DataColumn<Taught>[] = [
  { key: 'name', label: 'Coffee', text: ({ name }) => name, by: ({ name }) => name, minPx: 130 },
  {
    key: 'yield',
    label: 'Yield, times',
    text: ({ yieldLog }) => times(yieldLog),
    by: ({ yieldLog }) => yieldLog.value,
    isNumber: true,
    minPx: 170,
  },
  {
    key: 'rate',
    label: 'Rate, times',
    text: ({ rateLog }) => times(rateLog),
    by: ({ rateLog }) => rateLog.value,
    isNumber: true,
    minPx: 170,
  },
  {
    key: 'from',
    label: 'From',
    text: ({ readings, weighings, offFrac }) =>
      offFrac ? `${readings} readings, ${weighings} weighings` : '–',
    by: ({ readings }) => readings,
    minPx: 190,
  },
  {
    key: 'off',
    label: 'Strengths were off by',
    text: ({ offFrac }) =>
      offFrac
        ? `${(100 * offFrac.before).toFixed(1)} % before, ${(100 * offFrac.after).toFixed(1)} % after`
        : '–',
    by: ({ offFrac }) => offFrac?.after ?? 1,
    minPx: 190,
  },
];
</script>

<template>
  <DataTable
    label="What each coffee gives, over the handbook’s values"
    :rows
    :key-of="({ key }) => key"
    :columns="COLUMNS"
  />
</template>
