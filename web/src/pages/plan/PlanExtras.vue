<script setup lang="ts">
import PickButtons from '../../components/fields/PickButtons.vue';
import type { Alternative } from './useExtras.ts';

/** Small things that the bench asks of a plan. */
defineProps<{
  rounded: string;
  /** The coffee in whole scoops and bags. */
  measured: readonly { text: string }[];
  split: string;
  nearlyDone: string;
  byDay: string;
  compareWith: Alternative | null;
}>();
const emit = defineEmits<{
  round: [];
  measure: [i: number];
  scale: [factor: number];
  compareWith: [which: Alternative | null];
  why: [number: 'level' | 'retained'];
}>();

const ALTERNATIVES: readonly { value: Alternative; text: string }[] = [
  { value: 'coarser', text: 'coarser' },
  { value: 'finer', text: 'finer' },
  { value: 'elsewhere', text: 'in the other place' },
];
</script>

<template>
  <div class="extras">
    <p v-if="split" class="due">{{ split }}</p>
    <p v-if="byDay">{{ byDay }}</p>
    <p>
      {{ nearlyDone }} Compare with
      <PickButtons
        label="Compare with"
        look="link"
        :options="ALTERNATIVES"
        :model-value="compareWith"
        @update:model-value="emit('compareWith', compareWith === $event ? null : $event)"
      />
    </p>
    <p>
      <button v-if="rounded" type="button" class="text-button" @click="emit('round')">
        {{ rounded }}
      </button>
      Round the coffee to
      <button
        v-for="(one, i) in measured"
        :key="one.text"
        type="button"
        class="text-button"
        @click="emit('measure', i)"
      >
        {{ one.text }}
      </button>
    </p>
    <p>
      The whole batch
      <button type="button" class="text-button" @click="emit('scale', 0.5)">halved</button>
      <button type="button" class="text-button" @click="emit('scale', 2)">doubled</button>
      Why
      <button type="button" class="text-button" @click="emit('why', 'level')">the level</button>
      <button type="button" class="text-button" @click="emit('why', 'retained')">
        what the grounds retain
      </button>
    </p>
  </div>
</template>

<style scoped>
.extras {
  padding: 2px 10px 6px;
  color: var(--ink-soft);
  font-size: var(--t13);
}
</style>
