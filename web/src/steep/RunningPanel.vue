<script setup lang="ts">
import type { RunningSteep } from '@ratio/core/batch';
import { percentFigure } from '@ratio/core/units';
import { computed } from 'vue';
import { clockTime, fromNow, hourTime, type AmountFormat } from '../format/index.ts';
import { RunningChart } from '../ui/charts/index.ts';
import { BigFigure } from '../ui/figures/index.ts';

/** How a steep goes: what it will be, what it was planned to be, and what would mend it. */
const props = defineProps<{
  running: RunningSteep;
  plannedFrac: number;
  plannedMl: number;
  nowMs: number;
  zone: string;
  format: AmountFormat;
  hands: readonly { atMs: number; text: string }[];
  nights: readonly { fromHours: number; toHours: number }[];
  isOver: boolean;
}>();

const HOUR_MS = 3_600_000;
/** Of what was planned; what drains a little more or less is no news. */
const LEAST_LESS = 0.03;
const hoursOf = (atMs: number): number => (atMs - props.running.beganMs) / HOUR_MS;
const atClock = (atMs: number): string => clockTime({ at: new Date(atMs), zone: props.zone });
/** What is strained is corrected in its jug. */
const mendTexts = computed(() =>
  (props.isOver ? [] : props.running.mends).map((mend) => {
    if (mend.way === 'strain-at') {
      const instead = hourTime({ at: new Date(props.running.endMs), zone: props.zone });
      return `Strain ${atClock(mend.atMs)} instead of ${instead}.`;
    }
    if (mend.way === 'thin') return `Thin what comes out with ${props.format.mass(mend.massG)}.`;
    return `Twelve hours more make it ${props.format.percent(mend.bestFrac, 1)}: pour more of it into each drink.`;
  }),
);
/** Less comes out than was planned: nobody need find that out at the strain. */
const lessText = computed(() => {
  const lessMl = props.plannedMl - props.running.atEnd.brewMl;
  return lessMl > LEAST_LESS * props.plannedMl
    ? `${props.format.volume(lessMl)} less than planned ${props.isOver ? 'came' : 'comes'} out.`
    : '';
});
const offText = computed(() => {
  const { strengthFrac } = props.running.atEnd;
  const off = strengthFrac / props.plannedFrac - 1;
  if (props.running.mends.length === 0) return 'As planned.';
  return `${off > 0 ? 'Stronger' : 'Weaker'} than the planned ${props.format.percent(props.plannedFrac, 1)}.`;
});
const drawnFrac = computed(() => {
  const { curve, endMs } = props.running;
  const end = hoursOf(endMs);
  return curve.findLast(({ hours }) => hours <= end)?.strengthFrac ?? 0;
});
</script>

<template>
  <section class="running" aria-label="How it goes">
    <div class="figures-row">
      <BigFigure
        :label="isOver ? 'It came to' : `At ${atClock(running.endMs)}`"
        :figure="percentFigure(running.atEnd.strengthFrac)"
        unit="%"
        size="middle"
      >
        {{ percentFigure(running.atEnd.range.strengthFrac.low) }} to
        {{ percentFigure(running.atEnd.range.strengthFrac.high) }} %,
        {{ format.volume(running.atEnd.brewMl) }}
      </BigFigure>
      <BigFigure
        v-if="!isOver"
        label="Now"
        :figure="percentFigure(running.strengthNowFrac)"
        unit="%"
        size="middle"
      >
        {{ format.temp(running.tempNowC) }} in it,
        {{ fromNow({ at: new Date(running.endMs), now: new Date(nowMs) }) }}
      </BigFigure>
      <div class="mends">
        <p :class="{ due: running.mends.length > 0 }">{{ offText }} {{ lessText }}</p>
        <p v-for="text in mendTexts" :key="text">
          <strong>{{ text }}</strong>
        </p>
        <p v-for="reading in running.readings" :key="reading.hours" class="soft">
          Read {{ format.percent(reading.strengthFrac) }} after {{ reading.hours.toFixed(1) }} h{{
            Math.abs(reading.surprise) > 2 ? ', far from what was expected: read it again' : ''
          }}.
        </p>
      </div>
    </div>
    <RunningChart
      :curve="running.curve"
      :planned="running.planned"
      :now-hours="isOver ? null : hoursOf(nowMs)"
      :end-hours="hoursOf(running.endMs)"
      :end-strength-frac="drawnFrac"
      :low="running.atEnd.range.strengthFrac.low"
      :high="running.atEnd.range.strengthFrac.high"
      :readings="running.readings"
      :hands="hands.map(({ atMs, text }) => ({ hours: hoursOf(atMs), text }))"
      :nights
      :clock-at="(hours) => atClock(running.beganMs + hours * HOUR_MS)"
    />
  </section>
</template>

<style scoped>
.running {
  display: grid;
  gap: 10px;
  min-width: 0;
}

.figures-row {
  display: grid;
  grid-template-columns: auto auto minmax(180px, 1fr);
  gap: 10px 32px;
}

.mends {
  display: grid;
  align-content: start;
  gap: 4px;
}

@media (max-width: 560px) {
  .figures-row {
    grid-template-columns: 1fr 1fr;
  }

  .mends {
    grid-column: 1 / -1;
  }
}
</style>
