<script setup lang="ts">
import { amountText } from '@ratio/core/units';
import { ElButton, ElPopconfirm } from 'element-plus';
import 'element-plus/theme-chalk/el-popper.css';
import 'element-plus/theme-chalk/el-popover.css';
import 'element-plus/theme-chalk/el-popconfirm.css';
import type { Backup } from './useBackups.ts';
import { clockTime, dayName } from '../format/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

/** The copies that there are, each to be taken away or gone back to. */
const props = defineProps<{
  backups: readonly Backup[];
  zone: string;
  /** While one is made or taken into use. */
  off: boolean;
}>();
const emit = defineEmits<{ restore: [backup: Backup] }>();

const BY = {
  day: 'of the day',
  hand: 'by hand',
  update: 'before an update',
  restore: 'before a restore',
} as const;
const size = (bytes: number): string =>
  amountText(
    bytes < 1e6
      ? { figure: `${Math.ceil(bytes / 1e3)}`, unit: 'kB' }
      : { figure: (bytes / 1e6).toFixed(1), unit: 'MB' },
  );
const columns: readonly DataColumn<Backup>[] = [
  { key: 'made', label: 'Made', text: ({ at }) => when(at), by: ({ at }) => at, minPx: 120 },
  { key: 'why', label: 'Why', text: ({ by }) => BY[by], by: ({ by }) => BY[by], minPx: 120 },
  { key: 'size', label: 'Size', text: ({ bytes }) => size(bytes), isNumber: true, minPx: 80 },
  { key: 'file', label: 'Take away', isQuiet: true, minPx: 150, on: 'screen' },
  { key: 'restore', label: 'Restore', isQuiet: true, minPx: 110, on: 'screen' },
];
const when = (at: string): string =>
  `${dayName({ at: new Date(at), zone: props.zone })}, ${clockTime({ at: new Date(at), zone: props.zone }).slice(-5)}`;
</script>

<template>
  <DataTable label="Copies" :rows="backups" :key-of="({ name }) => name" :columns>
    <template #file-cell="{ row }">
      <a :href="`/api/backups/${row.name}`" :download="row.name">Take it away as a file</a>
    </template>
    <template #restore-cell="{ row }">
      <ElPopconfirm
        width="320"
        :title="`Go back to ${when(row.at)}? What is there now is kept as one more copy.`"
        confirm-button-text="Go back to it"
        cancel-button-text="Leave it"
        @confirm="emit('restore', row)"
      >
        <template #reference>
          <ElButton :disabled="off" :aria-label="`Restore ${when(row.at)}`">Restore</ElButton>
        </template>
      </ElPopconfirm>
    </template>
  </DataTable>
</template>
