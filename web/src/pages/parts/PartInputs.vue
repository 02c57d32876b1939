<script setup lang="ts">
import type { HousePart, Ingredient, MadePart, PartAmount } from '@ratio/core';
import { ElButton } from 'element-plus';
import AmountField from '../../field/AmountField.vue';
import IngredientField from '../../field/IngredientField.vue';
import type { useWords } from '../../stores/useWords.ts';

/** What goes into a part, by mass or by volume as it is told, with the other way beside it. */
const props = defineProps<{
  part: HousePart;
  made: MadePart | null;
  ingredients: readonly Ingredient[];
  words: ReturnType<typeof useWords>;
}>();
const emit = defineEmits<{ change: [inputs: HousePart['inputs'], what: string] }>();

const setInput = (i: number, part: Partial<HousePart['inputs'][number]>): void =>
  emit(
    'change',
    props.part.inputs.with(i, { ...props.part.inputs[i]!, ...part }),
    'recipe changed',
  );
const writeAmount = (amount: PartAmount): string =>
  'massG' in amount ? props.words.mass(amount.massG) : props.words.volume(amount.volumeMl);
const valueOf = (amount: PartAmount): number =>
  'massG' in amount ? amount.massG : amount.volumeMl;
/** The same amount the other way: by volume where it is told by mass. */
function otherWay(i: number): string {
  const weighed = props.made?.inputs[i];
  const amount = props.part.inputs[i]?.amount;
  if (!weighed || !amount) return '';
  return 'massG' in amount ? props.words.volume(weighed.volumeMl) : props.words.mass(weighed.massG);
}
const add = (): void =>
  emit(
    'change',
    [...props.part.inputs, { ingredient: 'water', amount: { massG: 100 } }],
    'an input more',
  );
</script>

<template>
  <section class="inputs" aria-labelledby="inputs-head">
    <h2 id="inputs-head">What goes in</h2>
    <ul>
      <li v-for="(input, i) in part.inputs" :key="`${part.id}-${i}`">
        <IngredientField
          :label="`Input ${i + 1}`"
          :ingredients="ingredients"
          :model-value="input.ingredient"
          @update:model-value="setInput(i, { ingredient: $event })"
        />
        <AmountField
          lazy
          :label="`Amount of input ${i + 1}`"
          :value="valueOf(input.amount)"
          :accepts="'massG' in input.amount ? ['mass', 'volume'] : ['volume', 'mass']"
          :plain-unit="'massG' in input.amount ? words.plainMass.value : words.plainVolume.value"
          :write="() => writeAmount(input.amount)"
          :step="10"
          :min="0.1"
          :max="50000"
          limit-text="Between 0.1 g and 50 kg."
          @change="
            (value, quantity) =>
              setInput(i, {
                amount: quantity === 'volume' ? { volumeMl: value } : { massG: value },
              })
          "
        />
        <span class="soft other">{{ otherWay(i) }}</span>
        <button
          type="button"
          class="drop"
          :aria-label="`Leave out input ${i + 1}`"
          @click="
            emit(
              'change',
              part.inputs.filter((_, k) => k !== i),
              'an input less',
            )
          "
        >
          ×
        </button>
      </li>
    </ul>
    <ElButton @click="add">Add an input</ElButton>
    <p class="soft fine">
      By mass or by volume, as you say it; a cup of sugar is not a cup of water.
    </p>
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

.drop {
  min-width: 36px;
  min-height: 36px;
  border: 0;
  background: none;
  font-size: var(--t18);
  cursor: pointer;
}

.inputs > .el-button {
  margin-top: 8px;
}
</style>
