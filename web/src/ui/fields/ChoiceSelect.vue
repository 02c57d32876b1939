<script setup lang="ts" generic="T extends string">
import { ElOption, ElSelect } from 'element-plus';
import 'element-plus/theme-chalk/el-popper.css';
import 'element-plus/theme-chalk/el-scrollbar.css';
import 'element-plus/theme-chalk/el-option.css';
import 'element-plus/theme-chalk/el-select.css';
import { ref } from 'vue';

/** One of a few, each with a reason why one would take it. */
defineProps<{
  label: string;
  options: readonly { value: T; label: string; reason?: string }[];
  filterable?: boolean;
}>();
const chosen = defineModel<T>({ required: true });
/** What stands for no choice; an empty text too, where it is none of the options. */
const NOTHING: unknown[] = [null, undefined];
const field = ref<InstanceType<typeof ElSelect> | null>(null);
defineExpose({
  focus: () => field.value?.focus(),
  open: () => field.value?.toggleMenu(),
});
</script>

<template>
  <ElSelect
    ref="field"
    v-model="chosen"
    class="bare"
    :aria-label="label"
    :empty-values="options.some(({ value }) => value === '') ? NOTHING : [...NOTHING, '']"
    :filterable
    :persistent="false"
    placeholder="Choose"
  >
    <ElOption
      v-for="option in options"
      :key="option.value"
      :value="option.value"
      :label="option.label"
    >
      {{ option.label }}
      <span v-if="option.reason" class="option-reason">{{ option.reason }}</span>
    </ElOption>
  </ElSelect>
</template>
