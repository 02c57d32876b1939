<script setup lang="ts">
import { LinkButton } from '../ui/buttons/index.ts';

/** What happened beside the steps, the last of it first; what was a slip is taken back. */
defineProps<{
  rows: readonly { id: string; when: string; text: string; by: string; canGoBack: boolean }[];
}>();
const emit = defineEmits<{ takeBack: [id: string] }>();
</script>

<template>
  <section aria-labelledby="noted">
    <h2 id="noted">Noted</h2>
    <ul>
      <li v-for="row in rows" :key="row.id">
        <span class="figures">{{ row.when }}</span>
        <span>{{ row.text }}</span>
        <span class="soft">{{ row.by }}</span>
        <LinkButton v-if="row.canGoBack" @click="emit('takeBack', row.id)">Take it back</LinkButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: 4px 14px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--hairline);
}
</style>
