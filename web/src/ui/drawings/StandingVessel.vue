<script setup lang="ts">
import { computed } from 'vue';
import VesselOutline from './VesselOutline.vue';
import { TAPER, vesselShape, type VesselKind } from './vesselShape.ts';

/** A vessel as it steeps, to one scale with the others of its page: grounds on the liquid, as dark as it is now. */
const props = defineProps<{
  vessel: { brimMl: number; heightMm: number; kind: VesselKind };
  slurryMl: number;
  /** Wet, swollen grounds, mL. */
  bedMl: number;
  colour: string;
  perUnitMl: number;
  text: string;
}>();

const PX_PER_MM = 0.62;
const WIDTH = 210;
const shape = computed(() => vesselShape({ ...props.vessel, taper: TAPER[props.vessel.kind] }));
const height = computed(() => shape.value.heightMm * PX_PER_MM + 18);
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" :width="WIDTH" :height role="img" :aria-label="text">
    <VesselOutline
      :shape
      :x="WIDTH / 2 + 8"
      :floor="height - 8"
      :scale="PX_PER_MM"
      ticks-side="left"
      :per-unit-ml
      :layers="[
        { volumeMl: Math.max(0, slurryMl - bedMl), colour, grounds: false },
        { volumeMl: Math.min(slurryMl, bedMl), colour, grounds: true },
      ]"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
</style>
