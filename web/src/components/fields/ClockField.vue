<script setup lang="ts">
import { readTime } from '@ratio/core/calendar';
import { ElInput } from 'element-plus';
import { computed, ref, useId } from 'vue';
import { useRefusal } from './refusals.ts';

/** A time of day as one would say it: "7", "7:30", "6 pm". A wrong entry changes nothing. */
const props = defineProps<{
  label: string;
  /** Since midnight, h, 0…24. */
  hours: number;
}>();
const emit = defineEmits<{ change: [hours: number] }>();

const id = useId();
const HOUR_MS = 3_600_000;
const typed = ref<string | null>(null);
const wrong = ref('');
useRefusal({ id, label: () => props.label, isRefused: computed(() => wrong.value !== '') });

const two = (n: number): string => String(n).padStart(2, '0');
const written = computed(() => {
  const minutes = Math.round(props.hours * 60);
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
});
const shown = computed(() => typed.value ?? written.value);

function input(text: string): void {
  typed.value = text;
  const clock = /^\s*\d{1,2}\s*$/.test(text) ? `${text.trim()}:00` : text;
  // On a day of its own, from midnight on.
  const found = readTime({ text: clock, nowMs: 0, zone: 'UTC', looks: 'ahead' });
  const isDay = found.ok && found.atMs >= 0 && found.atMs < 24 * HOUR_MS;
  wrong.value = isDay || clock.trim() === '24:00' ? '' : 'A time of day: 7:30 or 6 pm.';
}
function leave(): void {
  if (typed.value === null || wrong.value !== '') return;
  const clock = /^\s*\d{1,2}\s*$/.test(typed.value) ? `${typed.value.trim()}:00` : typed.value;
  const found = readTime({ text: clock, nowMs: 0, zone: 'UTC', looks: 'ahead' });
  typed.value = null;
  if (clock.trim() === '24:00') emit('change', 24);
  else if (found.ok) emit('change', found.atMs / HOUR_MS);
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
  <div class="bare">
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
    <p v-if="wrong !== ''" :id="`${id}-wrong`" class="due wrong" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.wrong {
  font-size: var(--t13);
}
</style>
