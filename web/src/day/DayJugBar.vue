<script setup lang="ts">
import type { ScaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { DayJug } from './dayColumn.ts';

/** A jug on the clock, thinner as it is poured from, and when it is empty. */
const props = defineProps<{
  jug: DayJug;
  width: number;
  y: ScaleLinear<number, number>;
  /** The last hour that the clock shows. */
  toHours: number;
  /** Where the last line of text may stand, px. */
  mostY: number;
}>();

const LABEL = 7;
/** The hour at which its bar ends. */
const endHours = computed(() => {
  const { jug, toHours } = props;
  const empty = jug.isGone ? jug.left.find(({ frac }) => frac === 0) : undefined;
  return Math.min(toHours, empty?.atHours ?? toHours);
});
const path = computed(
  () =>
    area<DayJug['left'][number]>()
      .x0(0)
      .x1(({ frac }) => Math.max(frac > 0 ? 2 : 0, frac * props.width))
      .y(({ atHours }) => props.y(atHours))(
      props.jug.left.filter(({ atHours }) => atHours <= endHours.value),
    ) ?? '',
);
const endY = computed(() => props.y(endHours.value));
const words = computed(() => props.jug.text.split(' '));
</script>

<template>
  <g>
    <RouterLink :to="`/jugs/${jug.id}`" :aria-label="`${jug.label}, ${jug.text}`">
      <path class="left" :d="path" :fill="jug.colour" />
      <text class="name" :y="y(jug.left[0]?.atHours ?? 0) - 6">{{
        jug.label.slice(0, LABEL)
      }}</text>
    </RouterLink>
    <text class="out" :class="{ gone: jug.isGone }" :y="Math.min(mostY, endY + 15)">
      <tspan x="0">{{ words[0] }}</tspan>
      <tspan x="0" dy="14">{{ words.slice(1).join(' ') }}</tspan>
    </text>
  </g>
</template>

<style scoped>
/* Coffee is as dark as the night around it. */
.left {
  stroke: var(--hairline-strong);
}

.name {
  font-size: 12px;
  font-weight: 600;
}

.out {
  font-size: 12px;
}

.out.gone {
  fill: var(--due);
  font-weight: 600;
}
</style>
