<script setup lang="ts">
import { localDate, readTime } from '@ratio/core/calendar';
import { computed, ref } from 'vue';
import DayPick from './DayPick.vue';
import TypedField from './TypedField.vue';
import { dateName } from '../../format/index.ts';

/** A day that is past, as one would say it: "4 June", "yesterday", "2026-06-04"; kept when it is left. */
const props = defineProps<{
  label: string;
  placeholder?: string;
  /** As 2026-06-04; null where nobody has said it. */
  date: string | null;
  now: Date;
  zone: string;
}>();
const emit = defineEmits<{ change: [date: string] }>();

const written = computed(() => (props.date === null ? '' : dateName(props.date)));
const today = computed(() => localDate({ atMs: props.now.getTime(), zone: props.zone }));
/** At noon of the day: no change of the clock is near. */
function dateOf(text: string): string | null {
  const { now, zone } = props;
  const found = readTime({ text: `${text} 12:00`, nowMs: now.getTime(), zone, looks: 'back' });
  if (!found.ok || text.trim() === '') return null;
  const date = localDate({ atMs: found.atMs, zone });
  return date > today.value ? null : date;
}
const complaintOf = (text: string): string =>
  dateOf(text) === null ? 'A day that is past: 4 June, yesterday or 2026-06-04.' : '';
function leave(text: string): void {
  const date = dateOf(text);
  if (date !== null) emit('change', date);
}
const field = ref<InstanceType<typeof TypedField> | null>(null);
</script>

<template>
  <div class="date">
    <TypedField ref="field" :label :placeholder :written :complaint-of @left="leave" />
    <DayPick :label :value="date ?? ''" :to="today" :today @pick="field?.say" />
  </div>
</template>

<style scoped>
.date {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
}
</style>
