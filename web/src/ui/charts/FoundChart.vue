<script setup lang="ts">
import { percentText } from '@ratio/core/units';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';

/** What was read against what was predicted, each with its range; on the line they agree. */
const props = defineProps<{
  points: readonly {
    id: string;
    label: string;
    predictedFrac: number;
    lowFrac: number;
    highFrac: number;
    foundFrac: number;
  }[];
}>();
const emit = defineEmits<{ pick: [id: string] }>();

const SIDE = 380;
const LEFT = 48;
const BASE = SIDE - 40;
const RIGHT = SIDE - 10;
const TOP = 14;
const domain = computed(() => {
  const [low = 0.02, high = 0.05] = extent(
    props.points.flatMap(({ predictedFrac, foundFrac }) => [predictedFrac, foundFrac]),
  ) as [number, number];
  const room = Math.max(0.001, (high - low) * 0.12);
  return [low - room, high + room];
});
const x = computed(() => scaleLinear(domain.value, [LEFT, RIGHT]));
const y = computed(() => scaleLinear(domain.value, [BASE, TOP]));
const label = (value: number): string => `${(100 * value).toFixed(1)}`;
const isOutside = (point: (typeof props.points)[number]): boolean =>
  point.foundFrac < point.lowFrac || point.foundFrac > point.highFrac;
const ticks = computed(() => x.value.ticks(5));
</script>

<template>
  <figure>
    <svg
      class="chart"
      :viewBox="`0 0 ${SIDE} ${SIDE}`"
      role="img"
      aria-label="Found against predicted"
    >
      <g class="axis" aria-hidden="true">
        <text v-for="value in ticks" :key="value" :x="x(value)" :y="BASE + 16" text-anchor="middle">
          {{ label(value) }}
        </text>
      </g>
      <AxisSide
        :ticks="ticks.map((value) => ({ y: y(value), label: label(value) }))"
        :x="LEFT"
        side="left"
      />
      <text class="title" :x="RIGHT" :y="SIDE - 6" text-anchor="end">predicted, %</text>
      <text class="title" :x="LEFT" :y="TOP - 2">found, %</text>
      <line class="agree" :x1="LEFT" :y1="BASE" :x2="RIGHT" :y2="TOP" />
      <g
        v-for="point in points"
        :key="point.id"
        class="point"
        :class="{ outside: isOutside(point) }"
        @click="emit('pick', point.id)"
      >
        <line
          :x1="x(point.predictedFrac)"
          :x2="x(point.predictedFrac)"
          :y1="y(Math.max(domain[0]!, point.lowFrac))"
          :y2="y(Math.min(domain[1]!, point.highFrac))"
        />
        <circle :cx="x(point.predictedFrac)" :cy="y(point.foundFrac)" r="4" />
      </g>
    </svg>
    <ChartTable
      file="predicted-against-found"
      caption="Found against predicted"
      :head="['Batch', 'Predicted', 'Found', 'In its range']"
      :rows="
        points.map((point) => [
          point.label,
          percentText(point.predictedFrac),
          percentText(point.foundFrac),
          isOutside(point) ? 'no' : 'yes',
        ])
      "
    />
  </figure>
</template>

<style scoped>
.agree {
  stroke: var(--hairline-strong);
  stroke-dasharray: 4 4;
}

.point line {
  stroke: var(--hairline);
}

.point circle {
  fill: var(--ink);
}

.point.outside circle {
  fill: var(--panel);
  stroke: var(--due-mark);
  stroke-width: 2.5;
}
</style>
