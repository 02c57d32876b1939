<script setup lang="ts">
import {
  startingProcess,
  type HouseRecipe,
  type Ingredient,
  type MadeRecipe,
  type HouseRecipeMethod,
  type Leftover,
} from '@ratio/core/pantry';
import { ElButton } from 'element-plus';
import HouseRecipeInputs from './HouseRecipeInputs.vue';
import HouseRecipeProcess from './HouseRecipeProcess.vue';
import { numberKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, PickRow, TextRow } from '../ui/fields/index.ts';

/** A house recipe: what goes in, and what is done with it. */
const props = defineProps<{
  recipe: HouseRecipe;
  made: MadeRecipe | null;
  ingredients: readonly Ingredient[];
  /** What coffee cubes would be frozen from. */
  leftover: Leftover;
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [change: Partial<HouseRecipe>, what: string]; remove: [] }>();

const METHODS = [
  { value: 'mix', label: 'mixed', reason: 'syrup, sweet cream, flavoured milk, nut-butter syrup' },
  { value: 'infuse', label: 'infused, strained and matched', reason: 'herbs, tea, peel, spice' },
  { value: 'reduce', label: 'reduced', reason: 'plant milk simmered to a share of its volume' },
  { value: 'whip', label: 'whipped', reason: 'foam, whipped coffee: volume grows, mass does not' },
  {
    value: 'freeze',
    label: 'frozen into cubes',
    reason: 'leftover coffee that makes a drink grow',
  },
] as const;

const setMethod = (method: HouseRecipeMethod): void =>
  emit(
    'change',
    { process: startingProcess(method, props.leftover, props.made?.inputSugarFrac) },
    method,
  );
</script>

<template>
  <section class="recipe" :aria-label="`Recipe of ${recipe.name}`">
    <TextRow
      label="Name"
      name="Name of the recipe"
      needed
      :value="recipe.name"
      @change="emit('change', { name: $event }, 'renamed')"
    />
    <PickRow
      label="How it is made"
      :options="METHODS"
      :model-value="recipe.process.method"
      @update:model-value="setMethod"
    />
    <HouseRecipeInputs
      :recipe
      :made
      :ingredients
      :format
      @change="(inputs, what) => emit('change', { inputs }, what)"
    />

    <HouseRecipeProcess
      :process="recipe.process"
      :made
      :ingredients
      :format
      @change="(process, what) => emit('change', { process }, what)"
    />
    <div class="pair">
      <AmountRow
        label="Keeps, days"
        :note="recipe.lifeDays === null ? 'as usual' : 'as the shop says'"
        name="Days that it keeps"
        lazy
        :value="recipe.lifeDays ?? made?.lifeDays ?? 1"
        :kind="numberKind({ step: 1, min: 1, max: 365 })"
        @change="(days) => emit('change', { lifeDays: Math.round(days) }, 'keeps another time')"
      />
      <ElButton
        v-if="recipe.lifeDays !== null"
        text
        @click="emit('change', { lifeDays: null }, 'keeps as usual')"
        >As usual</ElButton
      >
    </div>
    <TextRow
      label="Note"
      :value="recipe.note"
      placeholder="how it is done here"
      @change="emit('change', { note: $event }, 'noted')"
    />
    <ElButton text class="off no-print" @click="emit('remove')">Take it off the shelf</ElButton>
  </section>
</template>

<style scoped>
.recipe {
  padding: 14px 24px;
}

.recipe > .el-button {
  margin-top: 8px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 18px;
}

.off {
  margin-left: -18px;
}
</style>
