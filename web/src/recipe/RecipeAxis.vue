<script setup lang="ts">
import { percentText, percentFigure } from '@ratio/core/units';
import { STRENGTH_NAMES } from '@ratio/core/brew';
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';
import { onPhone } from '../ui/browser/index.ts';

/** Recipes on one plane of true ratio and strength: what "concentrate" really means. */
const props = defineProps<{
  points: readonly {
    letter: string;
    ratio: { value: number; low: number; high: number };
    strengthFrac: { value: number; low: number; high: number };
  }[];
}>();

const HEIGHT = 320;
const LEFT = 48;
/** Room for a label of the axis below. */
const LABEL = 72;
const isPhone = onPhone();
/** Drawn as wide as it stands, so that its letters keep their size, px. */
const width = computed(() => (isPhone.value ? 300 : 560));
const right = computed(() => width.value - 16);
const TOP = 34;
const BASE = HEIGHT - 40;

const x = computed(() => {
  const most = Math.max(14, ...props.points.map(({ ratio }) => ratio.high * 1.05));
  return scaleLinear([0, most], [LEFT, right.value]);
});
const y = computed(() => {
  const most = Math.max(0.05, ...props.points.map(({ strengthFrac }) => strengthFrac.high * 1.05));
  return scaleLinear([0, most], [BASE, TOP]);
});
const bands = computed(() =>
  STRENGTH_NAMES.map(({ name, uptoFrac }, i) => {
    const from = STRENGTH_NAMES[i - 1]?.uptoFrac ?? 0;
    const top = Math.min(uptoFrac, y.value.domain()[1]!);
    return { name, low: y.value(from), high: y.value(top), shown: from < y.value.domain()[1]! };
  }).filter(({ shown }) => shown),
);
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${HEIGHT}`"
    role="img"
    :aria-label="`Ratio and strength: ${points.map((p) => `${p.letter} 1:${p.ratio.value.toFixed(1)}, ${percentText(p.strengthFrac.value)}`).join('; ')}`"
  >
    <g v-for="band in bands" :key="band.name">
      <line class="bound" :x1="LEFT" :x2="right" :y1="band.low" :y2="band.low" />
      <text
        v-if="band.low - band.high > 14"
        class="name"
        :x="right"
        :y="(band.low + band.high) / 2 + 4"
        text-anchor="end"
      >
        {{ band.name }}
      </text>
    </g>
    <line :x1="LEFT" :x2="LEFT" :y1="TOP" :y2="BASE" />
    <g v-for="tick in y.ticks(5)" :key="tick">
      <line :x1="LEFT - 6" :x2="LEFT" :y1="y(tick)" :y2="y(tick)" />
      <text :x="LEFT - 10" :y="y(tick) + 4" text-anchor="end">{{ percentFigure(tick, 0) }}</text>
    </g>
    <line :x1="LEFT" :x2="right" :y1="BASE" :y2="BASE" />
    <g v-for="tick in x.ticks((right - LEFT) / LABEL)" :key="tick">
      <line :x1="x(tick)" :x2="x(tick)" :y1="BASE" :y2="BASE + 6" />
      <text v-if="tick > 0" :x="x(tick)" :y="BASE + 20" text-anchor="middle">1:{{ tick }}</text>
    </g>
    <text class="axis" :x="LEFT" :y="HEIGHT - 4">coffee to water, by mass</text>
    <text class="axis" :x="4" :y="TOP - 16">strength, %</text>
    <g v-for="point in points" :key="point.letter" class="point">
      <line
        :x1="x(point.ratio.low)"
        :x2="x(point.ratio.high)"
        :y1="y(point.strengthFrac.value)"
        :y2="y(point.strengthFrac.value)"
      />
      <line
        :x1="x(point.ratio.value)"
        :x2="x(point.ratio.value)"
        :y1="y(point.strengthFrac.low)"
        :y2="y(point.strengthFrac.high)"
      />
      <circle :cx="x(point.ratio.value)" :cy="y(point.strengthFrac.value)" r="11" />
      <text :x="x(point.ratio.value)" :y="y(point.strengthFrac.value) + 4.5" text-anchor="middle">
        {{ point.letter }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

line {
  stroke: var(--ink);
}

.bound {
  stroke: var(--hairline);
}

text {
  fill: var(--ink);
  font-family: var(--figures);
  font-size: 12px;
}

.name,
.axis {
  fill: var(--ink-soft);
  font-family: var(--words);
}

.point line {
  stroke: var(--action);
  stroke-width: 2;
}

.point circle {
  fill: var(--action);
}

.point text {
  fill: var(--on-action);
  font-family: var(--words);
  font-size: 13px;
  font-weight: 700;
}
</style>
