<script setup lang="ts">
import { computed, useId } from 'vue';
import { heightOfMm, radiusAtMm, type VesselShape } from './vesselShape.ts';
import { volumeTicks } from './volumeTicks.ts';

/** A vessel from the side, filled in layers from the bottom, graduated like a measuring jug. */
const props = defineProps<{
  shape: VesselShape;
  /** Its middle, px. */
  x: number;
  /** Its bottom, px. */
  floor: number;
  /** px per mm. */
  scale: number;
  layers: readonly { volumeMl: number; colour: string; grounds: boolean }[];
  ticksSide: 'left' | 'right';
  /** What one unit of the graduations is, mL. */
  perUnitMl: number;
}>();

const pattern = useId();
const yOf = (volumeMl: number): number =>
  props.floor - heightOfMm(props.shape, volumeMl) * props.scale;
const halfAt = (y: number): number =>
  radiusAtMm(props.shape, (props.floor - y) / props.scale) * props.scale;

const bands = computed(() => {
  let filled = 0;
  return props.layers.map((layer) => {
    const low = yOf(filled);
    filled = Math.min(props.shape.brimMl, filled + layer.volumeMl);
    const high = yOf(filled);
    const [wide, narrow] = [halfAt(high) - 1, halfAt(low) - 1];
    const { x } = props;
    return {
      ...layer,
      path: `M${x - narrow} ${low}H${x + narrow}L${x + wide} ${high}H${x - wide}Z`,
    };
  });
});
const outline = computed(() => {
  const { shape, x, floor, scale } = props;
  const top = floor - shape.heightMm * scale;
  const [wide, narrow] = [shape.topRadiusMm * scale, shape.bottomRadiusMm * scale];
  const round = Math.min(10, narrow / 3);
  return `M${x - wide} ${top}L${x - narrow} ${floor - round}Q${x - narrow} ${floor} ${x - narrow + round} ${floor}H${x + narrow - round}Q${x + narrow} ${floor} ${x + narrow} ${floor - round}L${x + wide} ${top}`;
});
const marks = computed(() => {
  const side = props.ticksSide === 'left' ? -1 : 1;
  const { brimMl } = props.shape;
  return volumeTicks({ brimMl, perUnitMl: props.perUnitMl }).map((tick) => {
    const y = yOf(tick.volumeMl);
    const edge = props.x + side * halfAt(y);
    return { ...tick, y, from: edge, to: edge + side * (tick.major ? 12 : 7) };
  });
});
</script>

<template>
  <g>
    <defs>
      <pattern :id="pattern" width="19" height="17" patternUnits="userSpaceOnUse">
        <circle cx="3" cy="4" r="2.4" />
        <circle cx="11" cy="2.5" r="1.5" />
        <circle cx="15.5" cy="8" r="2.7" />
        <circle cx="7" cy="10.5" r="1.9" />
        <circle cx="2" cy="14" r="1.3" />
        <circle cx="12" cy="14.5" r="2.2" />
      </pattern>
    </defs>
    <template v-for="(band, i) in bands" :key="i">
      <path :d="band.path" :style="{ fill: band.colour }" />
      <path v-if="band.grounds" class="grounds" :d="band.path" :fill="`url(#${pattern})`" />
    </template>
    <path class="outline" :d="outline" />
    <g class="marks">
      <template v-for="mark in marks" :key="mark.volumeMl">
        <line :x1="mark.from" :x2="mark.to" :y1="mark.y" :y2="mark.y" />
        <text
          v-if="mark.major"
          :x="ticksSide === 'left' ? mark.to - 5 : mark.to + 5"
          :y="mark.y + 4"
          :text-anchor="ticksSide === 'left' ? 'end' : 'start'"
        >
          {{ mark.label }}
        </text>
      </template>
    </g>
  </g>
</template>

<style scoped>
/* Light with a dark edge: seen in pale water and in dark brew alike. */
pattern circle {
  fill: #9a6f57;
  stroke: #2b1a12;
  stroke-width: 0.9;
}

.grounds {
  opacity: 0.75;
}

.outline {
  fill: none;
  stroke: var(--glass);
  stroke-width: 2;
}

.marks line {
  stroke: var(--ink);
  stroke-width: 1;
}

.marks text {
  fill: var(--ink-soft);
  font-family: var(--figures);
  font-size: 12px;
}
</style>
