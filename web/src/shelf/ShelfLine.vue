<script setup lang="ts">
import { whenever } from '@vueuse/core';
import { collapseContextKey, ElCollapseItem } from 'element-plus';
import { inject, ref } from 'vue';

/** One thing of the shelf: a line, open for its fields, which are there from the first opening on. */
const props = defineProps<{ id: string; name: string; says: string }>();
const lines = inject(collapseContextKey);
const wasOpen = ref(false);
whenever(
  () => lines?.activeNames.value.includes(props.id) ?? false,
  () => (wasOpen.value = true),
  { immediate: true },
);
</script>

<template>
  <ElCollapseItem :name="id" class="line">
    <template #title>
      <span class="title">
        <strong>{{ name }}</strong>
        <span class="soft">{{ says }}</span>
      </span>
    </template>
    <slot v-if="wasOpen" />
  </ElCollapseItem>
</template>

<style scoped>
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
  padding-block: 6px;
  font-size: var(--t13);
  line-height: 1.3;
  text-align: left;
}

.title strong {
  font-size: var(--t18);
}

.title .soft {
  font-weight: 400;
}
</style>
