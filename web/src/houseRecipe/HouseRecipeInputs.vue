<script setup lang="ts">
import type { HouseRecipe, Ingredient, MadeRecipe, IngredientAmount } from '@ratio/core/pantry';
import { ElButton } from 'element-plus';
import { massKind, volumeKind, type AmountFormat, type AmountKind } from '../format/index.ts';
import { LeaveOutButton } from '../ui/buttons/index.ts';
import { AmountField, IngredientField } from '../ui/fields/index.ts';

/** What goes into a house recipe, by mass or by volume as it is given, with the other one too. */
const props = defineProps<{
  recipe: HouseRecipe;
  made: MadeRecipe | null;
  ingredients: readonly Ingredient[];
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [inputs: HouseRecipe['inputs'], what: string] }>();

const setInput = (i: number, change: Partial<HouseRecipe['inputs'][number]>): void =>
  emit(
    'change',
    props.recipe.inputs.with(i, { ...props.recipe.inputs[i]!, ...change }),
    'recipe changed',
  );
/** As it is given: by mass or by volume; the other can be typed too. */
const LIMITS = { step: 10, min: 0.1, max: 50_000 };
const kindOf = (amount: IngredientAmount): AmountKind =>
  'massG' in amount
    ? massKind(props.format, { ...LIMITS, accepts: ['mass', 'volume'] })
    : volumeKind(props.format, { ...LIMITS, accepts: ['volume', 'mass'] });
const valueOf = (amount: IngredientAmount): number =>
  'massG' in amount ? amount.massG : amount.volumeMl;
/** The same amount by volume where it is given by mass, and by mass where by volume. */
function otherAmount(i: number): string {
  const weighed = props.made?.inputs[i];
  const amount = props.recipe.inputs[i]?.amount;
  if (!weighed || !amount) return '';
  return 'massG' in amount
    ? props.format.volume(weighed.volumeMl)
    : props.format.mass(weighed.massG);
}
const add = (): void =>
  emit(
    'change',
    [...props.recipe.inputs, { ingredient: 'water', amount: { massG: 100 } }],
    'an input more',
  );
</script>

<template>
  <section class="inputs" aria-labelledby="inputs-head">
    <h2 id="inputs-head">What goes in</h2>
    <p class="soft fine">
      By mass or by volume, as you say it; a cup of sugar is not a cup of water.
    </p>
    <ul>
      <li v-for="(input, i) in recipe.inputs" :key="`${recipe.id}-${i}`">
        <IngredientField
          :label="`Input ${i + 1}`"
          :ingredients
          :model-value="input.ingredient"
          @update:model-value="setInput(i, { ingredient: $event })"
        />
        <AmountField
          lazy
          :label="`Amount of input ${i + 1}`"
          :value="valueOf(input.amount)"
          :kind="kindOf(input.amount)"
          @change="
            (value, quantity) =>
              setInput(i, {
                amount: quantity === 'volume' ? { volumeMl: value } : { massG: value },
              })
          "
        />
        <span class="soft other">{{ otherAmount(i) }}</span>
        <LeaveOutButton
          :label="`Leave out input ${i + 1}`"
          @click="
            emit(
              'change',
              recipe.inputs.filter((_, k) => k !== i),
              'an input less',
            )
          "
        />
      </li>
    </ul>
    <ElButton @click="add">Add an input</ElButton>
  </section>
</template>

<style scoped>
h2 {
  padding-top: 12px;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 100px 84px 36px;
  align-items: center;
  gap: 10px;
  border-bottom: 1px solid var(--hairline);
  padding: 4px 0;
}

.other,
.fine {
  font-size: var(--t13);
}

.inputs > .el-button {
  margin-block: 8px 12px;
}

@media (max-width: 560px) {
  li {
    grid-template-columns: minmax(0, 1fr) 84px 36px;
  }

  li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
