<script setup lang="ts" generic="T extends string">
import { ElOption, ElSelect } from 'element-plus';
import { ref } from 'vue';

/** One of a few, each with a reason why one would take it. */
defineProps<{
  label: string;
  options: readonly { value: T; label: string; reason?: string }[];
}>();
const chosen = defineModel<T>({ required: true });
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
    :empty-values="[null, undefined]"
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
