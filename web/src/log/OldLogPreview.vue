<script setup lang="ts">
import type { OldBatch } from '@ratio/core/log';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { dayName, type AmountFormat } from '../format/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

/** The first batches of an old log, as they will stand in this one. */
const props = defineProps<{ batches: readonly OldBatch[]; zone: string; format: AmountFormat }>();

const columns = computed<readonly DataColumn<OldBatch>[]>(() => [
  {
    key: 'began',
    label: 'Began',
    text: ({ startedAt }) => dayName({ at: new Date(startedAt), zone: props.zone }),
    minPx: 100,
  },
  { key: 'coffee', label: 'Coffee', text: ({ coffeeName }) => coffeeName, minPx: 120 },
  {
    key: 'in',
    label: 'In',
    text: ({ doseG, waterG }) => `${props.format.mass(doseG)} and ${props.format.mass(waterG)}`,
    minPx: 130,
  },
  {
    key: 'steeped',
    label: 'Steeped',
    text: ({ hours, place }) => `${hours.toFixed(1)} h, ${place}`,
    minPx: 120,
  },
  { key: 'grind', label: 'Grind', text: ({ grind }) => grind, minPx: 110 },
  {
    key: 'found',
    label: 'Found',
    text: ({ strengthFrac }) => (strengthFrac === null ? '–' : percentText(strengthFrac)),
    isNumber: true,
    minPx: 70,
  },
]);
</script>

<template>
  <DataTable label="The first of its batches" :rows="batches" :key-of="({ id }) => id" :columns />
</template>
