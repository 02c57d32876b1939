<script setup lang="ts">
import type { ScaleLinear } from 'd3-scale';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { DayEdge, DaySteep } from './dayColumn.ts';
import { timeOfDay } from '../format/index.ts';
import { SvgHandle } from '../ui/drawings/index.ts';

/** A steep on the clock: its liquid darker by the hour, its edges, and the grip where it can be moved. */
const props = defineProps<{
  steep: DaySteep;
  vesselName: string;
  width: number;
  y: ScaleLinear<number, number>;
  /** The hours that the clock shows. */
  hours: { readonly from: number; readonly to: number };
  nowHours: number | null;
  /** Where its end is dragged to; null while it is not. */
  movedHours: number | null;
  svg: SVGSVGElement | null;
}>();
const emit = defineEmits<{ moveEnd: [atHours: number]; moveStart: [atHours: number] }>();

const STEP_HOURS = 0.25;

const isShown = (atHours: number): boolean =>
  atHours >= props.hours.from && atHours <= props.hours.to;
const beginsHere = computed(
  () => props.steep.fromHours > props.hours.from && props.steep.fromHours < props.hours.to,
);
const slices = computed(() =>
  props.steep.slices.filter(
    ({ fromHours, toHours }) => toHours > props.hours.from && fromHours < props.hours.to,
  ),
);
/** Texts beside one another in time stand under one another. */
const edges = computed(() => {
  let below = -Infinity;
  return props.steep.edges
    .filter(({ atHours }) => isShown(atHours))
    .toSorted((a, b) => a.atHours - b.atHours)
    .map((edge) => {
      const at = props.y(edge.atHours);
      const textY = Math.max(at + 4, below + 15);
      below = textY + (edge.note === '' ? 0 : 15);
      return { ...edge, y: at, textY };
    });
});
const isStrain = ({ text }: DayEdge): boolean => text.endsWith('strain');
const isRunning = computed(
  () =>
    !props.steep.isPlanned &&
    props.steep.edges.some((edge) => isStrain(edge) && edge.state !== 'done'),
);
const grip = computed(() => {
  const { steep, movedHours, y, hours, width, nowHours, vesselName } = props;
  const value = steep.isPlanned
    ? steep.fromHours
    : (movedHours ?? steep.edges.find(isStrain)?.atHours ?? steep.toHours);
  return {
    at: { x: width - 12, y: y(value) },
    range: { value, min: Math.max(hours.from, nowHours ?? 0), max: hours.to, step: STEP_HOURS },
    label: steep.isPlanned ? 'Start of the plan in hand' : `Strain of ${vesselName}`,
    valueText: timeOfDay(value),
    invert: (place: number) => y.invert(place),
  };
});
</script>

<template>
  <g>
    <RouterLink :to="steep.to" :aria-label="`${vesselName}: ${steep.text}`">
      <rect
        v-for="slice in slices"
        :key="slice.fromHours"
        :width
        :y="y(slice.fromHours)"
        :height="Math.max(0.6, y(slice.toHours) - y(slice.fromHours) + 0.6)"
        :fill="slice.colour"
      />
      <rect
        class="frame"
        :class="{ planned: steep.isPlanned }"
        :width
        :y="y(steep.fromHours)"
        :height="Math.max(0, y(steep.toHours) - y(steep.fromHours))"
      />
    </RouterLink>
    <g v-if="beginsHere">
      <text
        v-for="(line, k) in steep.label"
        :key="line"
        :class="{ first: k === 0 }"
        :x="width + 8"
        :y="y(steep.fromHours) + 13 + 15 * k"
      >
        {{ line }}
      </text>
    </g>
    <g v-for="edge in edges" :key="edge.key" class="edge" :class="edge.state">
      <line x1="-6" :x2="width + 6" :y1="edge.y" :y2="edge.y" />
      <text :x="width + 10" :y="edge.textY">
        <tspan class="what">{{ edge.text }}</tspan>
        <tspan v-if="edge.note !== ''" :x="width + 10" dy="15" class="soft-text">
          {{ edge.note }}
        </tspan>
      </text>
    </g>
    <line
      v-if="movedHours !== null"
      class="moved"
      x1="-6"
      :x2="width + 6"
      :y1="y(movedHours)"
      :y2="y(movedHours)"
    />
    <SvgHandle v-if="isRunning" :svg axis="y" :grip @change="emit('moveEnd', $event)" />
    <SvgHandle
      v-else-if="steep.isPlanned && beginsHere"
      :svg
      axis="y"
      :grip
      @change="emit('moveStart', $event)"
    />
  </g>
</template>

<style scoped>
.frame {
  fill: none;
  stroke: var(--glass);
  stroke-opacity: 0.35;
}

.frame.planned {
  stroke: var(--action);
  stroke-opacity: 1;
  stroke-dasharray: 5 4;
}

.first,
.what {
  font-weight: 600;
}

.edge line {
  stroke: var(--ink);
  stroke-width: 2.4;
}

.edge.done line {
  stroke: var(--past);
  stroke-width: 1.4;
}

.edge.done text {
  fill: var(--past);
}

.edge.due line {
  stroke: var(--due-mark);
  stroke-width: 3;
}

.edge.due .what {
  fill: var(--due);
}

.moved {
  stroke: var(--action);
  stroke-width: 3;
  stroke-dasharray: 6 3;
}
</style>
