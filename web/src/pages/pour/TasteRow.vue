<script setup lang="ts">
import { ADJUSTMENTS, type Adjustment } from '@ratio/core/drink';

/** What somebody says after a sip, each a step of the solver. */
const emit = defineEmits<{ adjust: [by: Adjustment] }>();
</script>

<template>
  <div class="taste no-print" role="group" aria-label="After a sip">
    <button v-for="by in ADJUSTMENTS" :key="by" type="button" @click="emit('adjust', by)">
      {{ by }}
    </button>
  </div>
</template>

<style scoped>
.taste {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 6px;
  border-block: 1px solid var(--hairline);
  padding: 6px 0;
}

button {
  min-height: var(--touch);
  border: 1px solid var(--hairline-strong);
  border-radius: 4px;
  background: var(--panel);
  padding: 0 4px;
  font-weight: 600;
  cursor: pointer;
}

@media (max-width: 640px) {
  .taste {
    gap: 4px;
  }

  button {
    padding: 0;
    font-size: var(--t13);
  }
}
</style>
