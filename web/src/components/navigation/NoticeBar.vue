<script setup lang="ts">
import { sentenceOf } from '../../api/client.ts';
import { useNotice, type Notice } from '../../stores/notice.ts';

/** What just happened, and an undo. */
const store = useNotice();

async function undo({ undo: back, text }: Notice): Promise<void> {
  try {
    await back?.();
    store.say({ tone: 'done', text: `Undone: ${text}` });
  } catch (error) {
    store.say({ tone: 'wrong', text: sentenceOf(error) });
  }
}
</script>

<template>
  <div class="holder no-print" :role="store.notice?.tone === 'wrong' ? 'alert' : 'status'">
    <div v-if="store.notice" class="bar" :class="store.notice.tone">
      <span>{{ store.notice.text }}</span>
      <button v-if="store.notice.undo" type="button" @click="undo(store.notice)">Undo</button>
      <button type="button" @click="store.dismiss">Close</button>
    </div>
  </div>
</template>

<style scoped>
.holder {
  position: fixed;
  inset: auto 0 16px;
  display: flex;
  justify-content: center;
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
