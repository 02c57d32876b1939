<script setup lang="ts">
import { percentText, percentFigure } from '@ratio/core/units';
import type { BrewPoint } from '@ratio/core/brew';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { computed, ref } from 'vue';
import AxisBottom from './AxisBottom.vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';
import { SvgHandle, type Grip } from '../drawings/index.ts';

/** Extraction and strength of a steep against its hours; the end of the steep is the handle. */
const props = defineProps<{
  curve: readonly BrewPoint[];
  hours: number;
  yieldFrac: number;
  releasedFrac: number;
  /** Low and high over the middle, of the yield. */
  spread: { low: number; high: number };
  /** Yield that a strength of the slurry stands for. */
  yieldOfStrength: (strengthFrac: number) => number;
  clockAt: (hours: number) => string;
  /** When somebody is there to strain, in hours of the steep. */
  windows?: readonly { fromHours: number; toHours: number }[];
  /** The alternative that is compared, fainter still. */
  compared?: readonly { name: string; curve: readonly BrewPoint[] }[];
  /** Other plans on the same axes. */
  others?: readonly { name: string; curve: readonly BrewPoint[] }[];
  /** How wide it stands, px. */
  width: number;
}>();
const emit = defineEmits<{ hours: [hours: number] }>();

const HEIGHT = 268;
const LEFT = 44;
/** Room for a label of the axis below, a day and a time. */
const LABEL = 82;
const TOP = 30;
const BASE = 212;
const STEP_H = 0.25;
const svg = ref<SVGSVGElement | null>(null);

const horizon = computed(() => props.curve.at(-1)?.hours ?? 30);
const right = computed(() => props.width - 48);
const x = computed(() => scaleLinear([0, horizon.value], [LEFT, right.value]));
const top = computed(() =>
  Math.max(
    (max(props.curve, (point) => point.extractionYieldFrac) ?? 0.2) * props.spread.high,
    ...[...(props.others ?? []), ...(props.compared ?? [])].map(
      ({ curve }) => curve.at(-1)!.extractionYieldFrac,
    ),
  ),
);
const y = computed(() => scaleLinear([0, top.value * 1.05], [BASE, TOP]));
const path = computed(
  () =>
    line<BrewPoint>(
      (point) => x.value(point.hours),
      (point) => y.value(point.extractionYieldFrac),
    )(props.curve) ?? '',
);
const within = (curve: readonly BrewPoint[]): string =>
  line<BrewPoint>(
    (point) => x.value(point.hours),
    (point) => y.value(point.extractionYieldFrac),
  )(curve.filter(({ hours }) => hours <= horizon.value)) ?? '';
const otherPaths = computed(() =>
  (props.others ?? []).map(({ name, curve }, i) => ({
    name,
    letter: 'ABC'[i]!,
    end: curve.at(-1)!,
    path: within(curve),
  })),
);
const besidePaths = computed(() =>
  (props.compared ?? []).map(({ name, curve }) => ({ name, path: within(curve) })),
);
const band = computed(
  () =>
    area<BrewPoint>(
      (point) => x.value(point.hours),
      (point) => y.value(point.extractionYieldFrac * props.spread.low),
      (point) => y.value(point.extractionYieldFrac * props.spread.high),
    )(props.curve) ?? '',
);
const majors = computed(() => x.value.ticks((right.value - LEFT) / LABEL));
const yieldTicks = computed(() =>
  y.value.ticks(5).map((value) => ({ y: y.value(value), label: percentFigure(value, 0) })),
);
const strengthTicks = computed(() => {
  const strongest = props.curve.at(-1)?.strengthFrac ?? 0.04;
  return scaleLinear([0, strongest * 1.1], [0, 1])
    .ticks(5)
    .map((value) => ({ y: y.value(props.yieldOfStrength(value)), label: percentFigure(value, 1) }))
    .filter((tick) => tick.y >= TOP - 4);
});
const at = computed(() => ({ x: x.value(props.hours), y: y.value(props.yieldFrac) }));
const grip = computed<Grip>(() => ({
  at: { x: at.value.x, y: BASE },
  range: { value: props.hours, min: STEP_H, max: horizon.value, step: STEP_H },
  label: 'End of the steep',
  valueText: `${props.hours} hours, ${props.clockAt(props.hours)}`,
  invert: x.value.invert,
}));
const labelLeft = computed(() => at.value.x > right.value - 138);
const rows = computed(() =>
  props.curve
    .filter((_, i) => i % 12 === 0)
    .map((point) => [
      `${point.hours.toFixed(1)} h`,
      `${percentText(point.extractionYieldFrac, 1)}`,
      `${percentText(point.strengthFrac)}`,
    ]),
);
</script>

<template>
  <figure>
    <svg
      ref="svg"
      class="chart"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="group"
      aria-label="Extraction and strength by hours"
    >
      <text class="title" :x="LEFT - 30" y="14">Extraction, % of the coffee, by hours</text>
      <text class="title" :x="width - 8" y="14" text-anchor="end">Strength, %</text>
      <g v-for="window in windows" :key="window.fromHours" class="window">
        <rect
          :x="x(window.fromHours)"
          :width="x(window.toHours) - x(window.fromHours)"
          :y="TOP"
          :height="BASE - TOP"
        />
        <text
          v-if="x(window.toHours) - x(window.fromHours) > 54"
          :x="x((window.fromHours + window.toHours) / 2)"
          :y="BASE - 8"
          text-anchor="middle"
        >
          crew in
        </text>
      </g>
      <path class="band" :d="band" />
      <path v-for="one in besidePaths" :key="one.name" class="compared" :d="one.path">
        <title>{{ one.name }}</title>
      </path>
      <g v-for="(other, i) in otherPaths" :key="other.letter" class="other">
        <path :d="other.path" />
        <text :x="right - 10 - 16 * i" :y="y(other.end.extractionYieldFrac) - 5" text-anchor="end">
          {{ other.letter }}
        </text>
      </g>
      <path class="curve" :d="path" />
      <AxisSide :ticks="yieldTicks" :x="LEFT" side="left" />
      <AxisSide :ticks="strengthTicks" :x="right" side="right" />
      <AxisBottom :scale="x" :y="BASE" :majors :minor-step="1" :under="clockAt" />
      <line class="end" :x1="at.x" :x2="at.x" :y1="TOP - 8" :y2="BASE" />
      <circle class="dot" :cx="at.x" :cy="at.y" r="5" />
      <g
        :transform="`translate(${at.x + (labelLeft ? -12 : 12)} ${at.y + (labelLeft ? 56 : 26)})`"
        :text-anchor="labelLeft ? 'end' : 'start'"
      >
        <text class="set figures">{{ percentText(yieldFrac, 1) }}</text>
        <text class="note" y="18">{{ percentText(releasedFrac, 0) }} of what it gives</text>
      </g>
      <SvgHandle :svg axis="x" :grip @change="emit('hours', $event)">
        <rect class="tab" x="-9" y="-2" width="18" height="12" rx="2" />
      </SvgHandle>
    </svg>
    <ChartTable
      file="extraction-by-hours"
      caption="Extraction and strength by hours"
      :head="['Hours', 'Extraction', 'Strength']"
      :rows
    />
  </figure>
</template>

<style scoped>
.band {
  fill: var(--ink);
  opacity: 0.09;
}

.window rect {
  fill: var(--resting-wash);
}

.window text {
  fill: var(--resting);
  font-size: 12px;
}

.beside {
  fill: none;
  stroke: var(--hairline-strong);
  stroke-width: 2;
}

.other path {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.4;
  stroke-dasharray: 5 3;
}

.other text {
  fill: var(--ink);
  font-size: 12px;
  font-weight: 700;
}

.set {
  fill: var(--action);
  font-size: 15px;
  font-weight: 600;
}
</style>
