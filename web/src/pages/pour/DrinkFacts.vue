<script setup lang="ts">
import BigFigure from '../../figure/BigFigure.vue';

/** What the drink holds and what it comes to, each glass or each share. */
defineProps<{
  caffeineMg: number;
  energyKcal: number;
  sugarG: number;
  alcoholFrac: number;
  cost: string;
  price: string;
  margin: string;
  /** Names of parts whose price is not known. */
  unpriced: readonly string[];
  allergens: readonly string[];
  shares: number;
  left: number;
}>();
</script>

<template>
  <div class="facts">
    <BigFigure label="Caffeine" size="small" :figure="caffeineMg.toFixed(0)" unit="mg" />
    <BigFigure label="Energy" size="small" :figure="energyKcal.toFixed(0)" unit="kcal" />
    <BigFigure label="Sugar" size="small" :figure="sugarG.toFixed(1)" unit="g" />
    <BigFigure
      v-if="alcoholFrac > 0"
      label="Alcohol"
      size="small"
      :figure="(100 * alcoholFrac).toFixed(1)"
      unit="% vol"
    />
    <BigFigure label="Cost" size="small" :figure="cost" unit="" />
    <BigFigure label="Price" size="small" :figure="price" :unit="margin" />
    <BigFigure label="In the jug" size="small" :figure="String(left)" unit="left" />
  </div>
  <p class="fine">
    <template v-if="shares > 1">Each of {{ shares }} shares. </template>
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
