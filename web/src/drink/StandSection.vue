<script setup lang="ts">
import { CONSTANTS } from '@ratio/core/constants';
import { drinkingWindowOf, type DrinkPoint, type SolvedDrink } from '@ratio/core/drink';
import { computed, ref, watch } from 'vue';
import type { AmountFormat } from '../format/index.ts';
import { onPhone } from '../ui/browser/index.ts';
import { StandChart } from '../ui/charts/index.ts';
import { FoldAway } from '../ui/figures/index.ts';

/** How the drink stands while its ice melts. */
const props = defineProps<{
  drinkId: string;
  solved: SolvedDrink;
  /** Minute at which it is to have its strength. */
  minute: number;
  ownIceName: string;
  otherIce: { name: string; timeline: readonly DrinkPoint[] } | null;
  /** Lines that the build takes beyond three: the chart leaves them its height. */
  extraLines: number;
  format: AmountFormat;
}>();
const emit = defineEmits<{ minute: [minute: number] }>();

const lastSip = CONSTANTS.lastSipMinutes.value;
const timeline = computed(() => props.solved.solution.timeline());
/** Where a drink comes out of reach, what would reach it has the room of the chart; not while it is changed. */
const isFolded = ref(false);
watch(
  () => props.drinkId,
  () => (isFolded.value = props.solved.solution.status !== 'met'),
  { immediate: true },
);
/**
 * What a build of three takes leaves this to the chart; each line more is its own height lower. On a phone it
 * stands below all that, and has its height.
 */
const CHART = { height: 164, least: 86, line: 32 } as const;
const isPhone = onPhone();
const height = computed(() =>
  isPhone.value
    ? CHART.height
    : Math.max(CHART.least, CHART.height - Math.max(0, props.extraLines) * CHART.line),
);
</script>

<template>
  <FoldAway v-if="timeline.length > 0" title="While the ice melts" :always="isFolded">
    <div class="room" :style="{ '--chart': height }">
      <StandChart
        :timeline
        :other="otherIce"
        :own-name="ownIceName"
        :window="drinkingWindowOf(solved)"
        :minute
        :last-sip-minutes="lastSip"
        :height
        :format
        @minute="emit('minute', $event)"
      />
    </div>
  </FoldAway>
</template>

<style scoped>
/* The chart’s row of views and its drawing, before they are there. */
@media (min-width: 641px) {
  .room {
    min-height: calc(32px + 100cqi * var(--chart) / 440);
  }
}
</style>
