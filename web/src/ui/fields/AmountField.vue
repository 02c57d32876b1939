<script setup lang="ts">
import { readAmount, understood, type Expected, type OwnMeasure } from '@ratio/core/units';
import { ElInput } from 'element-plus';
import { computed, nextTick, ref, useId } from 'vue';
import { useRefusal } from './refusals.ts';
import { inUsual, type AmountKind } from '../../format/index.ts';

/** An amount typed as one would say it. A wrong entry stays, says why, and changes nothing. */
const props = defineProps<{
  label: string;
  /** In the canonical unit of the first quantity that its kind accepts; null where nobody has said it. */
  value: number | null;
  /** What stands there while nobody has said anything. */
  placeholder?: string;
  kind: AmountKind;
  /** What else it is counted in: the shop's pumps, spoons, cubes. */
  measures?: readonly OwnMeasure[];
  size?: 'row' | 'middle' | 'large';
  /** Emits a change when the field is left, for what is saved at once. */
  lazy?: boolean;
  /** Why the page could not follow, from whoever owns the amount. */
  refused?: string;
}>();
/** The value is in the canonical unit of the first quantity, however it was entered. */
const emit = defineEmits<{ change: [value: number, quantity: Expected] }>();

const id = useId();
const typed = ref<string | null>(null);
const wrong = ref('');
const hint = ref('');
let pending: { value: number; quantity: Expected } | null = null;
const complaint = computed(() => wrong.value || props.refused || '');
const shown = computed(
  () => typed.value ?? (props.value === null ? '' : props.kind.write(props.value)),
);
useRefusal({
  id,
  label: () => props.label,
  isRefused: computed(() => complaint.value !== ''),
});

function input(text: string): void {
  typed.value = text;
  const amount = readAmount({
    text,
    accepts: props.kind.accepts,
    ...(props.kind.plainUnit ? { plainUnit: props.kind.plainUnit } : {}),
    ...(props.measures ? { measures: props.measures } : {}),
    ...(props.kind.example === undefined ? {} : { example: props.kind.example }),
  });
  if (!amount.ok) {
    hint.value = '';
    wrong.value = amount.message;
    return;
  }
  const value = inUsual(amount, props.kind);
  if (value < props.kind.min || value > props.kind.max) {
    hint.value = '';
    wrong.value = props.kind.limitText;
    return;
  }
  wrong.value = '';
  const other = amount.quantity === props.kind.accepts[0] ? '' : ` = ${props.kind.write(value)}`;
  hint.value = `${understood(amount)}${other}`;
  pending = { value, quantity: amount.quantity };
  if (!props.lazy) emitChange();
}

function emitChange(): void {
  if (pending && wrong.value === '') emit('change', pending.value, pending.quantity);
  pending = null;
}

function leave(): void {
  hint.value = '';
  // Left empty where nothing need be said.
  if (typed.value === '' && props.value === null) wrong.value = '';
  emitChange();
  if (complaint.value === '') typed.value = null;
}

function key(event: KeyboardEvent | Event): void {
  if (!(event instanceof KeyboardEvent)) return;
  if (event.key === 'Enter') return leave();
  if (event.key === 'Escape') {
    pending = null;
    hint.value = '';
    typed.value = null;
    wrong.value = '';
    return;
  }
  const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
  if (direction === undefined) return;
  event.preventDefault();
  const step = props.kind.step * (event.shiftKey ? 10 : 1);
  const next =
    Math.round(((props.value ?? 0) + direction * step) / props.kind.step) * props.kind.step;
  typed.value = null;
  wrong.value = '';
  emit('change', Math.min(props.kind.max, Math.max(props.kind.min, next)), props.kind.accepts[0]);
}

async function select(event: FocusEvent): Promise<void> {
  await nextTick();
  (event.target as HTMLInputElement).select();
}
</script>

<template>
  <div class="amount bare" :class="size">
    <ElInput
      :id
      :model-value="shown"
      :aria-label="label"
      :placeholder="placeholder ?? ''"
      :aria-invalid="complaint !== ''"
      :aria-describedby="complaint === '' ? undefined : `${id}-wrong`"
      autocomplete="off"
      inputmode="text"
      @update:model-value="input"
      @keydown="key"
      @blur="leave"
      @focus="select"
    />
    <p v-if="hint !== '' && complaint === ''" class="hint" role="status">{{ hint }}</p>
    <p v-if="complaint !== ''" :id="`${id}-wrong`" class="due wrong" role="alert">
      {{ complaint }}
    </p>
  </div>
</template>

<style scoped>
.amount {
  position: relative;
}

/* Over what follows, so that nothing moves while one types. */
.hint {
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 2;
  border: 1px solid var(--ink);
  border-radius: 4px;
  background: var(--panel);
  padding: 2px 8px;
  font-size: var(--t13);
  white-space: nowrap;
}

.amount :deep(.el-input__inner::placeholder) {
  font-family: var(--words);
  font-size: var(--t15);
  font-weight: 400;
  letter-spacing: 0;
}

.wrong {
  font-size: var(--t13);
  font-weight: 600;
}
.large :deep(.el-input__inner),
.middle :deep(.el-input__inner) {
  height: 1.1em;
  font-family: var(--figures);
  font-weight: 500;
  letter-spacing: -0.04em;
}

.large :deep(.el-input__inner) {
  font-size: var(--t64);
}

.middle :deep(.el-input__inner) {
  font-size: var(--t40);
}
</style>
