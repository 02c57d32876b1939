<script setup lang="ts">
import {
  measuredGPerMl,
  type Drink,
  type DrinkSolution,
  type Expected,
  type Ingredient,
  type OwnMeasure,
} from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import AmountField from '../../field/AmountField.vue';
import IngredientField from '../../field/IngredientField.vue';
import PinButton from '../../field/PinButton.vue';
import type { useWords } from '../../stores/useWords.ts';

/** What goes in beside the coffee: pinned parts by volume, free ones that share what room is left. */
const props = defineProps<{
  drink: Drink;
  solution: DrinkSolution;
  ingredients: readonly Ingredient[];
  /** What the bar counts in: pumps, spoons. */
  measures: readonly OwnMeasure[];
  words: ReturnType<typeof useWords>;
}>();
const emit = defineEmits<{ change: [part: Partial<Drink>] }>();

type Fill = Drink['fillWith'];
const fills = computed<Fill[]>(() => [props.drink.fillWith, ...props.drink.fillAlso]);

const setAddition = (i: number, part: Partial<Drink['additions'][number]>): void =>
  emit('change', {
    additions: props.drink.additions.with(i, { ...props.drink.additions[i]!, ...part }),
  });
/** What is weighed out counts by its density; powders lie loose. */
function setAmount(i: number, value: number, quantity: Expected): void {
  const { ingredient: id, tempC } = props.drink.additions[i]!;
  const ingredient = props.ingredients.find((one) => one.id === id);
  const isMass = quantity === 'mass' && ingredient !== undefined;
  setAddition(i, { volumeMl: isMass ? value / measuredGPerMl({ ingredient, tempC }) : value });
}
const without = (i: number) => props.drink.additions.filter((_, k) => k !== i);
function setFills(all: readonly Fill[]): void {
  const [fillWith, ...fillAlso] = all;
  if (fillWith) emit('change', { fillWith, fillAlso });
}
const setFill = (i: number, part: Partial<Fill>): void =>
  setFills(fills.value.with(i, { ...fills.value[i]!, ...part }));

/** A fixed part becomes a free one, with the share that it has of what is free now. */
function free(i: number): void {
  const { ingredient, volumeMl, tempC } = props.drink.additions[i]!;
  const shares = fills.value.reduce((sum, { share }) => sum + share, 0);
  const share = (volumeMl * shares) / Math.max(1, props.solution.fillMl);
  emit('change', {
    additions: without(i),
    fillAlso: [
      ...props.drink.fillAlso,
      { ingredient, tempC, share: Number(Math.max(0.05, share).toFixed(2)) },
    ],
  });
}

/** A free part becomes a fixed one, at what it is now. */
function fix(i: number): void {
  const [fillWith, ...fillAlso] = fills.value.filter((_, k) => k !== i);
  const { ingredient, tempC } = fills.value[i]!;
  const volumeMl = Math.round(props.solution.fills[i]?.volumeMl ?? 0);
  if (fillWith)
    emit('change', {
      fillWith,
      fillAlso,
      additions: [...props.drink.additions, { ingredient, tempC, volumeMl }],
    });
}
const add = (): void =>
  emit('change', {
    additions: [...props.drink.additions, { ingredient: 'simple-syrup', volumeMl: 10, tempC: 20 }],
  });
</script>

<template>
  <section class="parts" aria-labelledby="parts-head">
    <h2 id="parts-head">Beside the coffee</h2>
    <ul>
      <li v-for="(part, i) in drink.additions" :key="`pinned-${i}`">
        <IngredientField
          :label="`Added part ${i + 1}`"
          :ingredients="ingredients"
          :model-value="part.ingredient"
          @update:model-value="setAddition(i, { ingredient: $event })"
        />
        <AmountField
          :label="`Amount of added part ${i + 1}`"
          :value="part.volumeMl"
          :accepts="['volume', 'mass']"
          :plain-unit="words.plainVolume.value"
          :measures="measures"
          :write="words.volume"
          :step="1"
          :min="0"
          :max="5000"
          limit-text="Up to 5 L."
          @change="(value, quantity) => setAmount(i, value, quantity)"
        />
        <AmountField
          :label="`Temperature of added part ${i + 1}`"
          :value="part.tempC"
          :accepts="['temperature']"
          :write="words.temp"
          :step="1"
          :min="0"
          :max="100"
          limit-text="Between 0 and 100 °C."
          @change="(tempC) => setAddition(i, { tempC })"
        />
        <PinButton pinned :held="false" :what="`added part ${i + 1}`" @pin="free(i)" />
        <button
          type="button"
          class="drop"
          :aria-label="`Leave out added part ${i + 1}`"
          @click="emit('change', { additions: without(i) })"
        >
          ×
        </button>
      </li>
      <li v-for="(fill, i) in fills" :key="`free-${i}`">
        <IngredientField
          :label="`Filler ${i + 1}`"
          :ingredients="ingredients"
          :model-value="fill.ingredient"
          @update:model-value="setFill(i, { ingredient: $event })"
        />
        <AmountField
          v-if="fills.length > 1"
          :label="`Share of filler ${i + 1}`"
          :value="fill.share"
          :accepts="['ratio']"
          :write="(share) => `${Number(share.toFixed(2))} part${share === 1 ? '' : 's'}`"
          :step="0.5"
          :min="0.01"
          :max="1000"
          limit-text="More than 0 parts."
          @change="(share) => setFill(i, { share })"
        />
        <span v-else class="soft rest">takes the rest</span>
        <AmountField
          :label="`Temperature of filler ${i + 1}`"
          :value="fill.tempC"
          :accepts="['temperature']"
          :write="words.temp"
          :step="1"
          :min="0"
          :max="100"
          limit-text="Between 0 and 100 °C."
          @change="(tempC) => setFill(i, { tempC })"
        />
        <PinButton
          v-if="fills.length > 1"
          :pinned="false"
          :held="false"
          :what="`filler ${i + 1}`"
          @pin="fix(i)"
        />
        <button
          v-if="fills.length > 1"
          type="button"
          class="drop"
          :aria-label="`Leave out filler ${i + 1}`"
          @click="setFills(fills.filter((_, k) => k !== i))"
        >
          ×
        </button>
      </li>
    </ul>
    <ElButton @click="add">Add a part</ElButton>
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

.drop {
  min-width: 36px;
  min-height: 36px;
  border: 0;
  background: none;
  font-size: var(--t18);
  cursor: pointer;
}

.parts > .el-button {
  margin-top: 8px;
}
</style>
