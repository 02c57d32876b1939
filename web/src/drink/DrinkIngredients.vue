<script setup lang="ts">
import type { Drink, DrinkSolution } from '@ratio/core/drink';
import { measuredGPerMl, usualTempC, type Ingredient } from '@ratio/core/pantry';
import type { OwnMeasure } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { numberKind, pouredKind, tempKind, type AmountFormat } from '../format/index.ts';
import { LeaveOutButton, LockButton } from '../ui/buttons/index.ts';
import { AmountField, IngredientField } from '../ui/fields/index.ts';

/** What goes in with the coffee: ingredients of a set amount, and diluents, which take the rest. */
const props = defineProps<{
  drink: Drink;
  solution: DrinkSolution;
  ingredients: readonly Ingredient[];
  /** What the bar counts in: pumps, spoons. */
  measures: readonly OwnMeasure[];
  /** How warm the fridge and the room are, °C. */
  rooms: { fridgeC: number; roomC: number };
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [change: Partial<Drink>] }>();

type Diluent = Drink['diluents'][number];
const diluents = computed(() => props.drink.diluents);

const setAddition = (i: number, change: Partial<Drink['additions'][number]>): void =>
  emit('change', {
    additions: props.drink.additions.with(i, { ...props.drink.additions[i]!, ...change }),
  });
/** What is weighed out counts by its density; powders lie loose. */
function gPerMlOf({ ingredient: id, tempC }: Drink['additions'][number]): number {
  const ingredient = props.ingredients.find((one) => one.id === id);
  return ingredient ? measuredGPerMl({ ingredient, tempC }) : 1;
}
const without = (i: number) => props.drink.additions.filter((_, k) => k !== i);
const setDiluent = (i: number, change: Partial<Diluent>): void =>
  emit('change', { diluents: diluents.value.with(i, { ...diluents.value[i]!, ...change }) });
const withoutDiluent = (i: number) => diluents.value.filter((_, k) => k !== i);

/** A set amount becomes a diluent, with the proportion that it has of them now. */
function makeDiluent(i: number): void {
  const { ingredient, volumeMl, tempC } = props.drink.additions[i]!;
  const whole = diluents.value.reduce((sum, { proportion }) => sum + proportion, 0);
  const proportion = (volumeMl * whole) / Math.max(1, props.solution.fillMl);
  emit('change', {
    additions: without(i),
    diluents: [
      ...diluents.value,
      { ingredient, tempC, proportion: Number(Math.max(0.05, proportion).toFixed(2)) },
    ],
  });
}

/** A diluent becomes a set amount, at what it is now. */
function setDiluentAmount(i: number): void {
  const rest = withoutDiluent(i);
  const { ingredient, tempC } = diluents.value[i]!;
  const volumeMl = Math.round(props.solution.diluents[i]?.volumeMl ?? 0);
  emit('change', {
    diluents: rest,
    additions: [...props.drink.additions, { ingredient, tempC, volumeMl }],
  });
}
const tempOf = (id: string): number => {
  const ingredient = props.ingredients.find((one) => one.id === id);
  return ingredient ? usualTempC(ingredient, props.rooms) : props.rooms.fridgeC;
};
const add = (ingredient: string, volumeMl: number): void =>
  emit('change', {
    additions: [...props.drink.additions, { ingredient, volumeMl, tempC: tempOf(ingredient) }],
  });
/** A drop: nothing of it is counted. */
const FLAVOUR_ML = 0.05;
</script>

<template>
  <section class="ingredients" aria-labelledby="ingredients-head">
    <h2 id="ingredients-head">Ingredients</h2>
    <ul>
      <li v-for="(one, i) in drink.additions" :key="`set-${i}`">
        <IngredientField
          :label="`Ingredient ${i + 1}`"
          :ingredients
          :model-value="one.ingredient"
          @update:model-value="setAddition(i, { ingredient: $event, tempC: tempOf($event) })"
        />
        <AmountField
          :label="`Amount of ingredient ${i + 1}`"
          :value="one.volumeMl"
          :kind="pouredKind(format, { step: 1, min: 0, max: 5000, gPerMl: gPerMlOf(one) })"
          :measures
          @change="(volumeMl) => setAddition(i, { volumeMl })"
        />
        <AmountField
          :label="`Temperature of ingredient ${i + 1}`"
          :value="one.tempC"
          :kind="tempKind(format, { step: 1, min: 0, max: 100 })"
          @change="(tempC) => setAddition(i, { tempC })"
        />
        <LockButton locked :set="false" :what="`ingredient ${i + 1}`" @lock="makeDiluent(i)" />
        <LeaveOutButton
          :label="`Leave out ingredient ${i + 1}`"
          @click="emit('change', { additions: without(i) })"
        />
      </li>
      <li v-for="(one, i) in diluents" :key="`diluent-${i}`">
        <IngredientField
          :label="`Diluent ${i + 1}`"
          :ingredients
          :model-value="one.ingredient"
          @update:model-value="setDiluent(i, { ingredient: $event, tempC: tempOf($event) })"
        />
        <AmountField
          v-if="diluents.length > 1"
          :label="`Proportion of diluent ${i + 1}`"
          :value="one.proportion"
          :kind="
            numberKind({
              step: 0.5,
              min: 0.01,
              max: 1000,
              write: (proportion) =>
                `${Number(proportion.toFixed(2))} part${proportion === 1 ? '' : 's'}`,
              limitText: 'More than 0 parts.',
            })
          "
          @change="(proportion) => setDiluent(i, { proportion })"
        />
        <span v-else class="soft rest">takes the rest</span>
        <AmountField
          :label="`Temperature of diluent ${i + 1}`"
          :value="one.tempC"
          :kind="tempKind(format, { step: 1, min: 0, max: 100 })"
          @change="(tempC) => setDiluent(i, { tempC })"
        />
        <LockButton
          :locked="false"
          :set="false"
          :what="`diluent ${i + 1}`"
          @lock="setDiluentAmount(i)"
        />
        <LeaveOutButton
          :label="`Leave out diluent ${i + 1}`"
          @click="emit('change', { diluents: withoutDiluent(i) })"
        />
      </li>
    </ul>
    <p v-if="diluents.length === 0" class="soft rest">
      Nothing fills up the rest. These amounts stand {{ format.volume(solution.levelMl) }} high in
      {{ format.volume(drink.cupMl) }}.
    </p>
    <div class="add">
      <ElButton @click="add('simple-syrup', 10)">Add an ingredient</ElButton>
      <ElButton text @click="add('flavour', FLAVOUR_ML)">A flavour, no amount</ElButton>
    </div>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 80px 56px 62px 36px;
  align-items: center;
  gap: 6px;
  border-bottom: 1px solid var(--hairline);
  padding: 3px 0;
}

li :deep(.el-input__inner),
li :deep(.el-select__selected-item) {
  font-size: var(--t15);
}

.rest {
  font-size: var(--t13);
}

.add {
  margin-top: 8px;
}
</style>
