<script setup lang="ts">
import type { BuildRow } from './useBuild.ts';
import type { Measuring } from './usePour.ts';

/** What to pour in which order, as the bar's tools measure it, and what that rounding does. */
defineProps<{
  build: readonly BuildRow[];
  measuring: Measuring;
  /** What the rounding does, in a sentence; empty where nothing is rounded. */
  rounding: string;
  count: number;
}>();
const emit = defineEmits<{ measuring: [by: Measuring]; count: [glasses: number] }>();

const MEASURES: readonly { key: Measuring; name: string }[] = [
  { key: 'jigger', name: 'Jigger' },
  { key: 'scale', name: 'Scale' },
  { key: 'exact', name: 'Exact' },
];
const COUNTS = [1, 2, 3, 6];
</script>

<template>
  <section class="build" aria-labelledby="build-head">
    <div class="head">
      <h2 id="build-head">Pour in this order</h2>
      <div class="pick no-print" role="group" aria-label="How many glasses">
        <button
          v-for="n in COUNTS"
          :key="n"
          type="button"
          :aria-pressed="count === n"
          :aria-label="`${n} glass${n === 1 ? '' : 'es'}`"
          @click="emit('count', n)"
        >
          × {{ n }}
        </button>
      </div>
      <div class="pick no-print" role="group" aria-label="Measured by">
        <button
          v-for="one in MEASURES"
          :key="one.key"
          type="button"
          :aria-pressed="measuring === one.key"
          @click="emit('measuring', one.key)"
        >
          {{ one.name }}
        </button>
      </div>
    </div>
    <ol>
      <li v-for="(row, i) in build" :key="row.key">
        <span class="figures soft">{{ i + 1 }}</span>
        <span>{{ row.name }}</span>
        <strong class="figures">{{ row.amount }}</strong>
        <span class="soft also">{{ row.also }}</span>
      </li>
    </ol>
    <p v-if="rounding !== ''" class="soft rounding">{{ rounding }}</p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}

.head h2 {
  margin-right: auto;
}

.pick {
  display: flex;
}

.pick button {
  min-width: 34px;
  min-height: 32px;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  padding: 0 6px;
  color: var(--ink-soft);
  font-size: var(--t13);
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
}

.pick button[aria-pressed='true'] {
  border-bottom-color: var(--action);
  color: var(--ink);
}

li {
  display: grid;
  grid-template-columns: 1.4rem 1fr auto 7rem;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--hairline);
}

li strong {
  font-size: var(--t18);
}

.also {
  text-align: right;
  font-size: var(--t13);
}

.rounding {
  padding-top: 4px;
  font-size: var(--t13);
}

@media (max-width: 640px) {
  li {
    grid-template-columns: 1.4rem 1fr auto 5.2rem;
  }
}

@media (pointer: coarse) {
  .pick button {
    min-width: var(--touch);
    min-height: var(--touch);
  }
}
</style>
