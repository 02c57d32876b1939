<script setup lang="ts">
import { ElButton } from 'element-plus';

/** What a strain that was dragged to another hour comes to, asked before it is noted. */
defineProps<{ title: string; effect: string; isManned: boolean }>();
const emit = defineEmits<{ move: []; leave: [] }>();
</script>

<template>
  <div class="asked no-print" role="status">
    <p>
      <strong>{{ title }}</strong> <span class="figures">{{ effect }}</span>.
      <span :class="isManned ? 'soft' : 'due'">{{
        isManned ? 'Somebody is in then.' : 'Nobody is in then.'
      }}</span>
    </p>
    <ElButton type="primary" @click="emit('move')">Move the strain</ElButton>
    <ElButton @click="emit('leave')">Leave it</ElButton>
  </div>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  border-top: 1px solid var(--ink);
  background: var(--panel);
  padding: 10px 20px;
}

p {
  flex: 1 1 260px;
}

.el-button {
  margin: 0;
}
</style>
