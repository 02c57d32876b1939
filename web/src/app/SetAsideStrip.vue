<script setup lang="ts">
import { ElButton } from 'element-plus';

/** What this browser kept and cannot read any more: exported as a file, or discarded. */
defineProps<{ count: number }>();
const emit = defineEmits<{ export: []; discard: [] }>();
</script>

<template>
  <section class="strip no-print" role="status" aria-label="Set aside">
    <p>
      This tablet kept {{ count === 1 ? 'one thing' : `${count} things` }} that it can no longer
      read. Nothing is lost: it is set aside unchanged, and the usual is used meanwhile.
    </p>
    <span class="ways">
      <ElButton @click="emit('export')">Export as a file</ElButton>
      <ElButton text @click="emit('discard')">Discard</ElButton>
    </span>
  </section>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 24px;
  border-bottom: 1px solid var(--hairline);
  background: var(--panel);
  padding: 10px 24px;
}

.ways {
  display: flex;
  gap: 8px;
}
</style>
