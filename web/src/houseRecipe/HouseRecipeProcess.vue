<script setup lang="ts">
import { caffeineAtStrength } from '@ratio/core/coffee';
import type { HouseRecipe, Ingredient, MadeRecipe } from '@ratio/core/pantry';
import { computed } from 'vue';
import InfusionSteps from './InfusionSteps.vue';
import { massKind, percentKind, type AmountFormat } from '../format/index.ts';
import { AmountRow } from '../ui/fields/index.ts';

/** What is done with the inputs, as far as there is something to say about it. */
const props = defineProps<{
  process: HouseRecipe['process'];
  made: MadeRecipe | null;
  ingredients: readonly Ingredient[];
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [process: HouseRecipe['process'], what: string] }>();

type Frozen = Extract<HouseRecipe['process'], { method: 'freeze' }>;
const frozen = computed(() => (props.process.method === 'freeze' ? props.process : null));
const setFrozen = (change: Partial<Frozen>, what: string): void => {
  if (frozen.value) emit('change', { ...frozen.value, ...change }, what);
};
function setStrength(strengthFrac: number): void {
  if (!frozen.value) return;
  const caffeineMgPerG = caffeineAtStrength({ ...frozen.value, wantedFrac: strengthFrac });
  setFrozen({ strengthFrac, caffeineMgPerG }, 'another strength');
}
</script>

<template>
  <InfusionSteps
    v-if="process.method === 'infuse'"
    :process
    :made
    :ingredients
    :format
    @change="(next, what) => emit('change', next, what)"
  />
  <AmountRow
    v-else-if="process.method === 'reduce'"
    label="Share of the volume that is left"
    note="a pot marked with the level shows it"
    lazy
    :value="process.toFrac"
    :kind="percentKind({ step: 0.05, min: 0.1, max: 1, decimals: 0 })"
    @change="(toFrac) => emit('change', { method: 'reduce', toFrac }, 'reduced to another share')"
  />
  <AmountRow
    v-else-if="process.method === 'whip'"
    label="Overrun: air to liquid"
    note="100 % doubles the volume"
    name="Overrun"
    lazy
    :value="process.overrunFrac"
    :kind="percentKind({ step: 0.1, min: 0, max: 6, decimals: 0 })"
    @change="(overrunFrac) => emit('change', { method: 'whip', overrunFrac }, 'another overrun')"
  />
  <div v-else-if="frozen" class="pair">
    <AmountRow
      label="Leftover coffee"
      lazy
      :value="frozen.leftoverG"
      :kind="massKind(format, { step: 50, min: 0, max: 50000 })"
      @change="(leftoverG) => setFrozen({ leftoverG }, 'another amount')"
    />
    <AmountRow
      label="Its strength"
      name="Strength of the leftover"
      lazy
      :value="frozen.strengthFrac"
      :kind="percentKind({ step: 0.0005, min: 0, max: 0.2 })"
      @change="setStrength"
    />
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 18px;
}
</style>
