<script setup lang="ts">
import { readTime } from '@ratio/core/calendar';
import { ElButton, ElInput } from 'element-plus';
import { computed, ref, useId } from 'vue';
import { clockTime, fromNow } from '../../format/formatClock.ts';
import { useRefusal } from './refusals.ts';

/** A time as one would say it: "yesterday 17:30", "Sat 6:10", "2 h ago". A wrong entry changes nothing. */
const props = defineProps<{
  label: string;
  /** ms since 1970 UTC; null for now. */
  atMs: number | null;
  now: Date;
  zone: string;
  /** Whether it has happened, or is still to come; either way where nothing is said. */
  looks: 'back' | 'ahead';
  /** Neither earlier nor later than this, and why. */
  min?: { readonly ms: number; readonly text: string };
  max?: { readonly ms: number; readonly text: string };
  /** Times that one tap gives. */
  taps?: readonly string[];
}>();
const emit = defineEmits<{ change: [atMs: number | null] }>();

const id = useId();
const typed = ref<string | null>(null);
const wrong = ref('');
useRefusal({ id, label: () => props.label, isRefused: computed(() => wrong.value !== '') });

const at = computed(() => (props.atMs === null ? props.now : new Date(props.atMs)));
const written = computed(() => {
  const clock = clockTime({ at: at.value, zone: props.zone });
  return props.atMs === null ? `now, ${clock}` : clock;
});
const shown = computed(() => typed.value ?? written.value);
const hint = computed(() => (props.atMs === null ? '' : fromNow({ at: at.value, now: props.now })));

function take(text: string): void {
  if (text.trim().toLowerCase().startsWith('now')) {
    wrong.value = '';
    return emit('change', null);
  }
  const { now, zone, looks, min, max } = props;
  const found = readTime({ text, nowMs: now.getTime(), zone, looks });
  if (!found.ok) return void (wrong.value = found.message);
  if (min && found.atMs < min.ms) return void (wrong.value = min.text);
  if (max && found.atMs > max.ms) return void (wrong.value = max.text);
  wrong.value = '';
  emit('change', found.atMs);
}

function input(text: string): void {
  typed.value = text;
  take(text);
}
function tap(text: string): void {
  typed.value = null;
  take(text);
}
function leave(): void {
  if (wrong.value === '') typed.value = null;
}
function key(event: KeyboardEvent | Event): void {
  if (!(event instanceof KeyboardEvent)) return;
  if (event.key === 'Enter') leave();
  if (event.key !== 'Escape') return;
  typed.value = null;
  wrong.value = '';
}
</script>

<template>
  <div class="time bare">
    <ElInput
      :model-value="shown"
      :aria-label="label"
      :aria-invalid="wrong !== ''"
      :aria-describedby="wrong === '' ? undefined : `${id}-wrong`"
      autocomplete="off"
      @update:model-value="input"
      @keydown="key"
      @blur="leave"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <p v-if="wrong !== ''" :id="`${id}-wrong`" class="due fine" role="alert">{{ wrong }}</p>
    <p v-else-if="hint !== ''" class="soft fine">{{ hint }}</p>
    <p v-if="taps && taps.length > 0" class="taps">
      <ElButton v-for="text in taps" :key="text" link type="primary" @click="tap(text)">{{
        text
      }}</ElButton>
    </p>
  </div>
</template>

<style scoped>
.time :deep(.el-input__inner) {
  font-family: var(--figures);
  font-size: var(--t18);
}

.fine {
  font-size: var(--t13);
}

.taps {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}

.taps :deep(.el-button) {
  min-height: 32px;
  margin: 0;
  padding: 0;
  font-size: var(--t13);
}
</style>
