<script setup lang="ts">
import { readTime } from '@ratio/core/calendar';
import { computed } from 'vue';
import TypedField from './TypedField.vue';
import { timeOfDay } from '../../format/index.ts';

/** A time of day as one would say it: "7", "7:30", "6 pm"; kept when it is left. */
const props = defineProps<{
  label: string;
  /** Since midnight, h, 0…24. */
  hours: number;
}>();
const emit = defineEmits<{ change: [hours: number] }>();

const HOUR_MS = 3_600_000;
const written = computed(() => timeOfDay(props.hours));

/** Hours since midnight; null for what is no time of day. */
function hoursOf(text: string): number | null {
  const clock = /^\d{1,2}$/.test(text.trim()) ? `${text.trim()}:00` : text.trim();
  if (clock === '24:00') return 24;
  // On a day of its own, from midnight on.
  const found = readTime({ text: clock, nowMs: 0, zone: 'UTC', looks: 'ahead' });
  const hours = found.ok ? found.atMs / HOUR_MS : -1;
  return hours >= 0 && hours < 24 ? hours : null;
}
const complaintOf = (text: string): string =>
  hoursOf(text) === null ? 'A time of day: 7:30 or 6 pm.' : '';
function leave(text: string): void {
  const hours = hoursOf(text);
  if (hours !== null) emit('change', hours);
}
</script>

<template>
  <TypedField :label :written :complaint-of @left="leave" />
</template>
