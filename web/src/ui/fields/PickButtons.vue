<script setup lang="ts" generic="T extends string | number">
import { ElSegmented } from 'element-plus';
import 'element-plus/theme-chalk/el-segmented.css';
import { computed } from 'vue';

/** A few to pick one of, all in sight. */
const props = defineProps<{
  label: string;
  options: readonly { value: T; text: string; name?: string }[];
  /** Small ones stand beside a heading. */
  small?: boolean;
}>();
/** What is picked; null for none. */
const picked = defineModel<T | null>({ required: true });
const segments = computed(() =>
  props.options.map(({ value, text, name }) => ({ value, label: text, name })),
);
</script>

<template>
  <ElSegmented
    class="picks"
    :class="{ small }"
    :model-value="picked ?? undefined"
    :options="segments"
    :aria-label="label"
    @change="picked = $event as T"
  >
    <template #default="{ item }">
      <template v-if="item.name">
        <span aria-hidden="true">{{ item.label }}</span>
        <span class="visually-hidden">{{ item.name }}</span>
      </template>
      <template v-else>{{ item.label }}</template>
    </template>
  </ElSegmented>
</template>
