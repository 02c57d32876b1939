<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';

/** How far off each batch was by its day: what drifts shows as a row on one side. */
const props = defineProps<{
  points: readonly { id: string; label: string; atMs: number; offFrac: number; isNamed: boolean }[];
  /** When the mill was set again. */
  millSetMs: readonly number[];
  dayOf: (atMs: number) => string;
}>();

const WIDTH = 620;
const HEIGHT = 230;
const LEFT = 48;
const RIGHT = WIDTH - 12;
const TOP = 20;
const BASE = HEIGHT - 30;
const x = computed(() => {
  const times = props.points.map(({ atMs }) => atMs);
  const [low, high] = [Math.min(...times), Math.max(...times)];
  return scaleLinear([low, Math.max(high, low + 1)], [LEFT + 10, RIGHT]);
});
const most = computed(() =>
  Math.max(0.05, ...props.points.map(({ offFrac }) => Math.abs(offFrac))),
);
const y = computed(() => scaleLinear([-1.1 * most.value, 1.1 * most.value], [BASE, TOP]));
const signed = (frac: number): string =>
  `${frac < 0 ? '−' : frac > 0 ? '+' : ''}${Math.abs(100 * frac).toFixed(0)}`;
const days = computed(() => x.value.ticks(4));
</script>

<template>
  <figure>
    <svg
      class="chart"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      aria-label="How far off, by day"
    >
      <AxisSide
        :ticks="y.ticks(5).map((value) => ({ y: y(value), label: signed(value) }))"
        :x="LEFT"
        side="left"
      />
      <text class="title" :x="LEFT" :y="TOP - 6">found over predicted, %</text>
      <line class="agree" :x1="LEFT" :x2="RIGHT" :y1="y(0)" :y2="y(0)" />
      <text
        v-for="day in days"
        :key="day"
        class="note"
        :x="x(day)"
        :y="HEIGHT - 8"
        text-anchor="middle"
      >
        {{ dayOf(day) }}
      </text>
      <g v-for="atMs in millSetMs" :key="atMs" class="mill">
        <line :x1="x(atMs)" :x2="x(atMs)" :y1="TOP" :y2="BASE" />
        <text class="note" :x="x(atMs) + 4" :y="TOP + 8">mill set</text>
      </g>
      <circle
        v-for="point in points"
        :key="point.id"
        :class="{ named: point.isNamed }"
        :cx="x(point.atMs)"
        :cy="y(point.offFrac)"
        r="4"
      />
    </svg>
    <ChartTable
      file="by-day"
      caption="How far off, by day"
      :head="['Day', 'Batch', 'Off, %']"
      :rows="[
        ...points.map((point) => [dayOf(point.atMs), point.label, signed(point.offFrac)]),
        ...millSetMs.map((atMs) => [dayOf(atMs), 'The mill was set again', '']),
      ]"
    />
  </figure>
</template>

<style scoped>
.agree {
  stroke: var(--hairline-strong);
}

.mill line {
  stroke: var(--ink-soft);
  stroke-dasharray: 4 4;
}

circle {
  fill: var(--ink);
}

circle.named {
  fill: var(--panel);
  stroke: var(--due-mark);
  stroke-width: 2.5;
}
</style>
