<script setup lang="ts">
import { ADJUSTMENTS, type Adjustment } from '@ratio/core/drink';
import { ElButton } from 'element-plus';

/** What somebody says after a sip, each a step of the solver. */
const emit = defineEmits<{ adjust: [by: Adjustment] }>();
</script>

<template>
  <div class="taste no-print" role="group" aria-label="After a sip">
    <ElButton v-for="by in ADJUSTMENTS" :key="by" @click="emit('adjust', by)">{{ by }}</ElButton>
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

.el-button {
  padding: 0 4px;
  margin: 0;
}

@media (max-width: 640px) {
  .taste {
    gap: 4px;
  }

  .el-button {
    padding: 0;
    font-size: var(--t13);
  }
}
</style>
