<script setup lang="ts">
import { bisector, extent, mean } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';

/** What probes said in a day. */
const props = defineProps<{
  series: readonly {
    name: string;
    samples: readonly { atMs: number; tempC: number }[];
  }[];
  nowMs: number;
  clockAt: (atMs: number) => string;
  /** Degrees as this tablet shows them. */
  degrees: (tempC: number) => number;
  unit: string;
}>();

const WIDTH = 1180;
const HEIGHT = 220;
const LEFT = 40;
const RIGHT = WIDTH - 130;
const TOP = 26;
const BASE = 184;
const DAY_MS = 24 * 3_600_000;
const STEP_MS = 4 * 3_600_000;
/** One point for so many px: more are drawn on top of each other. */
const COLUMN_PX = 2;
const DASHES = ['', '7 4', '2 3', '10 3 2 3', '4 2'];

const x = computed(() => scaleLinear([props.nowMs - DAY_MS, props.nowMs], [LEFT, RIGHT]));
const y = computed(() => {
  const all = props.series.flatMap(({ samples }) => samples.map(({ tempC }) => tempC));
  const [low = 0, high = 10] = extent(all);
  return scaleLinear([Math.min(0, props.degrees(low) - 1), props.degrees(high) + 2], [BASE, TOP]);
});
const at = bisector((sample: { atMs: number }) => sample.atMs).left;
const lines = computed(() => {
  const columns = Math.ceil((RIGHT - LEFT) / COLUMN_PX);
  const columnMs = DAY_MS / columns;
  const from = props.nowMs - DAY_MS;
  return props.series.map(({ name, samples }, i) => {
    const points: [number, number][] = [];
    for (let c = 0; c < columns; c++) {
      const within = samples.slice(
        at(samples, from + c * columnMs),
        at(samples, from + (c + 1) * columnMs),
      );
      const middle = mean(within, ({ tempC }) => tempC);
      if (middle !== undefined)
        points.push([LEFT + (c + 0.5) * COLUMN_PX, y.value(props.degrees(middle))]);
    }
    const last = samples.at(-1);
    return {
      name,
      path: line()(points) ?? '',
      dash: DASHES[i % DASHES.length],
      endY: last ? y.value(props.degrees(last.tempC)) : null,
    };
  });
});
const ticks = computed(() =>
  y.value.ticks(4).map((value) => ({ y: y.value(value), label: `${value}` })),
);
const times = computed(() => {
  const first = Math.ceil((props.nowMs - DAY_MS) / STEP_MS) * STEP_MS;
  return Array.from({ length: 6 }, (_, i) => first + i * STEP_MS);
});
const rows = computed(() =>
  props.series.map(({ name, samples }) => {
    const [low, high] = extent(samples, ({ tempC }) => tempC);
    const of = (tempC: number | undefined): string =>
      tempC === undefined ? '' : `${props.degrees(tempC).toFixed(1)} ${props.unit}`;
    return [name, of(low), of(high), of(samples.at(-1)?.tempC)];
  }),
);
</script>

<template>
  <figure>
    <svg class="chart" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" aria-label="The last day">
      <text class="title" x="0" y="14">The last day, {{ unit }}</text>
      <AxisSide :ticks :x="LEFT" side="left" />
      <g class="axis" aria-hidden="true">
        <line :x1="LEFT" :x2="RIGHT" :y1="BASE" :y2="BASE" />
        <g v-for="ms in times" :key="ms">
          <line :x1="x(ms)" :x2="x(ms)" :y1="BASE" :y2="BASE - 6" />
          <text :x="x(ms)" :y="BASE + 17" text-anchor="middle">{{ clockAt(ms) }}</text>
        </g>
      </g>
      <g v-for="one in lines" :key="one.name">
        <path class="curve" :d="one.path" :stroke-dasharray="one.dash" />
        <text v-if="one.endY !== null" class="note" :x="RIGHT + 8" :y="one.endY + 4">
          {{ one.name }}
        </text>
      </g>
    </svg>
    <ChartTable
      file="temperatures"
      caption="The last day of each probe"
      :head="['Probe', 'Lowest', 'Highest', 'Last']"
      :rows
    />
  </figure>
</template>

<style scoped>
figure {
  overflow-x: auto;
}

.chart {
  min-width: 760px;
}

.chart .curve {
  stroke-width: 1.6;
}
</style>
