<script setup lang="ts">
import { computed } from 'vue';
import VesselOutline from './VesselOutline.vue';
import { TAPER, vesselShape } from './vesselShape.ts';

/** A jug with what is in it: those that a hand can lift are drawn to one scale, a larger one as it fits. */
const props = defineProps<{
  /** To its mark; null where it is not known, and what is in it stands for the whole. */
  capacityMl: number | null;
  onHandMl: number;
  colour: string;
  /** What one unit of the graduations is, mL. */
  perUnitMl: number;
  text: string;
}>();

const PX_PER_MM = 0.72;
const WIDTH = 168;
/** What graduations and their figures take at the left. */
const SCALE_WIDTH = 42;
const brimMl = computed(() => props.capacityMl ?? Math.max(500, props.onHandMl));
const shape = computed(() => {
  const slim = 1.25;
  const heightMm = slim * 2 * Math.cbrt((brimMl.value * 1000) / (2 * Math.PI * slim));
  return vesselShape({ brimMl: brimMl.value, heightMm, taper: TAPER.jug });
});
const half = (WIDTH - SCALE_WIDTH - 4) / 2;
const scale = computed(() => Math.min(PX_PER_MM, half / shape.value.topRadiusMm));
const height = computed(() => shape.value.heightMm * scale.value + 16);
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" :width="WIDTH" role="img" :aria-label="text">
    <VesselOutline
      :shape
      :x="SCALE_WIDTH + half"
      :floor="height - 8"
      :scale
      ticks-side="left"
      :per-unit-ml
      :layers="[{ volumeMl: onHandMl, colour, grounds: false }]"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
  height: auto;
}
</style>
