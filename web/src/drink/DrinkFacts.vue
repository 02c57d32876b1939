<script setup lang="ts">
import { percentFigure } from '@ratio/core/units';
import type { ExplainedOfDrink } from '@ratio/core/drink';
import { computed } from 'vue';
import { countText } from '../format/index.ts';
import { AskedFigure, BigFigure } from '../ui/figures/index.ts';

/** What the drink holds and what it comes to, each glass or each share. */
const props = defineProps<{
  caffeineMg: number;
  energyKcal: number;
  sugarG: number;
  alcoholFrac: number;
  cost: string;
  price: string;
  margin: string;
  /** Names of ingredients whose price is not known. */
  unpriced: readonly string[];
  allergens: readonly string[];
  servings: number;
  left: number;
}>();
const emit = defineEmits<{ why: [number: ExplainedOfDrink] }>();

interface Fact {
  readonly label: string;
  readonly figure: string;
  readonly unit: string;
  /** What explains it, where something does. */
  readonly why?: ExplainedOfDrink;
}
const facts = computed<Fact[]>(() => [
  { label: 'Caffeine', figure: props.caffeineMg.toFixed(0), unit: 'mg', why: 'caffeine' },
  { label: 'Energy', figure: props.energyKcal.toFixed(0), unit: 'kcal', why: 'energy' },
  { label: 'Sugar', figure: props.sugarG.toFixed(1), unit: 'g' },
  ...(props.alcoholFrac > 0
    ? [{ label: 'Alcohol', figure: percentFigure(props.alcoholFrac, 1), unit: '% vol' }]
    : []),
  { label: 'Cost', figure: props.cost, unit: '', why: 'cost' },
  { label: 'Price', figure: props.price, unit: props.margin },
  { label: 'In the jug', figure: countText(props.left), unit: 'left' },
]);
</script>

<template>
  <div class="facts">
    <template v-for="{ why, ...fact } in facts" :key="fact.label">
      <AskedFigure v-if="why" v-bind="fact" @why="emit('why', why)" />
      <BigFigure v-else size="small" v-bind="fact" />
    </template>
  </div>
  <p class="fine">
    <template v-if="servings > 1">Each of {{ servings }} servings. </template>
    <strong>Contains</strong> {{ allergens.join(', ') || 'none of the listed allergens' }}.
    <span v-if="unpriced.length > 0" class="soft">
      Without a price on the shelf: {{ unpriced.join(', ') }}.</span
    >
  </p>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 2px 15px;
}

.facts :deep(.number) {
  font-size: 1.125rem;
}

.facts :deep(h2) {
  white-space: nowrap;
}

.fine {
  font-size: var(--t13);
}
</style>
