<script setup lang="ts">
import { ladderScale as x } from './ladderScale.ts';

/** One drink on the ladder of strengths: how far it is to go, and how far it comes. */
defineProps<{ wantedFrac: number; reachedFrac: number; short: boolean }>();
</script>

<template>
  <svg class="rung" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
    <line x1="0" x2="100" y1="5" y2="5" />
    <line class="wanted" :x1="x(wantedFrac)" :x2="x(wantedFrac)" y1="0" y2="10" />
    <line class="reached" :class="{ short }" x1="0" :x2="x(reachedFrac)" y1="5" y2="5" />
  </svg>
</template>

<style scoped>
.rung {
  display: block;
  width: 100%;
  height: 8px;
}

.rung line {
  stroke: var(--hairline-strong);
  vector-effect: non-scaling-stroke;
}

.rung .reached {
  stroke: var(--action);
  stroke-width: 3;
}

.rung .short {
  stroke: var(--due-mark);
  stroke-dasharray: 4 3;
}

.rung .wanted {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
