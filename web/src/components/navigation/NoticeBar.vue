<script setup lang="ts">
/** What just happened, and an undo. */
defineProps<{ notice: { text: string; tone: 'done' | 'wrong'; canUndo: boolean } | null }>();
const emit = defineEmits<{ undo: []; close: [] }>();
</script>

<template>
  <div class="holder no-print" :role="notice?.tone === 'wrong' ? 'alert' : 'status'">
    <div v-if="notice" class="bar" :class="notice.tone">
      <span>{{ notice.text }}</span>
      <button v-if="notice.canUndo" type="button" @click="emit('undo')">Undo</button>
      <button type="button" @click="emit('close')">Close</button>
    </div>
  </div>
</template>

<style scoped>
.holder {
  position: fixed;
  /* To the left: what is done next stands at the right. */
  inset: auto 0 16px;
  display: flex;
  justify-content: flex-start;
  padding-inline: 24px;
  pointer-events: none;
  z-index: 10;
}

.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  max-width: min(92vw, 46rem);
  padding: 4px 6px 4px 16px;
  border-radius: 4px;
  background: var(--ink);
  color: var(--paper);
  font-weight: 500;
  pointer-events: auto;
}

.bar.wrong {
  background: var(--due-mark);
  color: #fff;
}

:root[data-theme='night'] .bar.wrong {
  color: #17120e;
}

button {
  min-height: var(--touch);
  border: 0;
  background: none;
  padding: 0 12px;
  font-weight: 700;
  text-decoration: underline;
  cursor: pointer;
}
</style>
