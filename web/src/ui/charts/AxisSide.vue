<script setup lang="ts">
/** Labelled ticks along an upright edge of a chart. */
defineProps<{
  /** Position and label of each tick, px. */
  ticks: readonly { y: number; label: string }[];
  x: number;
  side: 'left' | 'right';
}>();
</script>

<template>
  <g class="axis" aria-hidden="true">
    <g v-for="tick in ticks" :key="tick.label">
      <line :x1="x" :x2="side === 'left' ? x + 6 : x - 6" :y1="tick.y" :y2="tick.y" />
      <text
        :x="side === 'left' ? x - 7 : x + 7"
        :y="tick.y + 4"
        :text-anchor="side === 'left' ? 'end' : 'start'"
      >
        {{ tick.label }}
      </text>
    </g>
  </g>
</template>
