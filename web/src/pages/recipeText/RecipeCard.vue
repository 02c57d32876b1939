<script setup lang="ts">
import LeaveOutButton from '../../components/fields/LeaveOutButton.vue';
import {
  amountText,
  writeMass,
  type ShopUnits,
  percentText,
  percentFigure,
} from '@ratio/core/units';
import { ElButton, ElInput } from 'element-plus';
import { computed } from 'vue';
import { piecesOf } from './textPieces.ts';
import type { RecipeOnPage } from './useRecipeReader.ts';

/** One recipe: its text, what each piece of it became, and what it really is. */
const props = defineProps<{
  recipe: RecipeOnPage;
  letter: string;
  units: ShopUnits;
  only: boolean;
}>();
const emit = defineEmits<{ text: [text: string]; remove: []; plan: [] }>();

const read = computed(() => (props.recipe.read?.status === 'read' ? props.recipe.read : null));
const pieces = computed(() => (read.value ? piecesOf(props.recipe.text, read.value.marks) : []));
const mass = (massG: number): string => amountText(writeMass({ massG, units: props.units }));
const span = (low: number, high: number, write: (value: number) => string): string =>
  high / low > 1.01 ? `${write(low)} to ${write(high)}` : write(low);
const steep = computed(() => {
  if (!read.value) return '';
  const { hours, place } = read.value.steep;
  const time = hours.low === hours.high ? `${hours.low} h` : `${hours.low} to ${hours.high} h`;
  return place ? `${time}, ${place}` : time;
});
const grave = computed(
  () => read.value?.notes.filter(({ code }) => !code.startsWith('assumed')) ?? [],
);
const assumed = computed(
  () => read.value?.notes.filter(({ code }) => code.startsWith('assumed')) ?? [],
);
</script>

<template>
  <article class="card" :aria-label="`Recipe ${letter}`">
    <div class="head">
      <strong class="letter">{{ letter }}</strong>
      <LeaveOutButton v-if="!only" :label="`Leave out recipe ${letter}`" @click="emit('remove')" />
    </div>
    <ElInput
      :model-value="recipe.text"
      type="textarea"
      :autosize="{ minRows: 2, maxRows: 5 }"
      :aria-label="`Recipe ${letter}`"
      placeholder="Type or paste a recipe: 200 g coffee, 1 L water, 16 h in the fridge"
      @update:model-value="emit('text', $event)"
    />
    <p v-if="recipe.wrong" class="due" role="alert">{{ recipe.wrong }}</p>
    <template v-if="read">
      <p class="text" aria-label="What was used">
        <template v-for="(piece, i) in pieces" :key="i">
          <mark v-if="piece.as"
            >{{ piece.text }}<small>{{ piece.as }}</small></mark
          >
          <span v-else>{{ piece.text }}</span>
        </template>
      </p>
      <p class="really">
        <span class="figures big">1:{{ read.ratio.value.toFixed(1) }}</span>
        <span class="figures big">{{ percentText(read.strengthFrac.value) }}</span>
        <strong>{{ read.strengthName }}</strong>
      </p>
      <p class="soft fine">
        {{ span(read.coffee.massG.low, read.coffee.massG.high, mass) }} coffee,
        {{ read.coffee.grind }};
        {{ span(read.water.massG.low, read.water.massG.high, mass) }} water; {{ steep }}. Strength
        {{ percentFigure(read.strengthFrac.low) }} to {{ percentText(read.strengthFrac.high) }}.
      </p>
      <ul>
        <li v-for="note in grave" :key="note.code + note.text" class="due">{{ note.text }}</li>
      </ul>
      <details v-if="assumed.length > 0">
        <summary>{{ assumed.length }} assumed</summary>
        <ul>
          <li v-for="note in assumed" :key="note.code + note.text">{{ note.text }}</li>
        </ul>
      </details>
      <ElButton type="primary" @click="emit('plan')">Make it the plan</ElButton>
    </template>
  </article>
</template>

<style scoped>
.card {
  display: grid;
  align-content: start;
  gap: 8px;
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 14px 18px;
}

.head {
  display: flex;
  justify-content: space-between;
}

.letter {
  font-size: var(--t18);
}

.head button {
  min-width: 32px;
  border: 0;
  background: none;
  font-size: var(--t18);
  cursor: pointer;
}

mark {
  display: inline-block;
  border-bottom: 2px solid var(--action);
  background: none;
  color: inherit;
  line-height: 1.2;
}

small {
  display: block;
  color: var(--action);
  font-size: 0.75rem;
}

.text {
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
  white-space: pre-wrap;
}

.really {
  display: flex;
  align-items: baseline;
  gap: 28px;
}

.big {
  font-size: var(--t40);
  line-height: 1.1;
  letter-spacing: -0.04em;
}

.fine,
li,
summary {
  font-size: var(--t13);
}

li + li {
  margin-top: 4px;
}

summary {
  min-height: 28px;
  cursor: pointer;
}
</style>
