<script setup lang="ts">
import type { ScaleLinear } from 'd3-scale';
import { computed } from 'vue';

/** Ticks along the lower edge of a chart, minor ones between the labelled. */
const props = defineProps<{
  scale: ScaleLinear<number, number>;
  y: number;
  majors: readonly number[];
  /** Distance between the small ticks, in the scale's unit. */
  minorStep: number;
  /** A second line under a label. */
  under?: (value: number) => string;
}>();

const minors = computed(() => {
  const [low, high] = props.scale.domain() as [number, number];
  const count = Math.round((high - low) / props.minorStep);
  return Array.from({ length: count + 1 }, (_, i) => low + i * props.minorStep);
});
</script>

<template>
  <g class="axis" aria-hidden="true">
    <line :x1="scale.range()[0]" :x2="scale.range()[1]" :y1="y" :y2="y" />
    <line
      v-for="tick in minors"
      :key="tick"
      :x1="scale(tick)"
      :x2="scale(tick)"
      :y1="y"
      :y2="y - 4"
    />
    <g v-for="tick in majors" :key="`label-${tick}`">
      <line :x1="scale(tick)" :x2="scale(tick)" :y1="y" :y2="y - 8" />
      <text :x="scale(tick)" :y="y + 17" text-anchor="middle">{{ tick }}</text>
      <text v-if="under" class="under" :x="scale(tick)" :y="y + 33" text-anchor="middle">{{
        under(tick)
      }}</text>
    </g>
  </g>
</template>

<style scoped>
.axis .under {
  fill: var(--ink-soft);
  font-family: var(--words);
}
</style>
