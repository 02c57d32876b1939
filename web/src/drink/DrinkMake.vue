<script setup lang="ts">
import {
  GLASSES,
  SERVES,
  STARTING_DRINKS,
  type Drink,
  type DrinkSolution,
  type Serve,
} from '@ratio/core/drink';
import type { Ingredient, MadeRecipe } from '@ratio/core/pantry';
import type { Shop } from '@ratio/core/shop';
import type { OwnMeasure } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import DrinkIce from './DrinkIce.vue';
import DrinkIngredients from './DrinkIngredients.vue';
import KeepRow from './KeepRow.vue';
import TargetRow from './TargetRow.vue';
import { numberKind, priceKind, tempKind, volumeKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, PickRow, TextRow } from '../ui/fields/index.ts';

/** What a drink is made of: glass, ice, ingredients, target, how it is served, what it sells for. */
const props = defineProps<{
  /** Prices are the lead’s. */
  mayPrice: boolean;
  drink: Drink;
  solution: DrinkSolution;
  isNew: boolean;
  /** What is changed and not kept; null where it is as the menu has it. */
  changes: readonly string[] | null;
  keeping: boolean;
  jugFrac: number;
  made: readonly MadeRecipe[];
  ingredients: readonly Ingredient[];
  rooms: { fridgeC: number; roomC: number };
  bar: Shop['bar'];
  format: AmountFormat;
}>();
const emit = defineEmits<{
  change: [change: Partial<Drink>];
  aim: [target: { strengthFrac?: number; atMinutes?: number }];
  usual: [];
  keep: [forWhom: string];
  remove: [];
}>();

const change = (over: Partial<Drink>): void => emit('change', over);

/** Another kind of serve, under the name that it has already where it has one. */
function beginAs(name: string): void {
  const start = STARTING_DRINKS.find((one) => one.name === name);
  if (start) change({ ...start.drink, name: isNamed.value ? props.drink.name : start.name });
}
const isNamed = computed(
  () =>
    props.drink.name !== 'New drink' &&
    !STARTING_DRINKS.some(({ name }) => name === props.drink.name),
);

const GLASS_OPTIONS = GLASSES.map((value) => ({ value, label: value }));
const SERVE_NAMES: Readonly<Record<Serve, { label: string; reason: string }>> = {
  built: { label: 'built in its glass', reason: 'each one as it is ordered' },
  siphon: { label: 'charged with nitrogen', reason: 'diluted first, cold, no ice in the siphon' },
  keg: { label: 'from a keg', reason: 'diluted for all, drawn over the ice' },
};
const SERVE_OPTIONS = SERVES.map((value) => ({ value, ...SERVE_NAMES[value] }));
const BEFORE_OPTIONS = [
  { value: 'as-is', label: 'as it is', reason: 'poured over the ice at once' },
  { value: 'chilled', label: 'chilled', reason: 'in the fridge or over an ice bath; melts least' },
  {
    value: 'stirred',
    label: 'shaken or stirred down',
    reason: 'melts all that it can, then holds',
  },
  {
    value: 'layered',
    label: 'in layers',
    reason: 'not stirred: the first sips come from the top one',
  },
] as const;

/** What the bar counts in. */
const measures = computed<OwnMeasure[]>(() => [
  { name: 'pump', quantity: 'volume', canonical: props.bar.pumpMl },
  { name: 'spoon', quantity: 'volume', canonical: props.bar.spoonMl },
]);
const before = computed(() =>
  props.drink.layered
    ? 'layered'
    : props.drink.stirredDown
      ? 'stirred'
      : props.drink.chilledToC === null
        ? 'as-is'
        : 'chilled',
);
const setBefore = (value: (typeof BEFORE_OPTIONS)[number]['value']): void =>
  change({
    layered: value === 'layered',
    stirredDown: value === 'stirred',
    chilledToC: value === 'chilled' ? 2 : null,
  });
</script>

<template>
  <section class="make" aria-label="What is in this drink">
    <PickRow
      v-if="isNew"
      label="Begin as"
      :model-value="''"
      :options="STARTING_DRINKS.map(({ name, reason }) => ({ value: name, label: name, reason }))"
      @update:model-value="beginAs"
    />
    <TextRow
      label="Name"
      name="Name of the drink"
      needed
      :value="drink.name"
      @change="change({ name: $event })"
    />
    <TargetRow
      :target="drink.target"
      :cup-ml="drink.cupMl"
      :solution
      :format
      @change="(target) => change({ target })"
      @aim="emit('aim', $event)"
    />
    <div class="grid">
      <PickRow
        label="Glass"
        name="Kind of glass"
        :options="GLASS_OPTIONS"
        :model-value="drink.glass"
        @update:model-value="change({ glass: $event })"
      />
      <AmountRow
        label="To the fill line"
        :value="drink.cupMl"
        :kind="volumeKind(format, { step: 10, min: 30, max: 20000 })"
        @change="(cupMl) => change({ cupMl })"
      />
      <AmountRow
        label="Shared by"
        name="How many share it"
        :value="drink.servings"
        :kind="numberKind({ step: 1, min: 1, max: 50 })"
        @change="(n) => change({ servings: Math.round(n) })"
      />
      <DrinkIce
        :ice="drink.ice"
        :ice-g="solution.iceG"
        :jug-frac
        :made
        :format
        @change="(ice) => change({ ice })"
      />
      <PickRow
        label="Before the ice"
        :class="{ wide: drink.chilledToC === null }"
        :options="BEFORE_OPTIONS"
        :model-value="before"
        @update:model-value="setBefore"
      />
      <AmountRow
        v-if="drink.chilledToC !== null"
        label="Chilled to"
        :value="drink.chilledToC"
        :kind="tempKind(format, { step: 1, min: 0, max: 20 })"
        @change="(tempC) => change({ chilledToC: tempC })"
      />
    </div>
    <DrinkIngredients :drink :solution :ingredients :measures :rooms :format @change="change" />
    <div class="grid sold">
      <PickRow
        label="Served"
        name="How it is served"
        :options="SERVE_OPTIONS"
        :model-value="drink.serve"
        @update:model-value="change({ serve: $event })"
      />
      <AmountRow
        v-if="mayPrice"
        label="Price"
        :value="drink.price"
        :kind="priceKind({ max: 1000 })"
        @change="(price) => change({ price })"
      />
      <AmountRow
        label="Sold in a week"
        :value="drink.weekCount"
        :kind="numberKind({ step: 1, min: 0, max: 100000 })"
        @change="(n) => change({ weekCount: Math.round(n) })"
      />
    </div>
    <KeepRow
      v-if="changes"
      class="keep"
      :changes
      :is-new
      :keeping
      @usual="emit('usual')"
      @keep="emit('keep', $event)"
    />
    <ElButton v-if="!isNew" text class="off" @click="emit('remove')">Take it off the menu</ElButton>
  </section>
</template>

<style scoped>
.make {
  padding: 0 24px 20px;
}

.grid {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0 16px;
}

.sold {
  grid-template-columns: 2.2fr 1fr 1.4fr;
}

.wide {
  grid-column: span 2;
}

.grid :deep(.el-input__inner) {
  font-size: var(--t18);
}

.make > :deep(.parts) {
  margin-top: 10px;
}

.keep {
  margin-top: 12px;
}

.off {
  margin: 12px 0 0 -18px;
}
</style>
