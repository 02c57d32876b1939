<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { ElCollapse, ElCollapseItem } from 'element-plus';
import 'element-plus/theme-chalk/el-collapse.css';
import 'element-plus/theme-chalk/el-collapse-item.css';

/** What is in sight where there is room, and one line to open on a phone. */
defineProps<{ title: string }>();
const isOpen = defineModel<boolean>('open', { default: false });
const isPhone = useMediaQuery('(max-width: 640px)');
</script>

<template>
  <div>
    <ElCollapse
      v-if="isPhone"
      class="fold"
      :model-value="isOpen ? ['it'] : []"
      @update:model-value="isOpen = !isOpen"
    >
      <ElCollapseItem name="it" :title><slot /></ElCollapseItem>
    </ElCollapse>
    <slot v-else />
  </div>
</template>

<style scoped>
.fold.el-collapse {
  --el-collapse-header-height: var(--touch);
  --el-collapse-header-bg-color: transparent;
  --el-collapse-content-bg-color: transparent;
  --el-collapse-header-text-color: var(--ink);
  --el-collapse-content-text-color: var(--ink);
  --el-collapse-header-font-size: var(--t15);
  --el-collapse-content-font-size: inherit;
  border-top: 0;
}

.fold :deep(.el-collapse-item__header) {
  font-family: var(--words);
  font-weight: 600;
}

.fold :deep(.el-collapse-item__content) {
  padding-bottom: 8px;
  line-height: inherit;
}
</style>
