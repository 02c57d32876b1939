<script setup lang="ts">
import {
  GLASSES,
  SERVES,
  STARTING_DRINKS,
  type Drink,
  type OwnMeasure,
  type Serve,
} from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import TextField from '../../field/TextField.vue';
import DrinkIce from './DrinkIce.vue';
import DrinkParts from './DrinkParts.vue';
import KeepRow from './KeepRow.vue';
import TargetRow from './TargetRow.vue';
import type { usePour } from './usePour.ts';

/** What a drink is made of: glass, ice, parts, target, how it is served, what it sells for. */
const props = defineProps<{ pour: ReturnType<typeof usePour> }>();

const { hand, words, pantry, jugs, shelf } = props.pour;
const drink = computed(() => props.pour.drink.value!);
const solution = computed(() => props.pour.solution.value!);
const change = (part: Partial<Drink>): void => hand.change(part);

/** Another kind of serve, under the name that it has already where it has one. */
function beginAs(name: string): void {
  const start = STARTING_DRINKS.find((one) => one.name === name);
  if (start) change({ ...start.drink, name: isNamed.value ? drink.value.name : start.name });
}
const isNamed = computed(
  () =>
    drink.value.name !== 'New drink' &&
    !STARTING_DRINKS.some(({ name }) => name === drink.value.name),
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
] as const;

/** What the bar counts in. */
const measures = computed<OwnMeasure[]>(() => {
  const bar = shelf.shop?.bar;
  if (!bar) return [];
  return [
    { name: 'pump', quantity: 'volume', canonical: bar.pumpMl },
    { name: 'spoon', quantity: 'volume', canonical: bar.spoonMl },
  ];
});

const before = computed(() =>
  drink.value.stirredDown ? 'stirred' : drink.value.chilledToC === null ? 'as-is' : 'chilled',
);
const setBefore = (value: 'as-is' | 'chilled' | 'stirred'): void =>
  change({ stirredDown: value === 'stirred', chilledToC: value === 'chilled' ? 2 : null });
</script>

<template>
  <section class="make" aria-label="What is in this drink">
    <ChoiceRow v-if="hand.isNew.value" label="Begin as">
      <ChoiceField
        label="Begin as"
        :model-value="''"
        :options="STARTING_DRINKS.map(({ name, reason }) => ({ value: name, label: name, reason }))"
        @update:model-value="beginAs"
      />
    </ChoiceRow>
    <ChoiceRow label="Name">
      <TextField
        label="Name of the drink"
        needed
        :value="drink.name"
        @change="change({ name: $event })"
      />
    </ChoiceRow>
    <TargetRow :pour="pour" />
    <div class="grid">
      <ChoiceRow label="Glass">
        <ChoiceField
          label="Kind of glass"
          :options="GLASS_OPTIONS"
          :model-value="drink.glass"
          @update:model-value="change({ glass: $event })"
        />
      </ChoiceRow>
      <ChoiceRow label="To the fill line">
        <AmountField
          label="To the fill line"
          :value="drink.cupMl"
          :accepts="['volume']"
          :plain-unit="words.plainVolume.value"
          :write="words.volume"
          :step="10"
          :min="30"
          :max="20000"
          limit-text="Between 30 mL and 20 L."
          @change="(cupMl) => change({ cupMl })"
        />
      </ChoiceRow>
      <ChoiceRow label="Shared by">
        <AmountField
          label="How many share it"
          :value="drink.shares"
          :accepts="['ratio']"
          :write="(n) => n.toFixed(0)"
          :step="1"
          :min="1"
          :max="50"
          limit-text="Between 1 and 50."
          @change="(n) => change({ shares: Math.round(n) })"
        />
      </ChoiceRow>
      <DrinkIce
        :ice="drink.ice"
        :ice-g="solution.iceG"
        :jug-frac="jugs.chosen?.strengthFrac ?? 0"
        :made="Object.values(pantry.resolved.made)"
        :words="words"
        @change="(ice) => change({ ice })"
      />
      <ChoiceRow label="Before the ice" :class="{ wide: drink.chilledToC === null }">
        <ChoiceField
          label="Before the ice"
          :options="BEFORE_OPTIONS"
          :model-value="before"
          @update:model-value="setBefore"
        />
      </ChoiceRow>
      <ChoiceRow v-if="drink.chilledToC !== null" label="Chilled to">
        <AmountField
          label="Chilled to"
          :value="drink.chilledToC"
          :accepts="['temperature']"
          :write="words.temp"
          :step="1"
          :min="0"
          :max="20"
          limit-text="Between 0 and 20 °C."
          @change="(tempC) => change({ chilledToC: tempC })"
        />
      </ChoiceRow>
    </div>
    <DrinkParts
      :drink="drink"
      :solution="solution"
      :ingredients="pantry.all"
      :measures="measures"
      :words="words"
      @change="change"
    />
    <div class="grid sold">
      <ChoiceRow label="Served">
        <ChoiceField
          label="How it is served"
          :options="SERVE_OPTIONS"
          :model-value="drink.serve"
          @update:model-value="change({ serve: $event })"
        />
      </ChoiceRow>
      <ChoiceRow label="Price">
        <AmountField
          label="Price"
          :value="drink.price"
          :accepts="['ratio']"
          :write="(price) => price.toFixed(2)"
          :step="0.1"
          :min="0"
          :max="1000"
          limit-text="Between 0 and 1000."
          @change="(price) => change({ price })"
        />
      </ChoiceRow>
      <ChoiceRow label="Sold in a week">
        <AmountField
          label="Sold in a week"
          :value="drink.weekCount"
          :accepts="['ratio']"
          :write="(n) => n.toFixed(0)"
          :step="1"
          :min="0"
          :max="100000"
          limit-text="Between 0 and 100 000."
          @change="(n) => change({ weekCount: Math.round(n) })"
        />
      </ChoiceRow>
    </div>
    <KeepRow
      v-if="hand.edited.value"
      class="keep"
      :changes="hand.changes.value"
      :is-new="hand.isNew.value"
      :keeping="hand.keeping.value"
      @usual="hand.asUsual"
      @keep="hand.keep"
    />
    <ElButton v-if="!hand.isNew.value" text class="off" @click="hand.remove"
      >Take it off the menu</ElButton
    >
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
