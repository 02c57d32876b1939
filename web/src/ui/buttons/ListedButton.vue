<script setup lang="ts">
import { ElButton } from 'element-plus';

/** One of a list at the side of a page. */
defineProps<{ chosen: boolean }>();
</script>

<template>
  <ElButton
    text
    native-type="button"
    class="listed"
    :class="{ chosen }"
    :aria-current="chosen ? 'true' : undefined"
  >
    <slot />
  </ElButton>
</template>

<style scoped>
.listed {
  width: 100%;
  height: auto;
  min-height: 42px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  border-left: 3px solid transparent;
  border-radius: 0;
  padding: 4px 10px 3px 7px;
  font-weight: 400;
}

.listed > :deep(span) {
  display: grid;
  width: 100%;
  text-align: left;
  white-space: normal;
}

.chosen {
  border-left-color: var(--action);
  background: var(--panel);
}
</style>
