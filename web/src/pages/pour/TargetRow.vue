<script setup lang="ts">
import { CONSTANTS, type Drink } from '@ratio/core';
import { computed } from 'vue';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import type { usePour } from './usePour.ts';

/** What the drink is brought to: a strength at a minute, parts, spoons, caffeine, or by hand. */
const props = defineProps<{ pour: ReturnType<typeof usePour> }>();

type Target = Drink['target'];
type Told = 'strength' | 'parts' | 'spoons' | 'caffeine' | 'hand';

const SPOON_ML = 15;
const TOLD = [
  { value: 'strength', label: 'a strength', reason: 'at a minute; the same from any jug' },
  { value: 'parts', label: 'parts', reason: 'one to one, two to one' },
  { value: 'spoons', label: 'spoons', reason: 'tablespoons of concentrate, 15 mL' },
  { value: 'caffeine', label: 'caffeine', reason: 'so much and no more' },
  { value: 'hand', label: 'by hand', reason: 'always the same pour' },
] as const;

const { hand, words } = props.pour;
const target = computed<Target>(() => props.pour.drink.value!.target);
const solution = computed(() => props.pour.solution.value!);
const told = computed<Told>(() => {
  const now = target.value;
  if ('strengthFrac' in now) return 'strength';
  if ('parts' in now) return 'parts';
  if ('caffeineMg' in now) return 'caffeine';
  return now.told === 'spoons' ? 'spoons' : 'hand';
});
const set = (next: Target): void => hand.change({ target: next });

/** The same drink told another way: what it is now becomes the target. */
function tell(way: Told): void {
  const { strengthFrac, caffeineMg, concentrateMl, fillMl } = solution.value;
  const spoons = Math.max(1, Math.round(concentrateMl / SPOON_ML));
  const targets: Record<Told, Target> = {
    strength: {
      strengthFrac: Math.min(0.2, Math.max(0.001, Number(strengthFrac.toFixed(4)))),
      atMinutes: CONSTANTS.targetMinutes.value,
    },
    parts: {
      parts: {
        concentrate: fillMl > 0 ? Number((concentrateMl / fillMl).toFixed(2)) : 1,
        fill: fillMl > 0 ? 1 : 0,
      },
    },
    spoons: { concentrateMl: spoons * SPOON_ML, told: 'spoons' },
    caffeine: { caffeineMg: Math.round(caffeineMg) },
    hand: { concentrateMl: Math.round(concentrateMl), told: 'volume' },
  };
  set(targets[way]);
}
const part = (n: number): string => String(Number(n.toFixed(2)));
</script>

<template>
  <div class="target-row">
    <ChoiceRow label="Brought to" :note="`gives ${words.pct(solution.strengthFrac)}`">
      <ChoiceField
        label="Brought to"
        :options="TOLD"
        :model-value="told"
        @update:model-value="tell"
      />
    </ChoiceRow>
    <template v-if="'strengthFrac' in target">
      <ChoiceRow label="Strength">
        <AmountField
          label="Strength wanted"
          :value="target.strengthFrac"
          :accepts="['percent']"
          :write="words.pct"
          :step="0.0005"
          :min="0.001"
          :max="0.2"
          limit-text="Between 0.1 % and 20 %."
          @change="(strengthFrac) => pour.aim({ strengthFrac })"
        />
      </ChoiceRow>
      <ChoiceRow label="At minute">
        <AmountField
          label="At minute"
          :value="target.atMinutes"
          :accepts="['ratio']"
          :write="(minutes) => `${minutes.toFixed(0)} min`"
          :step="1"
          :min="0"
          :max="30"
          limit-text="Between 0 and 30 minutes."
          @change="(atMinutes) => pour.aim({ atMinutes })"
        />
      </ChoiceRow>
    </template>
    <template v-else-if="'parts' in target">
      <ChoiceRow label="Concentrate">
        <AmountField
          label="Parts of concentrate"
          :value="target.parts.concentrate"
          :accepts="['ratio']"
          :write="part"
          :step="0.25"
          :min="0.05"
          :max="1000"
          limit-text="More than 0 parts."
          @change="
            (concentrate) => 'parts' in target && set({ parts: { ...target.parts, concentrate } })
          "
        />
      </ChoiceRow>
      <ChoiceRow label="To the rest">
        <AmountField
          label="Parts of the rest"
          :value="target.parts.fill"
          :accepts="['ratio']"
          :write="part"
          :step="0.25"
          :min="0"
          :max="1000"
          limit-text="0 for concentrate alone."
          @change="(fill) => 'parts' in target && set({ parts: { ...target.parts, fill } })"
        />
      </ChoiceRow>
    </template>
    <ChoiceRow v-else-if="'caffeineMg' in target" label="Caffeine in the glass, mg">
      <AmountField
        label="Caffeine wanted, milligrams"
        :value="target.caffeineMg"
        :accepts="['ratio']"
        :write="(mg) => mg.toFixed(0)"
        :step="5"
        :min="0"
        :max="2000"
        limit-text="Between 0 and 2000 mg."
        @change="(caffeineMg) => set({ caffeineMg })"
      />
    </ChoiceRow>
    <ChoiceRow v-else-if="told === 'spoons'" label="Tablespoons">
      <AmountField
        label="Tablespoons of concentrate"
        :value="target.concentrateMl / SPOON_ML"
        :accepts="['ratio', 'volume']"
        :write="part"
        :step="0.5"
        :min="0"
        :max="200"
        limit-text="Between 0 and 200 spoons."
        @change="
          (n, quantity) =>
            set({ concentrateMl: quantity === 'volume' ? n : n * SPOON_ML, told: 'spoons' })
        "
      />
    </ChoiceRow>
    <ChoiceRow v-else label="Concentrate">
      <AmountField
        label="Concentrate by hand"
        :value="target.concentrateMl"
        :accepts="['volume']"
        :plain-unit="words.plainVolume.value"
        :write="words.volume"
        :step="5"
        :min="0"
        :max="20000"
        limit-text="Up to 20 L."
        @change="(concentrateMl) => set({ concentrateMl, told: 'volume' })"
      />
    </ChoiceRow>
  </div>
</template>

<style scoped>
.target-row {
  display: grid;
  grid-template-columns: 1.6fr 1fr 1fr;
  gap: 0 16px;
}

.target-row :deep(.el-input__inner) {
  font-size: var(--t18);
}
</style>
