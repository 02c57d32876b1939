<script setup lang="ts">
import { ElInput } from 'element-plus';
import { computed, ref, useId } from 'vue';
import { useRefusal } from './refusals.ts';

/** A line that is understood as it is typed. A wrong entry stays, says why, and changes nothing. */
const props = defineProps<{
  label: string;
  placeholder?: string;
  /** What stands there as long as nobody types. */
  written: string;
  /** Why a text will not do; empty where it will. */
  complaintOf: (text: string) => string;
}>();
const emit = defineEmits<{
  /** Each text that will do, as it is typed; and the last one when it is left. */
  typed: [text: string];
  left: [text: string];
}>();

const id = useId();
const text = ref<string | null>(null);
const wrong = ref('');
useRefusal({ id, label: () => props.label, isRefused: computed(() => wrong.value !== '') });

function input(now: string): void {
  text.value = now;
  wrong.value = props.complaintOf(now);
  if (wrong.value === '') emit('typed', now);
}
function leave(): void {
  if (text.value === null || wrong.value !== '') return;
  emit('left', text.value);
  text.value = null;
}
function key(event: KeyboardEvent | Event): void {
  if (!(event instanceof KeyboardEvent)) return;
  if (event.key === 'Enter') leave();
  if (event.key === 'Escape') clear();
}
function clear(): void {
  text.value = null;
  wrong.value = '';
}
/** What is tapped beside the field goes in as if it had been typed and left. */
function say(now: string): void {
  input(now);
  leave();
}
defineExpose({ say });
</script>

<template>
  <div class="typed bare">
    <ElInput
      :model-value="text ?? written"
      :aria-label="label"
      :aria-invalid="wrong !== ''"
      :aria-describedby="wrong === '' ? undefined : `${id}-wrong`"
      autocomplete="off"
      :placeholder
      @update:model-value="input"
      @keydown="key"
      @blur="leave"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <p v-if="wrong !== ''" :id="`${id}-wrong`" class="due fine" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.fine {
  font-size: var(--t13);
}
</style>
