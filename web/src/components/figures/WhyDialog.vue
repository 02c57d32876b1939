<script setup lang="ts">
import { markText, type Explanation } from '@ratio/core/explanation';
import { useMediaQuery } from '@vueuse/core';
import { ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import LinkButton from '../fields/LinkButton.vue';
import DataTable from '../tables/DataTable.vue';
import type { DataColumn } from '../tables/dataColumn.ts';

/** Where a number comes from: equation, this batch's numbers, constants with their sources, range. */
defineProps<{
  explanation: Explanation | null;
  /** The number that one came from by one of its values; empty for the first. */
  before: string;
  range: string;
  narrowedBy: readonly string[];
}>();
const emit = defineEmits<{ close: []; walk: [why: string]; back: [] }>();

type Used = Explanation['uses'][number];
const isPhone = useMediaQuery('(max-width: 640px)');
const sourceOf = ({ source, mark }: Used): string => `${source} (${markText(mark)})`;
const USED: readonly DataColumn<Used>[] = [
  { key: 'symbol', label: 'Symbol', text: ({ symbol }) => symbol, minPx: 44 },
  { key: 'what', label: 'What', text: ({ name }) => name, minPx: 140 },
  { key: 'value', label: 'Value', text: ({ value }) => value, isNumber: true },
  {
    key: 'source',
    label: 'Source',
    text: sourceOf,
    minPx: 160,
  },
];
</script>

<template>
  <ElDialog
    :model-value="explanation !== null"
    :title="explanation?.title ?? ''"
    width="min(94vw, 640px)"
    append-to-body
    @close="emit('close')"
  >
    <div v-if="explanation" class="why">
      <p v-if="before !== ''">
        <LinkButton @click="emit('back')">Back to {{ before.toLowerCase() }}</LinkButton>
      </p>
      <p class="figures equation">{{ explanation.equation }}</p>
      <p class="figures">{{ explanation.filledIn }}</p>
      <p class="soft">{{ explanation.method }}</p>
      <DataTable
        label="Values in it"
        :rows="explanation.uses"
        :key-of="({ symbol, name }) => `${symbol} ${name}`"
        :columns="isPhone ? USED.filter(({ key }) => key !== 'source') : USED"
      >
        <template #what-cell="{ row }">
          <LinkButton v-if="row.why" @click="emit('walk', row.why)">{{ row.name }}</LinkButton>
          <template v-else>{{ row.name }}</template>
          <p v-if="isPhone" class="soft">{{ sourceOf(row) }}</p>
        </template>
      </DataTable>
      <p v-if="range"><strong>Range</strong> {{ range }}</p>
      <ul v-if="narrowedBy.length > 0">
        <li v-for="text in narrowedBy" :key="text">{{ text }}</li>
      </ul>
      <slot />
    </div>
  </ElDialog>
</template>

<style scoped>
.why {
  --ground: var(--panel);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}

/* Its room for a finger stands out to the left, so that its words stand in line. */
.why :deep(.el-button.is-link),
.why :deep(.el-button.is-text) {
  margin-left: -8px;
}

.equation {
  font-size: var(--t18);
  font-weight: 600;
}
</style>
