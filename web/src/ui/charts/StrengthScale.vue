<script setup lang="ts">
import { percentFigure } from '@ratio/core/units';
import { STRENGTH_NAMES } from '@ratio/core/brew';
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';

/** Where a strength lies between thin and essence, with its range. */
const props = defineProps<{ strengthFrac: number; low: number; high: number }>();

const WIDTH = 340;
const x = computed(() => {
  const top = Math.max(0.06, Math.ceil(props.high * 100) / 100);
  return scaleLinear([0, top], [4, WIDTH - 6]).clamp(true);
});
const ticks = computed(() => x.value.ticks(6));
const bounds = computed(() =>
  STRENGTH_NAMES.slice(0, -1).map(({ name, uptoFrac }) => ({ name, x: x.value(uptoFrac) })),
);
</script>

<template>
  <svg class="scale" :viewBox="`0 0 ${WIDTH} 42`" aria-hidden="true">
    <rect class="range" :x="x(low)" :width="Math.max(2, x(high) - x(low))" y="8" height="12" />
    <line :x1="x.range()[0]" :x2="x.range()[1]" y1="20" y2="20" />
    <line
      v-for="bound in bounds"
      :key="bound.name"
      class="bound"
      :x1="bound.x"
      :x2="bound.x"
      y1="13"
      y2="20"
    />
    <g v-for="tick in ticks" :key="tick">
      <line :x1="x(tick)" :x2="x(tick)" y1="20" y2="25" />
      <text :x="x(tick)" y="38" text-anchor="middle">{{ percentFigure(tick, 0) }}</text>
    </g>
    <path class="mark" :d="`M${x(strengthFrac) - 6} 4h12l-6 14z`" />
  </svg>
</template>

<style scoped>
.scale {
  display: block;
  width: 100%;
}

line {
  stroke: var(--ink);
}

.bound {
  stroke: var(--hairline-strong);
}

.range {
  fill: var(--action);
  opacity: 0.28;
}

.mark {
  fill: var(--action);
}

text {
  fill: var(--ink-soft);
  font-family: var(--figures);
  font-size: 12px;
}
</style>
