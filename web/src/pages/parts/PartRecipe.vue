<script setup lang="ts">
import {
  startingProcess,
  type HousePart,
  type Ingredient,
  type MadePart,
  type PartMethod,
} from '@ratio/core';
import { ElButton } from 'element-plus';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import TextField from '../../field/TextField.vue';
import { useJugs } from '../../stores/jugs.ts';
import type { useWords } from '../../stores/useWords.ts';
import PartInputs from './PartInputs.vue';
import PartProcess from './PartProcess.vue';
import { leftoverOf } from './useParts.ts';

/** The recipe of a part: what goes in, and what is done with it. */
defineProps<{
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
    <PartInputs
      :part="part"
      :made="made"
      :ingredients="ingredients"
      :words="words"
      @change="(inputs, what) => emit('change', { inputs }, what)"
    />

    <PartProcess
      :process="part.process"
      :made="made"
      :ingredients="ingredients"
      :words="words"
      @change="(process, what) => emit('change', { process }, what)"
    />
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
