<script setup lang="ts">
import { ElCollapseItem } from 'element-plus';

/** One thing of the shelf: a line, open for its fields. */
defineProps<{ id: string; name: string; says: string }>();
</script>

<template>
  <ElCollapseItem :name="id" class="line">
    <template #title>
      <span class="title">
        <strong>{{ name }}</strong>
        <span class="soft">{{ says }}</span>
      </span>
    </template>
    <slot />
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
</style>
