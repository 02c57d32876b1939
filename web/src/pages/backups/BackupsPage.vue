<script setup lang="ts">
import { amountText } from '@ratio/core/units';
import { ElButton, ElPopconfirm } from 'element-plus';
import 'element-plus/theme-chalk/el-popper.css';
import 'element-plus/theme-chalk/el-popover.css';
import 'element-plus/theme-chalk/el-popconfirm.css';
import DataTable from '../../components/tables/DataTable.vue';
import type { DataColumn } from '../../components/tables/dataColumn.ts';
import { useOneFile } from '../../composables/useOneFile.ts';
import { clockTime, dayName } from '../../format/formatClock.ts';
import { useShop } from '../../stores/shop.ts';
import { useArchive } from './useArchive.ts';
import { useBackups, type Backup } from './useBackups.ts';

/** Copies of the whole shop, and the way back to one of them. */
const BY = {
  day: 'of the day',
  hand: 'by hand',
  update: 'before an update',
  restore: 'before a restore',
} as const;
const shelf = useShop();
const LISTS = [
  'batches',
  'actuals',
  'jugs',
  'entries',
  'drinks',
  'drink-versions',
  'samples',
  'coffees',
  'vessels',
  'pantry',
  'house-recipes',
  'opened',
] as const;
const { taking, refused, take, stop } = useArchive();
const choose = useOneFile('.zip,application/zip', (file) => void take(file));
const { backups, busy, restoring, make, restore } = useBackups();

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
  `${dayName({ at: new Date(at), zone: shelf.zone })}, ${clockTime({ at: new Date(at), zone: shelf.zone }).slice(-5)}`;
</script>

<template>
  <div class="page narrow">
    <h1>Backups</h1>
    <p class="soft">
      Ratio makes one each day and before each update, and checks it by opening it. This machine
      keeps the last 14 days, and 20 made by hand. Copy one to another machine now and then.
    </p>
    <p>
      <ElButton type="primary" size="large" :loading="busy" @click="make">Make one now</ElButton>
    </p>
    <p v-if="restoring" role="status"><strong>The copy is being taken into use …</strong></p>
    <DataTable
      v-if="backups.length > 0"
      label="Copies"
      :rows="backups"
      :key-of="({ name }) => name"
      :columns
    >
      <template #file-cell="{ row }">
        <a :href="`/api/backups/${row.name}`" :download="row.name">Take it away as a file</a>
      </template>
      <template #restore-cell="{ row }">
        <ElPopconfirm
          width="320"
          :title="`Go back to ${when(row.at)}? What is there now is kept as one more copy.`"
          confirm-button-text="Go back to it"
          cancel-button-text="Leave it"
          @confirm="restore(row)"
        >
          <template #reference>
            <ElButton :disabled="busy || restoring" :aria-label="`Restore ${when(row.at)}`"
              >Restore</ElButton
            >
          </template>
        </ElPopconfirm>
      </template>
    </DataTable>
    <div v-else class="empty">
      <h2>No copy yet</h2>
      <p>The first one of the day is made within ten minutes.</p>
    </div>
    <section aria-labelledby="archive">
      <h2 id="archive" class="section-head">Everything out and in</h2>
      <p class="soft">
        An archive is for another machine or another program: a zip of JSON Lines with its schema.
        It holds everything except people and how they sign in. Taking one in replaces what is here;
        a copy is made first.
      </p>
      <p class="ways">
        <a class="el-button" href="/api/archive" download="ratio-archive.zip">Take the archive</a>
        <ElButton :loading="taking" @click="choose">Take an archive in …</ElButton>
        <ElButton v-if="taking" text @click="stop">Stop</ElButton>
      </p>
      <p v-if="refused !== ''" class="due" role="alert">{{ refused }}</p>
      <p class="lists">
        <span class="soft">As tables (CSV):</span>
        <a
          v-for="list in LISTS"
          :key="list"
          :href="`/api/export/${list}.csv`"
          :download="`${list}.csv`"
          >{{ list.replace('-', ' ') }}</a
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 16px;
}

.page > p {
  max-width: 44rem;
}

section {
  margin-top: 16px;
}

.ways > :deep(.el-button + .el-button) {
  margin: 0;
}

.ways,
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  padding-top: 12px;
}
</style>
