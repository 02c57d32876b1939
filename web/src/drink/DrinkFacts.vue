<script setup lang="ts">
import { percentFigure } from '@ratio/core/units';
import type { Drink, DrinkCost, ExplainedOfDrink, SolvedDrink } from '@ratio/core/drink';
import { computed } from 'vue';
import { costText, countText, type AmountFormat } from '../format/index.ts';
import { AskedFigure, BigFigure } from '../ui/figures/index.ts';

/** What the drink holds and what it comes to, each glass or each share. */
const props = defineProps<{
  drink: Drink;
  solved: SolvedDrink;
  cost: DrinkCost | null;
  /** What is left of the price; empty where a cost is not known. */
  margin: string;
  /** How many of it the jug still holds. */
  left: number;
  format: AmountFormat;
}>();
const emit = defineEmits<{ why: [number: ExplainedOfDrink] }>();

interface Fact {
  readonly label: string;
  readonly figure: string;
  readonly unit: string;
  /** What explains it, where something does. */
  readonly why?: ExplainedOfDrink;
}
const each = (amount: number, digits: number): string =>
  (amount / props.drink.servings).toFixed(digits);
const facts = computed<Fact[]>(() => {
  const { drink, cost, margin, left, format } = props;
  const { caffeineMg, energyKcal, sugarG, alcoholFrac } = props.solved.solution;
  return [
    { label: 'Caffeine', figure: each(caffeineMg, 0), unit: 'mg', why: 'caffeine' },
    { label: 'Energy', figure: each(energyKcal, 0), unit: 'kcal', why: 'energy' },
    { label: 'Sugar', figure: each(sugarG, 1), unit: 'g' },
    ...(alcoholFrac > 0
      ? [{ label: 'Alcohol', figure: percentFigure(alcoholFrac, 1), unit: '% vol' }]
      : []),
    { label: 'Cost', figure: cost ? costText(cost, format.money) : '–', unit: '', why: 'cost' },
    { label: 'Price', figure: format.money(drink.price), unit: margin },
    { label: 'In the jug', figure: countText(left), unit: 'left' },
  ];
});
/** Ingredients whose price is not known. */
const unpriced = computed(() => props.cost?.unknown ?? []);
</script>

<template>
  <div class="facts">
    <template v-for="{ why, ...fact } in facts" :key="fact.label">
      <AskedFigure v-if="why" v-bind="fact" @why="emit('why', why)" />
      <BigFigure v-else size="small" v-bind="fact" />
    </template>
  </div>
  <p class="fine">
    <template v-if="drink.servings > 1">Each of {{ drink.servings }} servings. </template>
    <strong>Contains</strong> {{ solved.allergens.join(', ') || 'none of the listed allergens' }}.
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
