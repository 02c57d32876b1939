<script setup lang="ts">
import type { HouseRecipe, Ingredient, MadeRecipe } from '@ratio/core/pantry';
import { computed } from 'vue';
import { massKind, numberKind, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField, ChoiceField, IngredientField, TextField } from '../ui/fields/index.ts';

type Infusion = Extract<HouseRecipe['process'], { method: 'infuse' }>;

/** An infused syrup at the bench: infuse, measure what is left, then match it. */
const props = defineProps<{
  process: Infusion;
  made: MadeRecipe | null;
  ingredients: readonly Ingredient[];
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [process: Infusion, what: string] }>();

const set = (part: Partial<Infusion>, what: string): void =>
  emit('change', { ...props.process, ...part }, what);
const setMatch = (part: Partial<Infusion['match']>): void =>
  set({ match: { ...props.process.match, ...part } }, 'match changed');

const matched = computed(() => props.made?.inputs.at(-1) ?? null);
const wentInG = computed(() =>
  (props.made?.inputs.slice(0, -1) ?? []).reduce((sum, { massG }) => sum + massG, 0),
);
const leftG = computed(() => props.process.leftG ?? wentInG.value - (props.made?.lostG ?? 0));
const LOSES = [
  { value: 'steam', label: 'simmered: steam is lost', reason: 'sugar, coffee and caffeine stay' },
  { value: 'liquid', label: 'steeped: liquid is lost', reason: 'it stays in what is strained out' },
] as const;
const BY = [
  { value: 'mass', label: 'by mass', reason: 'on the scale; the same each time' },
  { value: 'volume', label: 'by volume', reason: 'cup for cup; comes out less sweet' },
] as const;
</script>

<template>
  <ol class="steps" aria-label="At the bench">
    <li>
      <p><strong>Infuse and strain</strong> {{ format.mass(wentInG) }} of liquid with</p>
      <TextField
        label="What is infused"
        :value="process.with"
        placeholder="20 g rosemary, 15 min below the boil"
        @change="set({ with: $event }, 'infused with another thing')"
      />
    </li>
    <li>
      <p>
        <strong>Measure what is left</strong>
        <span v-if="process.leftG === null" class="soft">
          about {{ format.mass(leftG) }} is usual; weigh it</span
        >
      </p>
      <AmountField
        lazy
        size="middle"
        label="What is left after straining"
        :value="leftG"
        :kind="massKind(format, { step: 5, min: 1, max: 50000 })"
        @change="(grams) => set({ leftG: grams }, 'what is left is measured')"
      />
      <ChoiceField
        label="What is lost"
        :options="LOSES"
        :model-value="process.loses"
        @update:model-value="set({ loses: $event }, 'lost otherwise')"
      />
      <LinkButton v-if="process.leftG !== null" @click="set({ leftG: null }, 'for the next one')">
        the next one
      </LinkButton>
    </li>
    <li>
      <p><strong>Then match it</strong></p>
      <p v-if="matched" class="match">
        <span class="figures">{{ format.mass(matched.massG) }}</span>
        <span class="soft">{{ format.volume(matched.volumeMl) }} as it is spooned</span>
      </p>
      <div class="fields">
        <IngredientField
          label="What is matched to it"
          :ingredients
          :model-value="process.match.ingredient"
          @update:model-value="setMatch({ ingredient: $event })"
        />
        <AmountField
          lazy
          label="How much for one of what is left"
          :value="process.match.ratio"
          :kind="
            numberKind({
              step: 0.1,
              min: 0,
              max: 5,
              write: (ratio) => `${Number(ratio.toFixed(2))} to 1`,
            })
          "
          @change="(ratio) => setMatch({ ratio })"
        />
        <ChoiceField
          label="Matched by"
          :options="BY"
          :model-value="process.match.by"
          @update:model-value="setMatch({ by: $event })"
        />
      </div>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  counter-reset: step;
  margin-top: 12px;
  border-top: 1px solid var(--ink);
}

li {
  position: relative;
  border-bottom: 1px solid var(--hairline);
  padding: 8px 0 8px 34px;
  counter-increment: step;
}

li::before {
  position: absolute;
  left: 4px;
  font-family: var(--figures);
  font-size: var(--t24);
  line-height: 1.1;
  content: counter(step);
}

.match .figures {
  margin-right: 10px;
  font-size: var(--t40);
  font-weight: 500;
  line-height: 1.1;
}

.fields {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr;
  gap: 14px;
}
</style>
