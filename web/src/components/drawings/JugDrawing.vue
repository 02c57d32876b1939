<script setup lang="ts">
import { computed } from 'vue';
import VesselOutline from './VesselOutline.vue';
import { TAPER, vesselShape } from './vesselShape.ts';

/** A jug with what is in it; all jugs of a page are drawn to one scale. */
const props = defineProps<{
  /** To its mark; null where it is not known, and what is in it stands for the whole. */
  capacityMl: number | null;
  onHandMl: number;
  colour: string;
  text: string;
}>();

const PX_PER_MM = 0.58;
const FLOOR = 128;
const brimMl = computed(() => props.capacityMl ?? Math.max(500, props.onHandMl));
const shape = computed(() => {
  const slim = 1.25;
  const heightMm = slim * 2 * Math.cbrt((brimMl.value * 1000) / (2 * Math.PI * slim));
  return vesselShape({ brimMl: brimMl.value, heightMm, taper: TAPER.jug });
});
</script>

<template>
  <svg viewBox="0 0 126 132" role="img" :aria-label="text">
    <VesselOutline
      :shape
      :x="70"
      :floor="FLOOR"
      :scale="PX_PER_MM"
      ticks-side="left"
      :per-unit-ml="1000"
      plain
      :layers="[{ volumeMl: onHandMl, colour, grounds: false }]"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 126px;
}
</style>
