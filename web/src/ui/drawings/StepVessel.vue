<script setup lang="ts">
import { computed, ref } from 'vue';
import { useElementSize } from '@vueuse/core';
import VesselOutline from './VesselOutline.vue';
import { heightOfMm, TAPER, vesselShape, type VesselKind } from './vesselShape.ts';

/** The vessel in hand, as large as there is room: what is in it, and up to where the step goes. */
const props = defineProps<{
  vessel: { name: string; brimMl: number; heightMm: number; kind: VesselKind };
  slurryMl: number;
  /** Wet, swollen grounds, mL. */
  bedMl: number;
  colour: string;
  /** Levels to look out for, mL; the one of this step stands out. */
  lines: readonly { volumeMl: number; text: string; isNow: boolean }[];
  perUnitMl: number;
  text: string;
}>();

const LEFT = 44;
const RIGHT = 92;
const TOP = 12;
const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame, { width: 330, height: 520 });
const shape = computed(() => vesselShape({ ...props.vessel, taper: TAPER[props.vessel.kind] }));
const scale = computed(() =>
  Math.max(
    0.05,
    Math.min(
      (height.value - TOP - 8) / shape.value.heightMm,
      (width.value - LEFT - RIGHT) / (2 * shape.value.topRadiusMm),
    ),
  ),
);
const floor = computed(() => Math.min(height.value - 6, TOP + shape.value.heightMm * scale.value));
const middle = computed(() => LEFT + shape.value.topRadiusMm * scale.value);
const wall = computed(() => middle.value + shape.value.topRadiusMm * scale.value);
const yOf = (volumeMl: number): number =>
  floor.value - heightOfMm(shape.value, Math.min(volumeMl, shape.value.brimMl)) * scale.value;
/** From one label to the next, px. */
const LABEL_PX = 20;
const marks = computed(() => {
  let above = TOP;
  return props.lines
    .map((line) => ({ ...line, y: yOf(line.volumeMl) }))
    .toSorted((one, other) => one.y - other.y)
    .map((line) => {
      above = Math.max(line.y, above + LABEL_PX);
      return { ...line, labelY: above };
    });
});
const inIt = computed(() => Math.min(props.slurryMl, shape.value.brimMl));
</script>

<template>
  <div ref="frame" class="frame">
    <svg :viewBox="`0 0 ${width} ${height}`" :width :height role="img" :aria-label="text">
      <VesselOutline
        :shape
        :x="middle"
        :floor
        :scale
        ticks-side="left"
        :per-unit-ml
        :layers="[
          { volumeMl: Math.max(0, inIt - bedMl), colour, grounds: false },
          { volumeMl: Math.min(inIt, bedMl), colour, grounds: true },
        ]"
      />
      <g v-for="mark in marks" :key="mark.text" :class="['mark', { now: mark.isNow }]">
        <line
          :x1="middle - shape.topRadiusMm * scale - 6"
          :x2="wall + 8"
          :y1="mark.y"
          :y2="mark.y"
        />
        <text :x="wall + 14" :y="mark.labelY + 5">{{ mark.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.frame {
  min-width: 0;
  min-height: 0;
  height: 100%;
  overflow: hidden;
}

svg {
  display: block;
}

.mark line {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
}

.mark text {
  fill: var(--ink-soft);
  font-size: 15px;
}

.mark.now line {
  stroke: var(--action);
  stroke-width: 3;
  stroke-dasharray: none;
}

.mark.now text {
  fill: var(--action);
  font-weight: 700;
}
</style>
