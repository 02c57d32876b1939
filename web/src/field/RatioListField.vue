<script setup lang="ts">
import { readAmount } from '@ratio/core';
import { ElInput } from 'element-plus';
import { computed, ref, useId } from 'vue';

/** A few ratios, as "1:5, 1:7". */
const props = defineProps<{ label: string; ratios: readonly number[] }>();
const emit = defineEmits<{ change: [ratios: number[]] }>();

const id = useId();
const typed = ref<string | null>(null);
const wrong = ref('');
const shown = computed(() => typed.value ?? props.ratios.map((ratio) => `1:${ratio}`).join(', '));

function input(text: string): void {
  typed.value = text;
  const read = text
    .split(/[,;]|\band\b/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => readAmount({ text: part, accepts: ['ratio'] }));
  const misread = read.find((amount) => !amount.ok);
  const ratios = read.flatMap((amount) => (amount.ok ? [amount.value] : []));
  const beyond = ratios.some((ratio) => ratio < 1 || ratio > 60);
  wrong.value = misread && !misread.ok ? misread.message : beyond ? 'Between 1:1 and 1:60.' : '';
  if (wrong.value === '' && ratios.length > 0) emit('change', ratios);
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
