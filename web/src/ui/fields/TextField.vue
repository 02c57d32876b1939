<script setup lang="ts">
import { ElInput } from 'element-plus';
import { computed, ref } from 'vue';

/** A line of text that is saved when it is left; empty ones come back where a name is needed. */
const props = defineProps<{
  label: string;
  value: string;
  needed?: boolean;
  placeholder?: string;
  /** Emits each change as it is typed, for what is not saved yet. */
  live?: boolean;
}>();
const emit = defineEmits<{ change: [text: string] }>();

const typed = ref<string | null>(null);
const shown = computed(() => typed.value ?? props.value);

function input(text: string): void {
  typed.value = text;
  if (props.live) emit('change', text);
}
function leave(): void {
  const text = typed.value?.trim();
  typed.value = null;
  if (text === undefined || text === props.value || (props.needed && text === '')) return;
  emit('change', text);
}
</script>

<template>
  <div class="bare text">
    <ElInput
      :model-value="shown"
      :aria-label="label"
      :placeholder="placeholder ?? ''"
      autocomplete="off"
      @update:model-value="input"
      @blur="leave"
      @keydown.enter="leave"
      @keydown.esc="typed = null"
    />
  </div>
</template>

<style scoped>
.text :deep(.el-input__inner::placeholder) {
  font-size: var(--t15);
  font-weight: 400;
}

.text :deep(.el-input__inner) {
  font-size: var(--t18);
}
</style>
