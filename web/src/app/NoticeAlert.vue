<script setup lang="ts">
import { ElAlert } from 'element-plus';
import 'element-plus/theme-chalk/el-alert.css';
import { LinkButton } from '../ui/buttons/index.ts';

/** What just happened, in the place that is kept for it. */
defineProps<{ notice: { text: string; tone: 'done' | 'wrong'; canUndo: boolean } }>();
const emit = defineEmits<{ undo: []; close: [] }>();
</script>

<template>
  <ElAlert role="none" class="bar" :class="notice.tone" :closable="false">
    <span>{{ notice.text }}</span>
    <LinkButton v-if="notice.canUndo" @click="emit('undo')">Undo</LinkButton>
    <LinkButton @click="emit('close')">Close</LinkButton>
  </ElAlert>
</template>

<style scoped>
.bar.el-alert {
  width: auto;
  max-width: min(92vw, 46rem);
  border-radius: 4px;
  background: var(--ink);
  padding: 4px 6px 4px 16px;
  color: var(--paper);
  pointer-events: auto;
}

.bar :deep(.el-alert__content),
.bar :deep(.el-alert__description) {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0;
  padding: 0;
  color: inherit;
  font-size: var(--t15);
  font-weight: 500;
}

.bar.wrong {
  background: var(--due-mark);
  color: #fff;
}

:root[data-theme='night'] .bar.wrong {
  color: #17120e;
}

.bar :deep(.el-button.is-link) {
  min-height: var(--touch);
  padding: 0 12px;
  color: inherit;
  font-size: var(--t15);
  font-weight: 700;
}
</style>
