<script setup lang="ts">
import { readAmount, type Expected, type UnitId } from '@ratio/core/units';
import { ElInput } from 'element-plus';
import { computed, ref, useId } from 'vue';

/** A few amounts in a row: "2 h, 8 h" or "1:5, 1:7". A wrong one stays, says why, and changes nothing. */
const props = defineProps<{
  label: string;
  /** In the canonical unit of the quantity. */
  values: readonly number[];
  accepts: Expected;
  plainUnit?: UnitId;
  write: (value: number) => string;
  min: number;
  max: number;
  limitText: string;
  placeholder?: string;
  /** Whether none at all is an answer. */
  mayBeEmpty?: boolean;
}>();
const emit = defineEmits<{ change: [values: number[]] }>();

const id = useId();
const typed = ref<string | null>(null);
const wrong = ref('');
const shown = computed(() => typed.value ?? props.values.map(props.write).join(', '));

function input(text: string): void {
  typed.value = text;
  const read = text
    .split(/[,;]|\band\b/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) =>
      readAmount({
        text: part,
        accepts: [props.accepts],
        ...(props.plainUnit ? { plainUnit: props.plainUnit } : {}),
      }),
    );
  const misread = read.find((amount) => !amount.ok);
  const values = read.flatMap((amount) => (amount.ok ? [amount.value] : []));
  const beyond = values.some((value) => value < props.min || value > props.max);
  wrong.value = misread && !misread.ok ? misread.message : beyond ? props.limitText : '';
  if (wrong.value === '' && (values.length > 0 || props.mayBeEmpty)) emit('change', values);
}

function leave(): void {
  if (wrong.value === '') typed.value = null;
}
</script>

<template>
  <div class="bare">
    <ElInput
      :model-value="shown"
      :aria-label="label"
      :aria-invalid="wrong !== ''"
      :aria-describedby="wrong === '' ? undefined : `${id}-wrong`"
      :placeholder="placeholder ?? ''"
      autocomplete="off"
      @update:model-value="input"
      @blur="leave"
    />
    <p v-if="wrong !== ''" :id="`${id}-wrong`" class="due wrong" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.wrong {
  font-size: var(--t13);
  font-weight: 600;
}
</style>
