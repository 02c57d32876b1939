<script setup lang="ts">
import { ref } from 'vue';
import { whenever } from '@vueuse/core';
import { ElCollapse, ElCollapseItem } from 'element-plus';
import 'element-plus/theme-chalk/el-collapse.css';
import 'element-plus/theme-chalk/el-collapse-item.css';
import { onPhone } from '../browser/index.ts';

/** What is in sight where there is room, and one line to open on a phone, or where other things come first. */
defineProps<{ title: string; always?: boolean }>();
const isOpen = defineModel<boolean>('open', { default: false });
const wasOpen = ref(false);
whenever(
  () => isOpen.value,
  () => (wasOpen.value = true),
  { immediate: true },
);
const isPhone = onPhone();
</script>

<template>
  <div>
    <ElCollapse
      v-if="always || isPhone"
      :model-value="isOpen ? ['it'] : []"
      @update:model-value="isOpen = !isOpen"
    >
      <ElCollapseItem name="it" :title><slot v-if="wasOpen" /></ElCollapseItem>
    </ElCollapse>
    <slot v-else />
  </div>
</template>
