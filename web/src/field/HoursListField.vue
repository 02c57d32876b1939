<script setup lang="ts">
import { readAmount } from '@ratio/core';
import { ElInput } from 'element-plus';
import { computed, ref, useId } from 'vue';

/** A few moments of the steep, as "2 h, 8 h"; empty for none. */
const props = defineProps<{ label: string; hours: readonly number[]; placeholder: string }>();
const emit = defineEmits<{ change: [hours: number[]] }>();

const id = useId();
const typed = ref<string | null>(null);
const wrong = ref('');
const shown = computed(
  () => typed.value ?? props.hours.map((hours) => `${Number(hours.toFixed(2))} h`).join(', '),
);

function input(text: string): void {
  typed.value = text;
  const parts = text
    .split(/[,;]|\band\b/)
    .map((part) => part.trim())
    .filter(Boolean);
  const read = parts.map((part) =>
    readAmount({ text: part, accepts: ['time'], plainUnit: 'hour' }),
  );
  const misread = read.find((amount) => !amount.ok);
  wrong.value = misread && !misread.ok ? misread.message : '';
  if (wrong.value === '')
    emit(
      'change',
      read.flatMap((amount) => (amount.ok ? [amount.value / 3600] : [])),
    );
}

function leave(): void {
  if (wrong.value === '') typed.value = null;
}
</script>

<template>
  <div class="bare">
    <ElInput
      :id="id"
      :model-value="shown"
      :aria-label="label"
      :aria-invalid="wrong !== ''"
      :placeholder="placeholder"
      autocomplete="off"
      @update:model-value="input"
      @blur="leave"
    />
    <p v-if="wrong !== ''" class="due wrong" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.wrong {
  font-size: var(--t13);
  font-weight: 600;
}
</style>
