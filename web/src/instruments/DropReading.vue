<script setup lang="ts">
import { brixAt20, readingWarnings, strengthOfBrix, type Sample } from '@ratio/core/instruments';
import { computed, ref } from 'vue';
import type { AmountFormat } from '../format/index.ts';
import { PickButtons } from '../ui/fields/index.ts';

/** What a drop on the refractometer says: a coffee strength, and of nothing but coffee. */
const props = defineProps<{
  sample: Sample | null;
  /** Coffee strength, %, of a degree Brix. */
  brixToStrength: number;
  format: AmountFormat;
}>();

const DROPS = [
  { value: 'filtered', text: 'coffee, filtered' },
  { value: 'cloudy', text: 'coffee as it is' },
  { value: 'mixed', text: 'a drink with milk or sugar' },
] as const;
const drop = ref<(typeof DROPS)[number]['value']>('filtered');
const warnings = computed(() =>
  readingWarnings({
    sampleC: props.sample?.sampleC ?? null,
    isFiltered: drop.value === 'filtered',
    isPlainCoffee: drop.value !== 'mixed',
  }),
);
const strength = computed(() => {
  const { brix = null, sampleC = null } = props.sample ?? {};
  if (brix === null || drop.value === 'mixed') return '';
  const at20 = brixAt20({ brix, sampleC });
  return props.format.percent(strengthOfBrix({ brix: at20, factor: props.brixToStrength }));
});
</script>

<template>
  <div class="drop" role="status">
    <PickButtons
      :model-value="drop"
      label="What the drop is of"
      :options="DROPS"
      @update:model-value="$event && (drop = $event)"
    />
    <p v-if="strength !== ''">
      Coffee strength <strong class="figures">{{ strength }}</strong>
    </p>
    <p v-for="warning in warnings" :key="warning" class="due">{{ warning }}</p>
  </div>
</template>

<style scoped>
.drop {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}

.drop p {
  max-width: 46rem;
}
</style>
