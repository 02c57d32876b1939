<script setup lang="ts">
import {
  startingProcess,
  type HousePart,
  type Ingredient,
  type MadePart,
  type PartAmount,
  type PartMethod,
} from '@ratio/core';
import { ElButton } from 'element-plus';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import IngredientField from '../../field/IngredientField.vue';
import TextField from '../../field/TextField.vue';
import { useJugs } from '../../stores/jugs.ts';
import type { useWords } from '../../stores/useWords.ts';
import InfusionSteps from './InfusionSteps.vue';
import { leftoverOf } from './useParts.ts';

/** The recipe of a part: what goes in, and what is done with it. */
const props = defineProps<{
  part: HousePart;
  made: MadePart | null;
  ingredients: readonly Ingredient[];
  words: ReturnType<typeof useWords>;
}>();
const emit = defineEmits<{ change: [part: Partial<HousePart>, what: string]; remove: [] }>();

const jugs = useJugs();
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

const setMethod = (method: PartMethod): void =>
  emit('change', { process: startingProcess(method, leftoverOf(jugs.chosen)) }, method);
const setProcess = (process: HousePart['process'], what: string): void =>
  emit('change', { process }, what);

const setInput = (i: number, part: Partial<HousePart['inputs'][number]>): void =>
  emit(
    'change',
    { inputs: props.part.inputs.with(i, { ...props.part.inputs[i]!, ...part }) },
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
    { inputs: [...props.part.inputs, { ingredient: 'water', amount: { massG: 100 } }] },
    'an input more',
  );
</script>

<template>
  <section class="recipe" :aria-label="`Recipe of ${part.name}`">
    <ChoiceRow label="Name">
      <TextField
        label="Name of the part"
        needed
        :value="part.name"
        @change="emit('change', { name: $event }, 'renamed')"
      />
    </ChoiceRow>
    <ChoiceRow label="How it is made">
      <ChoiceField
        label="How it is made"
        :options="METHODS"
        :model-value="part.process.method"
        @update:model-value="setMethod"
      />
    </ChoiceRow>
    <h2>What goes in</h2>
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
            emit('change', { inputs: part.inputs.filter((_, k) => k !== i) }, 'an input less')
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

    <InfusionSteps
      v-if="part.process.method === 'infuse'"
      :process="part.process"
      :made="made"
      :ingredients="ingredients"
      :words="words"
      @change="setProcess"
    />
    <ChoiceRow
      v-else-if="part.process.method === 'reduce'"
      label="Share of the volume that is left"
      note="a pot marked with the level shows it"
    >
      <AmountField
        lazy
        label="Share of the volume that is left"
        :value="part.process.toFrac"
        :accepts="['percent']"
        :write="(frac) => `${(100 * frac).toFixed(0)}\u2009%`"
        :step="0.05"
        :min="0.1"
        :max="1"
        limit-text="Between 10 and 100 %."
        @change="(toFrac) => setProcess({ method: 'reduce', toFrac }, 'reduced to another share')"
      />
    </ChoiceRow>
    <ChoiceRow
      v-else-if="part.process.method === 'whip'"
      label="Overrun: air to liquid"
      note="100 % doubles the volume"
    >
      <AmountField
        lazy
        label="Overrun"
        :value="part.process.overrunFrac"
        :accepts="['percent']"
        :write="(frac) => `${(100 * frac).toFixed(0)}\u2009%`"
        :step="0.1"
        :min="0"
        :max="6"
        limit-text="Between 0 and 600 %."
        @change="(overrunFrac) => setProcess({ method: 'whip', overrunFrac }, 'another overrun')"
      />
    </ChoiceRow>
    <div v-else-if="part.process.method === 'freeze'" class="pair">
      <ChoiceRow label="Leftover coffee">
        <AmountField
          lazy
          label="Leftover coffee"
          :value="part.process.leftoverG"
          :accepts="['mass']"
          :plain-unit="words.plainMass.value"
          :write="words.mass"
          :step="50"
          :min="0"
          :max="50000"
          limit-text="Up to 50 kg."
          @change="
            (leftoverG) =>
              part.process.method === 'freeze' &&
              setProcess({ ...part.process, leftoverG }, 'another amount')
          "
        />
      </ChoiceRow>
      <ChoiceRow label="Its strength">
        <AmountField
          lazy
          label="Strength of the leftover"
          :value="part.process.strengthFrac"
          :accepts="['percent']"
          :write="words.pct"
          :step="0.0005"
          :min="0"
          :max="0.2"
          limit-text="Between 0 and 20 %."
          @change="
            (strengthFrac) =>
              part.process.method === 'freeze' &&
              setProcess(
                {
                  ...part.process,
                  strengthFrac,
                  caffeineMgPerG:
                    (part.process.caffeineMgPerG * strengthFrac) /
                    (part.process.strengthFrac || strengthFrac || 1),
                },
                'another strength',
              )
          "
        />
      </ChoiceRow>
    </div>
    <div class="pair">
      <ChoiceRow
        label="Keeps, days"
        :note="part.lifeDays === null ? 'as usual' : 'the shop’s own say'"
      >
        <AmountField
          lazy
          label="Days that it keeps"
          :value="part.lifeDays ?? made?.lifeDays ?? 1"
          :accepts="['ratio']"
          :write="(days) => days.toFixed(0)"
          :step="1"
          :min="1"
          :max="365"
          limit-text="Between 1 and 365 days."
          @change="(days) => emit('change', { lifeDays: Math.round(days) }, 'keeps another time')"
        />
      </ChoiceRow>
      <ElButton
        v-if="part.lifeDays !== null"
        text
        @click="emit('change', { lifeDays: null }, 'keeps as usual')"
        >As usual</ElButton
      >
    </div>
    <ChoiceRow label="Note">
      <TextField
        label="Note"
        :value="part.note"
        placeholder="how it is done here"
        @change="emit('change', { note: $event }, 'noted')"
      />
    </ChoiceRow>
    <ElButton text class="off no-print" @click="emit('remove')">Take it off the shelf</ElButton>
  </section>
</template>

<style scoped>
.recipe {
  padding: 14px 24px;
}

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

.other {
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

.recipe > .el-button {
  margin-top: 8px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 18px;
}

.fine {
  font-size: var(--t13);
}

.off {
  margin-left: -18px;
}
</style>
