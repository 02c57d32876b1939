<script setup lang="ts">
import { percentText } from '@ratio/core/units';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import { computed, ref } from 'vue';
import AxisBottom from './AxisBottom.vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';
import type { AmountFormat } from '../../format/index.ts';
import { SvgHandle, type Grip } from '../drawings/index.ts';
import { PickButtons } from '../fields/index.ts';

interface MinutePoint {
  readonly minutes: number;
  readonly strengthFrac: number;
  readonly meltedG: number;
  readonly tempC: number;
  readonly levelMl: number;
}

/**
 * A drink while it stands: strength, temperature or level by minutes. The minute that it is judged
 * at is the handle; the stretch in which it tastes as meant is marked; other ice is drawn beside it.
 */
const props = defineProps<{
  timeline: readonly MinutePoint[];
  other: { readonly name: string; readonly timeline: readonly MinutePoint[] } | null;
  /** What its own ice is, for the legend. */
  ownName: string;
  window: { readonly fromMinutes: number; readonly toMinutes: number } | null;
  minute: number;
  lastSipMinutes: number;
  /** Of the drawing, which is 440 wide. */
  height: number;
  format: AmountFormat;
}>();
const emit = defineEmits<{ minute: [minutes: number] }>();

const WIDTH = 440;
const LEFT = 46;
const RIGHT = WIDTH - 16;
const TOP = 24;
/** Of a label of the axis, with the air around it. */
const TICK_ROOM = 28;
/** So low the curve has the room of a note; the sentence beside the strength says it too. */
const LOW = 110;
const base = computed(() => props.height - 28);
const tickCount = computed(() => Math.max(2, Math.round((base.value - TOP) / TICK_ROOM)));
const svg = ref<SVGSVGElement | null>(null);
const VIEWS = [
  { value: 'strength', text: 'Strength', title: 'Coffee strength, %', digits: 2 },
  { value: 'temp', text: 'Temperature', title: 'Temperature, degrees', digits: 0 },
  { value: 'level', text: 'Level', title: 'Level with its ice', digits: 0 },
] as const;
const shown = ref<(typeof VIEWS)[number]['value']>('strength');
const view = computed(() => VIEWS.find(({ value }) => value === shown.value)!);
const title = computed(() => `${view.value.title}, by minutes after pouring`);

const inUnits = (volumeMl: number): number => volumeMl / props.format.glassUnitMl;
const valueOf = (point: MinutePoint): number =>
  ({
    strength: 100 * point.strengthFrac,
    temp: props.format.degrees(point.tempC),
    level: inUnits(point.levelMl),
  })[shown.value];
const LEAST_SPAN = { strength: 0.2, temp: 4, level: 8 } as const;

const x = scaleLinear([0, 30], [LEFT, RIGHT]);
const y = computed(() => {
  const both = [...props.timeline, ...(props.other?.timeline ?? [])];
  const [low = 0, high = 1] = extent(both, valueOf);
  const room = Math.max(LEAST_SPAN[shown.value] - (high - low), (high - low) * 0.3) / 2;
  return scaleLinear([Math.max(0, low - room), high + room], [base.value - 6, TOP]).nice(
    tickCount.value,
  );
});
const pathOf = (timeline: readonly MinutePoint[]): string =>
  line<MinutePoint>(
    (point) => x(point.minutes),
    (point) => y.value(valueOf(point)),
  ).curve(curveMonotoneX)(timeline) ?? '';
const ticks = computed(() => {
  const format = y.value.tickFormat(tickCount.value, `.${view.value.digits}f`);
  return y.value
    .ticks(tickCount.value)
    .map((value) => ({ y: y.value(value), label: format(value) }));
});
const at = (minutes: number) => {
  const point = props.timeline[Math.min(30, Math.round(minutes))];
  return point ? { x: x(minutes), y: y.value(valueOf(point)) } : null;
};
const judged = computed(() => at(props.minute));
const gripAt = (place: number): Grip => ({
  at: { x: place, y: base.value },
  range: { value: props.minute, min: 0, max: 30, step: 1 },
  label: 'Minute at which the drink is judged',
  valueText: `${props.minute} minutes after pouring`,
  invert: x.invert,
});
const sips = computed(() => [0, props.lastSipMinutes].map(at).filter((place) => place !== null));
const rows = computed(() =>
  props.timeline
    .filter(({ minutes }) => minutes % 5 === 0)
    .map((point, i) => [
      `${point.minutes} min`,
      `${percentText(point.strengthFrac)}`,
      `${point.meltedG.toFixed(0)} g`,
      props.format.temp(point.tempC),
      props.format.volume(point.levelMl),
      props.other ? `${percentText(props.other.timeline[i * 5]!.strengthFrac)}` : '',
    ]),
);
</script>

<template>
  <figure>
    <div class="views no-print">
      <PickButtons v-model="shown" label="What the chart shows" small :options="VIEWS" />
      <p class="legend">
        <span class="own">{{ ownName }}</span>
        <span v-if="other" class="other">{{ other.name }}</span>
      </p>
    </div>
    <div class="plot">
      <svg
        ref="svg"
        class="chart"
        :viewBox="`0 0 ${WIDTH} ${height}`"
        role="group"
        :aria-label="title"
      >
        <text class="title" :x="LEFT" y="13">{{ title }}</text>
        <rect
          v-if="window && shown === 'strength'"
          class="window"
          :x="x(window.fromMinutes)"
          :width="Math.max(1, x(window.toMinutes) - x(window.fromMinutes))"
          :y="TOP - 4"
          :height="base - TOP + 4"
        />
        <text
          v-if="window && shown === 'strength' && height > LOW"
          class="note meant"
          :x="x(window.toMinutes) - 6"
          text-anchor="end"
          :y="base - 8"
        >
          tastes as meant
        </text>
        <AxisSide :ticks :x="LEFT" side="left" />
        <AxisBottom :scale="x" :y="base" :majors="[0, 5, 10, 15, 20, 25, 30]" :minor-step="1" />
        <path v-if="other" class="curve beside" :d="pathOf(other.timeline)" />
        <path class="curve" :d="pathOf(timeline)" />
        <circle v-for="sip in sips" :key="sip.x" class="sip" :cx="sip.x" :cy="sip.y" r="4" />
        <template v-if="judged">
          <line class="end" :x1="judged.x" :x2="judged.x" :y1="TOP - 4" :y2="base" />
          <circle class="dot" :cx="judged.x" :cy="judged.y" r="5" />
          <SvgHandle :svg axis="x" :grip="gripAt(judged.x)" @change="emit('minute', $event)">
            <rect class="tab" x="-9" y="-2" width="18" height="12" rx="2" />
          </SvgHandle>
        </template>
      </svg>
      <ChartTable
        caption="The drink while it stands"
        file="the-drink-while-it-stands"
        :head="[
          'After pouring',
          'Strength',
          'Ice melted',
          'Temperature',
          'Level',
          other?.name ?? '',
        ]"
        :rows
      />
    </div>
  </figure>
</template>

<style scoped>
.views {
  display: flex;
  align-items: center;
  gap: 4px;
}

.legend {
  display: flex;
  gap: 12px;
  margin-left: auto;
  white-space: nowrap;
  font-size: var(--t13);
}

.legend span::before {
  display: inline-block;
  width: 18px;
  margin-right: 5px;
  border-top: 2px solid var(--ink);
  content: '';
  vertical-align: middle;
}

.legend .other::before {
  border-top-style: dashed;
  border-top-color: var(--past);
}

.plot {
  position: relative;
}

/* Beside the chart's title, where there is room: a row of its own would push what to pour down. */
.plot :deep(.as-file) {
  position: absolute;
  top: -6px;
  right: 0;
}

.window {
  fill: var(--resting-wash);
}

.meant {
  fill: var(--resting);
}

.beside {
  stroke: var(--past);
  stroke-dasharray: 6 4;
}

.sip {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.8;
}

@media (max-width: 640px) {
  .views {
    flex-wrap: wrap;
  }
}

@media (pointer: coarse) {
  .views button {
    min-height: var(--touch);
  }
}
</style>
