<script setup lang="ts">
import { computed } from 'vue';
import { TimeField } from '../ui/fields/index.ts';

/** The plan on the clock: when it starts or began, when it is ready, and whether somebody is there. */
const props = defineProps<{
  timeline: readonly { what: string; when: string; alone: boolean; isInField: boolean }[];
  /** How long it has steeped by now, where it began already; empty where it has not. */
  pastText: string;
  /** When it is ready against the shop's opening. */
  opening: string;
  /** ms since 1970 UTC; null for now. */
  startMs: number | null;
  readyMs: number;
  now: Date;
  zone: string;
}>();
const emit = defineEmits<{
  start: [atMs: number | null];
  ready: [atMs: number | null];
}>();
const others = computed(() => props.timeline.filter(({ isInField }) => !isInField));
</script>

<template>
  <section aria-label="On the clock">
    <div class="ends">
      <div>
        <span class="label">{{ pastText === '' ? 'Start' : 'Began' }}</span>
        <TimeField
          label="Start"
          :at-ms="startMs"
          :now
          :zone
          looks="ahead"
          :taps="startMs === null ? ['yesterday 18:00'] : ['now']"
          @change="emit('start', $event)"
        />
      </div>
      <div>
        <span class="label">Ready by</span>
        <TimeField
          label="Ready by"
          :at-ms="readyMs"
          :now
          :zone
          looks="ahead"
          @change="emit('ready', $event)"
        />
      </div>
    </div>
    <p v-if="pastText !== ''" class="began">{{ pastText }}</p>
    <p class="line">
      <span v-for="event in others" :key="event.what + event.when" :class="{ due: event.alone }">
        {{ event.what }} <strong>{{ event.when }}</strong>{{ event.alone ? ', nobody in' : '' }}
      </span>
    </p>
    <p class="fine soft">{{ opening }}</p>
  </section>
</template>

<style scoped>
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}

/* What one tap gives stands beside the label, as a field's hint does. */
.ends > div {
  display: grid;
  grid-template-columns: auto 1fr;
  align-items: center;
  column-gap: 8px;
}

.ends :deep(.time) {
  display: contents;
}

.ends :deep(.said) {
  grid-column: 1 / -1;
}

.ends :deep(.taps) {
  grid-row: 1;
  grid-column: 2;
  min-height: 32px;
  justify-self: end;
  text-align: right;
}

.began {
  font-weight: 600;
}

.fine {
  font-size: var(--t13);
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font-size: var(--t13);
}
</style>
