<script setup lang="ts">
import type { Caution } from '@ratio/core/caution';
import { inUnits, type AmountFormat } from '../../format/index.ts';

/** Cautions, each with its reason and what to do. */
defineProps<{ cautions: readonly Caution[]; format: AmountFormat }>();
</script>

<template>
  <ul v-if="cautions.length > 0" class="cautions" aria-label="Cautions">
    <li v-for="caution in cautions" :key="caution.text" :class="caution.severity">
      <strong>{{ caution.severity === 'warn' ? 'Caution' : 'Note' }}</strong>
      {{ inUnits(caution.text, format) }}
    </li>
  </ul>
</template>

<style scoped>
.cautions {
  display: grid;
  gap: 8px;
}

li {
  border-left: 3px solid var(--hairline-strong);
  padding-left: 10px;
  font-size: var(--t13);
}

.warn {
  border-left-color: var(--due-mark);
}

.warn strong {
  color: var(--due);
}
</style>
