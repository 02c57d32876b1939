<script setup lang="ts">
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import { computed, ref } from 'vue';
import SvgHandle from '../svg/SvgHandle.vue';
import AxisBottom from './AxisBottom.vue';
import AxisSide from './AxisSide.vue';
import ChartTable from './ChartTable.vue';

interface MinutePoint {
  readonly minutes: number;
  readonly strengthFrac: number;
  readonly meltedG: number;
  readonly tempC: number;
}

/** Strength of a drink while its ice melts; the minute that it is judged at is the handle. */
const props = defineProps<{
  timeline: readonly MinutePoint[];
  minute: number;
  strengthFrac: number;
  writeTemp: (tempC: number) => string;
}>();
const emit = defineEmits<{ minute: [minutes: number] }>();

const WIDTH = 440;
const HEIGHT = 222;
const LEFT = 46;
const RIGHT = WIDTH - 16;
const TOP = 30;
const BASE = 184;
const svg = ref<SVGSVGElement | null>(null);

const x = scaleLinear([0, 30], [LEFT, RIGHT]);
const y = computed(() => {
  const [low = 0, high = 0.02] = extent(props.timeline, (point) => point.strengthFrac);
  const room = Math.max(0.001, (high - low) * 0.25);
  return scaleLinear([Math.max(0, low - room), high + room], [BASE - 8, TOP]).nice(4);
});
const path = computed(
  () =>
    line<MinutePoint>(
      (point) => x(point.minutes),
      (point) => y.value(point.strengthFrac),
    ).curve(curveMonotoneX)(props.timeline) ?? '',
);
const ticks = computed(() => {
  const format = y.value.tickFormat(4, '.2f');
  return y.value.ticks(4).map((value) => ({ y: y.value(value), label: format(100 * value) }));
});
const at = computed(() => ({ x: x(props.minute), y: y.value(props.strengthFrac) }));
const rows = computed(() =>
  props.timeline
    .filter(({ minutes }) => minutes % 5 === 0)
    .map(({ minutes, strengthFrac, meltedG, tempC }) => [
      `${minutes} min`,
      `${(100 * strengthFrac).toFixed(2)} %`,
      `${meltedG.toFixed(0)} g`,
      props.writeTemp(tempC),
    ]),
);
</script>

<template>
  <figure>
    <svg
      ref="svg"
      class="chart"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="group"
      aria-label="Strength by minutes after pouring"
    >
      <text class="title" :x="LEFT" y="14">Coffee strength, %, while it stands</text>
      <AxisSide :ticks="ticks" :x="LEFT" side="left" />
      <AxisBottom :scale="x" :y="BASE" :majors="[0, 5, 10, 15, 20, 25, 30]" :minor-step="1" />
      <text class="note" :x="RIGHT" :y="BASE - 10" text-anchor="end">minutes after pouring</text>
      <path class="curve" :d="path" />
      <line class="end" :x1="at.x" :x2="at.x" :y1="TOP - 6" :y2="BASE" />
      <circle class="dot" :cx="at.x" :cy="at.y" r="5" />
      <SvgHandle
        :svg="svg"
        :x="at.x"
        :y="BASE"
        axis="x"
        :value="minute"
        :min="0"
        :max="30"
        :step="1"
        label="Minute at which the drink is judged"
        :value-text="`${minute} minutes after pouring`"
        :invert="x.invert"
        @change="emit('minute', $event)"
      >
        <rect class="tab" x="-9" y="-2" width="18" height="12" rx="2" />
      </SvgHandle>
    </svg>
    <ChartTable
      caption="The drink while it stands"
      :head="['After pouring', 'Strength', 'Ice melted', 'Temperature']"
      :rows="rows"
    />
  </figure>
</template>
