<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core';
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import DayJugBar from './DayJugBar.vue';
import DaySteepBar from './DaySteepBar.vue';
import type { DayColumn, DayJug, DayMake } from './dayColumn.ts';
import { cutText, hourMark, timeOfDay } from '../format/index.ts';
import { ChartTable } from '../ui/charts/index.ts';

/** The day as an upright clock: vessels that darken, jugs that thin out, what is to be made. */
const props = defineProps<{
  columns: readonly DayColumn[];
  jugs: readonly DayJug[];
  makes: readonly DayMake[];
  /** Null where the shown day is not today. */
  nowHours: number | null;
  crew: { readonly fromHours: number; readonly toHours: number };
  open: { readonly fromHours: number; readonly toHours: number };
  /** Where the end of a running steep is dragged to; null where none is. */
  moved: { readonly id: string; readonly atHours: number } | null;
}>();
const emit = defineEmits<{
  moveEnd: [id: string, atHours: number];
  moveStart: [atHours: number];
}>();

const AXIS = 58;
const HEAD = 44;
const FOOT = 12;
/** What a bar leaves to the time and the word beside it. */
const LABEL = 102;
const LEAST_COLUMN = 130;
const MOST_COLUMN = 190;
const MAKE_HEIGHT = 66;
const LEAST_HOUR = 26;

const box = ref<HTMLElement | null>(null);
/** Nothing is drawn before the room for it is known, so that it is drawn once. */
const boxWidth = ref(0);
const boxHeight = ref(0);
useResizeObserver(box, ([entry]) => {
  boxWidth.value = entry!.contentRect.width;
  boxHeight.value = entry!.contentRect.height;
});
const svg = ref<SVGSVGElement | null>(null);
/** On a tablet upright all of the day stands side by side. */
const isNarrow = computed(() => boxWidth.value < 820);
const jugWidth = computed(() => (isNarrow.value ? 46 : 56));
const makeWidth = computed(() => (isNarrow.value ? 146 : 176));

const busy = computed(() => props.columns.filter(({ steeps }) => steeps.length > 0));
const free = computed(() => props.columns.filter(({ steeps }) => steeps.length === 0));
const shown = computed(() =>
  free.value.length > 0
    ? [...busy.value, { id: 'free', name: 'Not in use', steeps: [], note: '' }]
    : busy.value,
);
const jugsWidth = computed(() =>
  props.jugs.length > 0 ? props.jugs.length * jugWidth.value + 24 : 0,
);
const makesWidth = computed(() => (props.makes.length > 0 ? makeWidth.value : 0));
const column = computed(() => {
  const room = boxWidth.value - AXIS - jugsWidth.value - makesWidth.value;
  return Math.min(MOST_COLUMN, Math.max(LEAST_COLUMN, room / Math.max(1, shown.value.length)));
});
const width = computed(() =>
  Math.max(
    boxWidth.value,
    AXIS + shown.value.length * column.value + jugsWidth.value + makesWidth.value,
  ),
);

/** From before the crew comes to after it leaves, and as much more as something is to be done. */
const hours = computed(() => {
  const { crew, nowHours, columns } = props;
  const edges = columns.flatMap(({ steeps }) =>
    steeps.flatMap((steep) => steep.edges.map(({ atHours }) => atHours)),
  );
  const all = [...edges, ...(nowHours === null ? [] : [nowHours])].filter(
    (at) => at >= 0 && at <= 24,
  );
  const usual = crew.fromHours <= crew.toHours ? [crew.fromHours - 1, crew.toHours + 1] : [0, 24];
  return {
    from: Math.max(0, Math.floor(Math.min(usual[0]!, ...all.map((at) => at - 0.4)))),
    to: Math.min(24, Math.ceil(Math.max(usual[1]!, ...all.map((at) => at + 0.6)))),
  };
});
const height = computed(() =>
  Math.max(boxHeight.value - 4, HEAD + FOOT + (hours.value.to - hours.value.from) * LEAST_HOUR),
);
const y = computed(() =>
  scaleLinear([hours.value.from, hours.value.to], [HEAD, height.value - FOOT]).clamp(true),
);
const ticks = computed(() =>
  Array.from({ length: hours.value.to - hours.value.from + 1 }, (_, i) => hours.value.from + i),
);
/** The hour of now stands in the place of one that is too near. */
const isUnderNow = (tick: number): boolean =>
  props.nowHours !== null && Math.abs(y.value(tick) - y.value(props.nowHours)) < 20;
const bar = computed(() => Math.min(86, column.value - LABEL));
const inColumn = (text: string): string => cutText({ text, roomPx: column.value, letterPx: 13 });
const xOf = (i: number): number => AXIS + i * column.value + 10;
const jugX = computed(() => AXIS + shown.value.length * column.value + 12);
const makeX = computed(() => jugX.value + jugsWidth.value);

const makeLines = computed(() => {
  let below = -Infinity;
  return props.makes
    .toSorted((a, b) => a.atHours - b.atHours)
    .map((make) => {
      const at = Math.max(y.value(make.atHours), below + 14);
      below = at + MAKE_HEIGHT - 12;
      // What stands below another one of its hour has no line of its own.
      return { ...make, y: at, isAtItsHour: at === y.value(make.atHours) };
    });
});
const rows = computed(() => [
  ...props.columns.flatMap(({ name, steeps, note }) =>
    steeps.length === 0
      ? [[name, note, '']]
      : steeps.map((steep) => [name, steep.text, steep.edges.map(({ text }) => text).join(', ')]),
  ),
  ...props.jugs.map((jug) => [jug.label, jug.text, '']),
  ...props.makes.map((make) => [`${make.name}, to make`, make.note, timeOfDay(make.atHours)]),
]);
</script>

<template>
  <div ref="box" class="clock" tabindex="0" role="group" aria-label="The day by the clock">
    <svg v-if="boxWidth > 0" ref="svg" :viewBox="`0 0 ${width} ${height}`" :width :height>
      <rect
        class="crew"
        :x="AXIS"
        :width="width - AXIS"
        :y="y(crew.fromHours)"
        :height="Math.max(0, y(crew.toHours) - y(crew.fromHours))"
      />
      <rect
        class="open"
        :x="AXIS"
        width="3"
        :y="y(open.fromHours)"
        :height="Math.max(0, y(open.toHours) - y(open.fromHours))"
      />
      <g v-for="tick in ticks" :key="tick" class="tick" aria-hidden="true">
        <line :x1="AXIS" :x2="width" :y1="y(tick)" :y2="y(tick)" />
        <text v-if="!isUnderNow(tick)" :x="AXIS - 12" :y="y(tick) + 5">
          {{ hourMark(tick) }}
        </text>
      </g>

      <g v-for="(vessel, i) in shown" :key="vessel.id" :transform="`translate(${xOf(i)} 0)`">
        <text class="name" y="20">{{ inColumn(vessel.name) }}</text>
        <g v-if="vessel.id === 'free'" class="note">
          <text v-for="(one, k) in free" :key="one.id" :y="y(open.fromHours) + 18 + 34 * k">
            <tspan x="0">{{ inColumn(one.name) }}</tspan>
            <tspan x="0" dy="15" class="soft-text">{{ one.note }}</tspan>
          </text>
        </g>
        <template v-for="steep in vessel.steeps" :key="steep.id">
          <DaySteepBar
            :steep
            :vessel-name="vessel.name"
            :width="bar"
            :y
            :hours
            :now-hours
            :moved-hours="moved?.id === steep.id ? moved.atHours : null"
            :svg
            @move-end="emit('moveEnd', steep.id, $event)"
            @move-start="emit('moveStart', $event)"
          />
        </template>
      </g>

      <g v-if="jugs.length > 0" :transform="`translate(${jugX} 0)`">
        <text class="name" y="20">Jugs</text>

        <DayJugBar
          v-for="(jug, k) in jugs"
          :key="jug.id"
          :jug
          :width="jugWidth - 12"
          :y
          :to-hours="hours.to"
          :most-y="height - FOOT - 18"
          :transform="`translate(${k * jugWidth} 0)`"
        />
      </g>

      <g v-if="makes.length > 0" :transform="`translate(${makeX} 0)`">
        <text class="name" y="20">To make</text>
        <g v-for="make in makeLines" :key="make.id" class="make" :class="{ late: make.isDue }">
          <line v-if="make.isAtItsHour" x1="-6" :x2="makeWidth - 20" :y1="make.y" :y2="make.y" />
          <foreignObject x="-6" :y="make.y + 2" :width="makeWidth - 8" :height="MAKE_HEIGHT">
            <p class="make-text">
              <RouterLink :to="`/shelf/house-recipes?recipe=${make.id}`"
                >{{ timeOfDay(make.atHours) }} {{ make.name }}</RouterLink
              ><br /><span class="soft">{{ make.note }}</span>
            </p>
          </foreignObject>
        </g>
      </g>

      <g v-if="nowHours !== null" class="now" aria-hidden="true">
        <line :x1="AXIS" :x2="width" :y1="y(nowHours)" :y2="y(nowHours)" />
        <rect x="4" :y="y(nowHours) - 11" width="52" height="22" rx="3" />
        <text x="30" :y="y(nowHours) + 5">{{ timeOfDay(nowHours).split('\u202f')[0] }}</text>
      </g>
    </svg>
    <ChartTable caption="The day" :head="['Where', 'What', 'When']" :rows />
  </div>
</template>

<style scoped>
.clock {
  position: relative;
  min-height: 0;
  overflow: auto;
}

svg {
  display: block;
}

svg :deep(text) {
  fill: var(--ink);
  font-size: 12.5px;
}

.crew {
  fill: var(--paper);
  opacity: 0.55;
}

.open {
  fill: var(--hairline-strong);
}

.tick line {
  stroke: var(--hairline);
}

.tick text {
  fill: var(--ink-soft);
  font-family: var(--figures);
  font-size: 13px;
  text-anchor: end;
}

.name {
  font-size: 13px;
  font-weight: 600;
}

.clock :deep(.soft-text) {
  fill: var(--ink-soft);
  font-weight: 400;
}

.make line {
  stroke: var(--ink);
  stroke-width: 2;
}

.make.late line {
  stroke: var(--due-mark);
}

.make-text {
  font-size: 12.5px;
  line-height: 1.2;
}

.make-text a {
  color: var(--ink);
  font-weight: 600;
}

.make.late a {
  color: var(--due);
}

.now line {
  stroke: var(--action);
  stroke-width: 2;
}

.now rect {
  fill: var(--action);
}

@media print {
  .clock {
    overflow: visible;
  }

  svg {
    width: 100%;
    height: auto;
    max-height: 128mm;
  }
}

.now text {
  fill: var(--on-action);
  font-family: var(--figures);
  font-size: 13px;
  font-weight: 600;
  text-anchor: middle;
}
</style>
