<script setup lang="ts">
import { computed } from 'vue';
import type { Variant } from './useVariants.ts';
import { LeaveOutButton, LinkButton } from '../ui/buttons/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

interface Row {
  readonly label: string;
  readonly cells: readonly string[];
}

/** Variants compared with the draft, only what differs in bold. */
const props = defineProps<{ rows: readonly Row[]; variants: readonly Variant[] }>();
const emit = defineEmits<{ drop: [i: number]; take: [i: number] }>();

const LETTERS = ['A', 'B', 'C'] as const;
const columns = computed<DataColumn<Row>[]>(() => [
  { key: 'what', label: 'What', isQuiet: true, text: ({ label }) => label, minPx: 110 },
  { key: 'draft', label: 'Draft', text: ({ cells }) => cells[0] ?? '', minPx: 120 },
  ...props.variants.map((_, i) => ({ key: LETTERS[i]!, label: LETTERS[i]!, minPx: 120 })),
]);
</script>

<template>
  <h3>Compared</h3>
  <DataTable class="compared" label="Compared" :rows :key-of="({ label }) => label" :columns>
    <template v-for="(_, i) in variants" :key="i" #[`${LETTERS[i]}-head`]>
      {{ LETTERS[i] }}
      <LinkButton :aria-label="`Take ${LETTERS[i]} as the draft`" @click="emit('take', i)">
        take
      </LinkButton>
      <LeaveOutButton :label="`Unpin ${LETTERS[i]}`" @click="emit('drop', i)" />
    </template>
    <template v-for="(_, i) in variants" :key="i" #[`${LETTERS[i]}-cell`]="{ row }">
      <span :class="{ differs: row.cells[i + 1] !== row.cells[0] }">{{ row.cells[i + 1] }}</span>
    </template>
  </DataTable>
</template>

<style scoped>
.compared {
  --ground: var(--panel);
}

h3 {
  padding-top: 8px;
  font-size: var(--t13);
}

.differs {
  font-weight: 700;
}
</style>
