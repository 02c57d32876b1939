<script setup lang="ts">
import type { BrewPoint } from '@ratio/core/brew';
import { percentFigure, percentText } from '@ratio/core/units';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';
import { onPhone } from '../browser/index.ts';

/** A running steep: as planned, as it was until now, and as it will be; now is an edge that moves. */
const props = defineProps<{
  curve: readonly BrewPoint[];
  planned: readonly BrewPoint[];
  /** null once it is over. */
  nowHours: number | null;
  endHours: number;
  /** What comes out at the end, before anything is poured off. */
  endStrengthFrac: number;
  low: number;
  high: number;
  readings: readonly { hours: number; strengthFrac: number }[];
  /** When the next hands are needed, and for what. */
  hands: readonly { hours: number; text: string }[];
  /** Nights, in hours of the steep. */
  nights: readonly { fromHours: number; toHours: number }[];
  clockAt: (hours: number) => string;
}>();

const HEIGHT = 250;
const LEFT = 44;
/** On a phone it is as wide as that, so that its letters keep their size. */
const isPhone = onPhone();
const width = computed(() => (isPhone.value ? 360 : 620));
const right = computed(() => width.value - 12);
const TOP = 34;
const BASE = 206;

const horizon = computed(() => props.curve.at(-1)?.hours ?? 24);
const x = computed(() => scaleLinear([0, horizon.value], [LEFT, right.value]));
const top = computed(() =>
  Math.max(
    props.high,
    max(props.planned, (point) => point.strengthFrac) ?? 0,
    max(props.readings, (reading) => reading.strengthFrac) ?? 0,
    max(props.curve, (point) => point.strengthFrac) ?? 0,
  ),
);
const y = computed(() => scaleLinear([0, top.value * 1.1], [BASE, TOP]));
const pathOf = (points: readonly BrewPoint[]): string =>
  line<BrewPoint>(
    (point) => x.value(point.hours),
    (point) => y.value(point.strengthFrac),
  )(points) ?? '';
const wasHours = computed(() => props.nowHours ?? props.endHours);
const was = computed(() => pathOf(props.curve.filter(({ hours }) => hours <= wasHours.value)));
const willBe = computed(() => {
  const { curve, nowHours } = props;
  return nowHours === null ? '' : pathOf(curve.filter(({ hours }) => hours >= nowHours));
});
const asPlanned = computed(() => pathOf(props.planned));
const ticks = computed(() =>
  y.value.ticks(4).map((value) => ({ y: y.value(value), label: percentFigure(value, 1) })),
);
const times = computed(() => x.value.ticks(isPhone.value ? 3 : 6));
const nowX = computed(() => x.value(Math.min(wasHours.value, horizon.value)));
const endX = computed(() => x.value(props.endHours));
const rows = computed(() =>
  props.curve
    .filter((_, i) => i % 8 === 0)
    .map((point, i) => [
      `${point.hours.toFixed(1)} h`,
      percentText(point.strengthFrac),
      percentText(props.planned[8 * i]?.strengthFrac ?? 0),
    ]),
);
</script>

<template>
  <figure>
    <svg
      class="chart"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="img"
      aria-label="Strength by the clock"
    >
      <g v-for="night in nights" :key="night.fromHours" class="night">
        <rect
          :x="x(night.fromHours)"
          :width="Math.max(0, x(Math.min(night.toHours, horizon)) - x(night.fromHours))"
          :y="TOP"
          :height="BASE - TOP"
        />
        <text
          v-if="x(Math.min(night.toHours, horizon)) - x(night.fromHours) > 64"
          :x="x(night.fromHours) + 6"
          :y="BASE - 8"
        >
          nobody in
        </text>
      </g>
      <text class="title" :x="LEFT - 30" y="14">Strength, %</text>
      <path class="planned" :d="asPlanned" />
      <path class="curve" :d="was" />
      <path class="curve to-come" :d="willBe" />
      <line class="range" :x1="endX" :x2="endX" :y1="y(low)" :y2="y(high)" />
      <circle class="dot" :cx="endX" :cy="y(endStrengthFrac)" r="5" />
      <line class="end" :x1="endX" :x2="endX" :y1="TOP" :y2="BASE" />
      <g v-for="hand in hands" :key="hand.text" class="hand">
        <line :x1="x(hand.hours)" :x2="x(hand.hours)" :y1="BASE - 14" :y2="BASE" />
      </g>
      <circle
        v-for="reading in readings"
        :key="reading.hours"
        class="reading"
        :cx="x(reading.hours)"
        :cy="y(reading.strengthFrac)"
        r="5.5"
      />
      <AxisSide :ticks :x="LEFT" side="left" />
      <g class="axis" aria-hidden="true">
        <line :x1="LEFT" :x2="right" :y1="BASE" :y2="BASE" />
        <g v-for="hours in times" :key="hours">
          <line :x1="x(hours)" :x2="x(hours)" :y1="BASE" :y2="BASE - 6" />
          <text :x="x(hours)" :y="BASE + 17" text-anchor="middle">{{ clockAt(hours) }}</text>
          <text class="under" :x="x(hours)" :y="BASE + 33" text-anchor="middle">{{ hours }} h</text>
        </g>
      </g>
      <g v-if="nowHours !== null" class="now">
        <line :x1="nowX" :x2="nowX" :y1="TOP - 8" :y2="BASE" />
        <text :x="nowX" :y="TOP - 13" :text-anchor="nowX > right - 30 ? 'end' : 'middle'">now</text>
      </g>
    </svg>
    <ChartTable
      file="strength-by-hours"
      caption="Strength by hours"
      :head="['Hours', 'As it goes', 'As planned']"
      :rows
    />
  </figure>
</template>

<style scoped>
.night rect {
  fill: var(--hairline);
  opacity: 0.5;
}

.night text {
  fill: var(--ink-soft);
  font-size: 12px;
}

.planned {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
}

.to-come {
  opacity: 0.55;
}

.range {
  stroke: var(--action);
  stroke-width: 7;
  opacity: 0.3;
}

.reading {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2.4;
}

.hand line {
  stroke: var(--due-mark);
  stroke-width: 3;
}

.now line {
  stroke: var(--due-mark);
  stroke-width: 2;
}

.now text {
  fill: var(--due);
  font-size: 13px;
  font-weight: 700;
}

.under {
  fill: var(--ink-soft);
  font-family: var(--words);
}
</style>
