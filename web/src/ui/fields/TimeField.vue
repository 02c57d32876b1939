<script setup lang="ts">
import { localDate, readTime, wallMs } from '@ratio/core/calendar';
import { ElButton } from 'element-plus';
import { computed, ref } from 'vue';
import DayPick from './DayPick.vue';
import TypedField from './TypedField.vue';
import { clockTime, fromNow, hourTime } from '../../format/index.ts';

/** A time as one would say it: "yesterday 17:30", "Sat 6:10", "2 h ago". */
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

const field = ref<InstanceType<typeof TypedField> | null>(null);
const at = computed(() => (props.atMs === null ? props.now : new Date(props.atMs)));
const written = computed(() => {
  const { atMs, zone } = props;
  return atMs === null
    ? `now, ${hourTime({ at: at.value, zone })}`
    : clockTime({ at: at.value, zone });
});
const hint = computed(() => (props.atMs === null ? '' : fromNow({ at: at.value, now: props.now })));

const isNow = (text: string): boolean => text.trim().toLowerCase().startsWith('now');
const read = (text: string) =>
  readTime({ text, nowMs: props.now.getTime(), zone: props.zone, looks: props.looks });

/** @returns what the shop's clock on the wall shows, as 2026-06-13 17:30 */
const onWall = (atMs: number): string =>
  new Date(wallMs({ atMs, zone: props.zone })).toISOString().slice(0, 16).replace('T', ' ');
/** The days that it can be. */
const days = computed(() => {
  const { looks, min, max, now, zone } = props;
  const dayOf = (ms: number | undefined): string =>
    ms === undefined ? '' : localDate({ atMs: ms, zone });
  return {
    from: dayOf(min?.ms),
    to: dayOf(max?.ms ?? (looks === 'back' ? now.getTime() : undefined)),
    today: dayOf(now.getTime()),
  };
});

function complaintOf(text: string): string {
  if (isNow(text)) return '';
  const found = read(text);
  if (!found.ok) return found.message;
  const { min, max } = props;
  if (min && found.atMs < min.ms) return min.text;
  return max && found.atMs > max.ms ? max.text : '';
}
function take(text: string): void {
  const found = read(text);
  if (isNow(text)) emit('change', null);
  else if (found.ok) emit('change', found.atMs);
}
const tap = (text: string): void => field.value?.say(text);
</script>

<template>
  <div class="time">
    <div class="said">
      <TypedField ref="field" :label :written :complaint-of @typed="take" />
      <DayPick :label :value="onWall(at.getTime())" with-time v-bind="days" @pick="tap" />
    </div>
    <p v-if="hint !== '' || taps" class="taps">
      <span v-if="hint !== ''" class="soft fine">{{ hint }}</span>
      <ElButton v-for="text in taps" :key="text" link type="primary" @click="tap(text)">{{
        text
      }}</ElButton>
    </p>
  </div>
</template>

<style scoped>
.time :deep(.el-input__inner) {
  font-size: var(--t18);
  font-variant-numeric: tabular-nums;
}

.said {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
}

.fine {
  font-size: var(--t13);
}

.taps {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 12px;
}

.taps :deep(.el-button) {
  min-height: 32px;
  margin: 0;
  padding: 0;
  font-size: var(--t13);
}
</style>
