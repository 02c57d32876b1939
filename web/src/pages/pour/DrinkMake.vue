<script setup lang="ts">
import { GLASSES, ICE_KINDS, SERVES, type Drink, type IceKind, type Serve } from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import TextField from '../../field/TextField.vue';
import DrinkParts from './DrinkParts.vue';
import TargetRow from './TargetRow.vue';
import type { usePour } from './usePour.ts';

/** What a drink is made of: glass, ice, parts, target, how it is served, what it sells for. */
const props = defineProps<{ pour: ReturnType<typeof usePour> }>();

const { hand, words, pantry, jugs } = props.pour;
const drink = computed(() => props.pour.drink.value!);
const solution = computed(() => props.pour.solution.value!);
const change = (part: Partial<Drink>): void => hand.change(part);

const GLASS_OPTIONS = GLASSES.map((value) => ({ value, label: value }));
const ICE_REASONS: Readonly<Record<IceKind | 'none', string>> = {
  none: 'straight, hot or from the siphon',
  cubes: 'melts slowly enough for a long drink',
  crushed: 'cold at once, thins at once',
  large: 'one piece, thins least',
};
const ICE_OPTIONS = (['none', ...ICE_KINDS] as const).map((value) => ({
  value,
  label: value === 'none' ? 'no ice' : value === 'large' ? 'large pieces' : value,
  reason: ICE_REASONS[value],
}));
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

const plain = { massG: 150, tempC: -2, coffeeFrac: 0, kind: 'cubes' as const };
const iceKind = computed(() => drink.value.ice?.kind ?? 'none');
const iceG = computed(() => solution.value.iceG);
function setIceKind(kind: IceKind | 'none'): void {
  if (kind === 'none') return change({ ice: null });
  change({ ice: { ...(drink.value.ice ?? plain), kind } });
}
const iceParts = computed(() =>
  Object.values(pantry.resolved.made).filter(
    ({ ingredient, strengthFrac }) => ingredient.kind === 'coffee' && strengthFrac > 0,
  ),
);
const iceIs = computed(() => {
  const { ice } = drink.value;
  if (!ice) return 'water';
  return ice.part ?? (ice.coffeeFrac > 0 ? 'jug' : 'water');
});
const iceOptions = computed(() => [
  { value: 'water', label: 'water', reason: 'thins the drink' },
  {
    value: 'jug',
    label: `coffee of ${words.pct(drink.value.ice?.coffeeFrac || (jugs.chosen?.strengthFrac ?? 0))}`,
    reason: 'frozen out of the jug; the drink grows stronger',
  },
  ...iceParts.value.map(({ ingredient, strengthFrac }) => ({
    value: ingredient.id,
    label: `${ingredient.name}, ${words.pct(strengthFrac)}`,
    reason: 'made by the house',
  })),
]);
function setIceIs(value: string): void {
  const { ice } = drink.value;
  if (!ice) return;
  const { part: _, ...rest } = ice;
  const coffeeFrac = value === 'jug' ? (jugs.chosen?.strengthFrac ?? 0) : 0;
  change({
    ice:
      value === 'water' || value === 'jug'
        ? { ...rest, coffeeFrac }
        : { ...rest, coffeeFrac: 0, part: value },
  });
}
const ICE_TEMPS = [
  { tempC: 0, reason: 'wet, about to melt' },
  { tempC: -2, reason: 'out of the bin' },
  { tempC: -10, reason: 'an hour out of the freezer' },
  { tempC: -18, reason: 'dry from the freezer' },
];
const iceTemps = computed(() => {
  const now = drink.value.ice?.tempC;
  const known = ICE_TEMPS.some(({ tempC }) => tempC === now);
  const all = known || now === undefined ? ICE_TEMPS : [...ICE_TEMPS, { tempC: now, reason: '' }];
  return all.map(({ tempC, reason }) => ({
    value: String(tempC),
    label: words.temp(tempC),
    reason,
  }));
});
function setIceTemp(value: string): void {
  const { ice } = drink.value;
  if (ice) change({ ice: { ...ice, tempC: Number(value) } });
}
function setIceG(massG: number): void {
  const { ice } = drink.value;
  if (!ice) return;
  const { tempC, coffeeFrac, kind, part } = ice;
  change({ ice: { massG, tempC, coffeeFrac, kind, part } });
}

const before = computed(() =>
  drink.value.stirredDown ? 'stirred' : drink.value.chilledToC === null ? 'as-is' : 'chilled',
);
const setBefore = (value: 'as-is' | 'chilled' | 'stirred'): void =>
  change({ stirredDown: value === 'stirred', chilledToC: value === 'chilled' ? 2 : null });
</script>

<template>
  <section class="make" aria-label="What is in this drink">
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
      <ChoiceRow label="Ice">
        <ChoiceField
          label="Kind of ice"
          :options="ICE_OPTIONS"
          :model-value="iceKind"
          @update:model-value="setIceKind"
        />
      </ChoiceRow>
      <template v-if="drink.ice">
        <ChoiceRow label="How much ice">
          <AmountField
            label="How much ice"
            :value="iceG"
            :accepts="['mass']"
            :plain-unit="words.plainMass.value"
            :write="words.mass"
            :step="5"
            :min="0"
            :max="20000"
            limit-text="Up to 20 kg."
            @change="setIceG"
          />
        </ChoiceRow>
        <ChoiceRow label="Ice at">
          <ChoiceField
            label="Temperature of the ice"
            :options="iceTemps"
            :model-value="String(drink.ice.tempC)"
            @update:model-value="setIceTemp"
          />
        </ChoiceRow>
        <ChoiceRow label="Ice of">
          <ChoiceField
            label="What the ice is"
            :options="iceOptions"
            :model-value="iceIs"
            @update:model-value="setIceIs"
          />
        </ChoiceRow>
      </template>
      <ChoiceRow label="Before the ice" class="wide">
        <ChoiceField
          label="Before the ice"
          :options="BEFORE_OPTIONS"
          :model-value="before"
          @update:model-value="setBefore"
        />
      </ChoiceRow>
    </div>
    <DrinkParts
      :drink="drink"
      :solution="solution"
      :ingredients="pantry.all"
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

.off {
  margin: 12px 0 0 -18px;
}
</style>
