<script setup lang="ts">
import { ref } from 'vue';
import { LinkButton } from '../buttons/index.ts';

/** The content of a chart for those who hear it, and the chart as a file. */
defineProps<{
  caption: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
  /** What its file is called; none where it makes none. */
  file?: string;
}>();
const FORMATS = ['svg', 'png'] as const;
const aside = ref<HTMLElement | null>(null);

async function save(name: string, as: (typeof FORMATS)[number]): Promise<void> {
  const svg = aside.value?.closest('figure')?.querySelector('svg');
  if (!svg) return;
  const { saveChart } = await import('./saveChart.ts');
  await saveChart({ svg, name, as });
}
</script>

<template>
  <p v-if="file" ref="aside" class="as-file no-print">
    <LinkButton
      v-for="as in FORMATS"
      :key="as"
      :aria-label="`${caption} as ${as.toUpperCase()}`"
      @click="save(file, as)"
      >{{ as.toUpperCase() }}</LinkButton
    >
  </p>
  <div class="visually-hidden">
    <table>
      <caption>
        {{
          caption
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="cell in head" :key="cell" scope="col">{{ cell }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row[0]">
          <td v-for="(cell, i) in row" :key="i">{{ cell }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.as-file {
  display: flex;
  justify-content: flex-end;
  gap: 12px;
  font-size: var(--t13);
}
</style>
