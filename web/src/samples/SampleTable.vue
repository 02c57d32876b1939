<script setup lang="ts">
import { percentText } from '@ratio/core/units';
import { SCORES, type SampleSet } from '@ratio/core/batch';
import { ElRate } from 'element-plus';
import 'element-plus/theme-chalk/el-rate.css';
import { computed } from 'vue';
import { LinkButton } from '../ui/buttons/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

type Jar = SampleSet['jars'][number];

/** The jars of a set: what goes in, what to expect, how it was liked. */
const props = defineProps<{
  jars: SampleSet['jars'];
  writeMass: (massG: number) => string;
  /** When each strains, by hours; empty before the start. */
  strainAt: (hours: number) => string;
  scored: boolean;
}>();
const emit = defineEmits<{
  score: [number: number, score: number | null];
  take: [number: number];
}>();

const columns = computed<DataColumn<Jar>[]>(() => [
  {
    key: 'jar',
    label: 'Jar',
    text: ({ number }) => String(number),
    by: ({ number }) => number,
    minPx: 56,
  },
  {
    key: 'grind',
    label: 'Grind',
    text: ({ grind }) => grind,
    by: ({ grind }) => grind,
    minPx: 104,
  },
  {
    key: 'ratio',
    label: 'Ratio',
    text: ({ ratio }) => `1:${ratio}`,
    by: ({ ratio }) => ratio,
    isNumber: true,
    minPx: 70,
  },
  {
    key: 'hours',
    label: 'Hours',
    text: ({ hours }) => String(hours),
    by: ({ hours }) => hours,
    isNumber: true,
    minPx: 72,
  },
  {
    key: 'coffee',
    label: 'Coffee',
    text: ({ doseG }) => props.writeMass(doseG),
    isNumber: true,
    minPx: 84,
  },
  {
    key: 'water',
    label: 'Water',
    text: ({ waterG }) => props.writeMass(waterG),
    isNumber: true,
    minPx: 84,
  },
  {
    key: 'expect',
    label: 'Expect',
    text: ({ strengthFrac }) => percentText(strengthFrac),
    by: ({ strengthFrac }) => strengthFrac,
    isNumber: true,
    minPx: 84,
  },
  props.scored
    ? { key: 'liked', label: 'Liked', by: ({ score }) => score ?? 0, minPx: 190 }
    : { key: 'strain', label: 'Strain', text: ({ hours }) => props.strainAt(hours), minPx: 110 },
  { key: 'take', label: 'Scale up', isQuiet: true, minPx: 130, on: 'screen' },
]);
</script>

<template>
  <DataTable
    class="jars"
    label="Jars of the set"
    :rows="jars"
    :key-of="({ number }) => String(number)"
    :columns
    :row-class="({ score }) => (score === SCORES.at(-1) ? 'best' : '')"
  >
    <template #liked-cell="{ row }">
      <span class="liked">
        <span class="soft" aria-hidden="true">poor</span>
        <ElRate
          :model-value="row.score ?? 0"
          clearable
          :aria-label="`How jar ${row.number} was liked, poor to best`"
          @change="emit('score', row.number, $event || null)"
        />
        <span class="soft" aria-hidden="true">best</span>
      </span>
    </template>
    <template #take-cell="{ row }">
      <LinkButton
        :aria-label="`Jar ${row.number}: make it the plan`"
        @click="emit('take', row.number)"
      >
        make it the plan
      </LinkButton>
    </template>
  </DataTable>
</template>

<style scoped>
.jars :deep(.best td) {
  background: var(--resting-wash);
}

.jars :deep(td:first-child) {
  font-family: var(--figures);
  font-size: var(--t24);
}

.liked {
  display: flex;
  align-items: center;
  gap: 6px;
}

.jars :deep(.el-rate) {
  --el-rate-fill-color: var(--action);
  --el-rate-void-color: var(--hairline-strong);
  --el-rate-height: 36px;
}
</style>
