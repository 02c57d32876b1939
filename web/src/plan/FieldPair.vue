<script setup lang="ts">
/** Two fields in one row: a wide one, a word between them, and a narrow one. */
defineProps<{ between: string }>();
</script>

<template>
  <div class="pair">
    <div class="wide"><slot /></div>
    <span class="soft between">{{ between }}</span>
    <div class="narrow"><slot name="narrow" /></div>
  </div>
</template>

<style scoped>
.pair {
  display: flex;
  align-items: center;
  gap: 8px;
}

.wide {
  flex: 1 1 0;
  min-width: 0;
}

.between {
  font-size: var(--t13);
}

.narrow {
  flex: 0 0 64px;
}

.narrow :deep(.el-input__inner) {
  font-size: var(--t18);
}
</style>
