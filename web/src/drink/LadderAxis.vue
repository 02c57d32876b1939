<script setup lang="ts">
import { ladderScale, ladderTicks } from './ladderScale.ts';

/** The graduations over the ladder of strengths, in per cent. */
</script>

<template>
  <div class="axis figures" aria-hidden="true">
    <span v-for="frac in ladderTicks" :key="frac" :style="{ left: `${ladderScale(frac)}%` }">
      {{ 100 * frac }}
    </span>
  </div>
</template>

<style scoped>
.axis {
  position: relative;
  height: 22px;
  color: var(--ink-soft);
  font-size: 0.75rem;
  font-weight: 400;
}

.axis span {
  position: absolute;
  bottom: 0;
  translate: -50% 0;
  padding-bottom: 5px;
  line-height: 1;
}

.axis span::after {
  position: absolute;
  bottom: -4px;
  left: 50%;
  height: 6px;
  border-left: 1px solid var(--ink-soft);
  content: '';
}
</style>
