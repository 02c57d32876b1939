<script setup lang="ts">
import type { OfferedFit } from './usePlanClock.ts';

/** The plan on the clock: when to start or to be ready, and whether somebody is there. */
defineProps<{
  timeline: readonly { what: string; when: string; alone: boolean }[];
  manned: boolean;
  late: boolean;
  /** When it is ready against the shop's opening. */
  opening: string;
  fits: readonly OfferedFit[];
  startLocal: string;
  readyLocal: string;
  /** Whether it starts at a set time, not now. */
  timed: boolean;
}>();
const emit = defineEmits<{
  start: [local: string];
  ready: [local: string];
  fit: [fit: OfferedFit];
}>();
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <section aria-label="On the clock">
    <div class="ends">
      <label>
        <span class="label">{{ timed ? 'Start' : 'Start, now' }}</span>
        <input type="datetime-local" :value="startLocal" @change="emit('start', valueOf($event))" />
      </label>
      <label>
        <span class="label">Ready by</span>
        <input type="datetime-local" :value="readyLocal" @change="emit('ready', valueOf($event))" />
      </label>
      <button v-if="timed" type="button" @click="emit('start', '')">now</button>
    </div>
    <p class="line">
      <span v-for="event in timeline" :key="event.what + event.when" :class="{ due: event.alone }">
        {{ event.what }} <strong>{{ event.when }}</strong>{{ event.alone ? ', nobody in' : '' }}
      </span>
    </p>
    <p class="fine soft">{{ opening }}</p>
    <p v-if="late" class="due">That start has passed. Choose a later one, or a shorter steep.</p>
    <template v-if="!manned && fits.length > 0">
      <p class="label">Times with somebody in</p>
      <ul>
        <li v-for="fit in fits" :key="fit.text">
          <button type="button" class="fit" @click="emit('fit', fit)">{{ fit.text }}</button>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.ends {
  display: flex;
  align-items: end;
  gap: 10px;
}

label {
  display: grid;
}

input {
  width: 148px;
  min-height: 32px;
  border: 0;
  border-bottom: 1px solid var(--hairline-strong);
  background: transparent;
  font-size: var(--t13);
  color-scheme: inherit;
}

button {
  min-height: 32px;
  border: 0;
  background: none;
  padding: 0;
  color: var(--action);
  font-size: var(--t13);
  text-align: left;
  text-decoration: underline;
  cursor: pointer;
}

.fine {
  font-size: var(--t13);
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  padding-top: 4px;
  font-size: var(--t13);
}
</style>
