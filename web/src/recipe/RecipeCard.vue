<script setup lang="ts">
import { percentText, percentFigure } from '@ratio/core/units';
import { INGREDIENTS } from '@ratio/core/pantry';
import { ElButton, ElCollapse, ElCollapseItem, ElInput } from 'element-plus';
import 'element-plus/theme-chalk/el-collapse.css';
import 'element-plus/theme-chalk/el-collapse-item.css';
import { computed } from 'vue';
import { piecesOf } from './textPieces.ts';
import type { RecipeOnPage } from './useRecipeReader.ts';
import { inUnits, type AmountFormat } from '../format/index.ts';
import { LeaveOutButton } from '../ui/buttons/index.ts';

/** One recipe: its text, what each piece of it became, and what it really is. */
const props = defineProps<{
  recipe: RecipeOnPage;
  letter: string;
  format: AmountFormat;
  only: boolean;
}>();
const emit = defineEmits<{
  text: [text: string];
  remove: [];
  plan: [];
  pour: [];
  answer: [more: string];
}>();

const read = computed(() => (props.recipe.read?.status === 'read' ? props.recipe.read : null));
const drink = computed(() => {
  const { read: found } = props.recipe;
  return found && found.status !== 'unread' ? found.drink : null;
});
const choices = computed(() =>
  props.recipe.read?.status === 'unread' ? (props.recipe.read.choices ?? []) : [],
);
const pieces = computed(() => {
  const { read: found } = props.recipe;
  return found && found.status !== 'unread' ? piecesOf(props.recipe.text, found.marks) : [];
});
/** What is in the drink as it was stated, one after another. */
const drinkText = computed(() => {
  if (!drink.value) return '';
  const { concentrateMl, additions, ice, cupMl } = drink.value;
  return [
    ...(concentrateMl === null ? [] : [`${props.format.volume(concentrateMl)} concentrate`]),
    ...additions.map(
      ({ ingredient, volumeMl }) =>
        `${props.format.volume(volumeMl)} ${INGREDIENTS[ingredient as keyof typeof INGREDIENTS].name.toLowerCase()}`,
    ),
    ...(ice === null
      ? []
      : [ice === 'full' ? 'a glass full of ice' : `${props.format.mass(ice.massG)} of ice`]),
    ...(cupMl === null ? [] : [`in a ${props.format.volume(cupMl)} glass`]),
  ].join(', ');
});
const span = (low: number, high: number, write: (value: number) => string): string =>
  high / low > 1.01 ? `${write(low)} to ${write(high)}` : write(low);
const steep = computed(() => {
  if (!read.value) return '';
  const { pieces: stretches } = read.value.steep;
  const time = ({ low, high }: { low: number; high: number }): string =>
    low === high ? `${low} h` : `${low} to ${high} h`;
  return stretches
    .map(({ place, hours }) => (place ? `${time(hours)}, ${place}` : time(hours)))
    .join(', then ');
});
/** What comes after the brew, in a sentence. */
const after = computed(() => {
  if (!read.value) return '';
  const { dilution, thinned, rinseG } = read.value;
  return [
    ...(rinseG > 0 ? [`Rinsed with ${props.format.mass(rinseG)}.`] : []),
    ...(thinned
      ? [
          `With ${props.format.volume(thinned.waterMl)} of water added: ${percentText(thinned.strengthFrac)}.`,
        ]
      : []),
    ...(dilution
      ? [
          `Diluted 1:${Number(dilution.proportion.toFixed(2))} with ${dilution.with}: about ${percentText(dilution.strengthFrac)}.`,
        ]
      : []),
  ].join(' ');
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
    <p v-if="choices.length > 0">
      <ElButton v-for="choice in choices" :key="choice" @click="emit('answer', choice)">
        {{ choice }}
      </ElButton>
    </p>
    <template v-if="pieces.length > 0">
      <p class="text" aria-label="What was used">
        <template v-for="(piece, i) in pieces" :key="i">
          <mark v-if="piece.as"
            >{{ piece.text }}<small>{{ piece.as }}</small></mark
          >
          <span v-else>{{ piece.text }}</span>
        </template>
      </p>
    </template>
    <template v-if="read">
      <p class="really">
        <span class="figures big">1:{{ read.ratio.value.toFixed(1) }}</span>
        <span class="figures big">{{ percentText(read.strengthFrac.value) }}</span>
        <strong>{{ read.strengthName }}</strong>
      </p>
      <p class="soft fine">
        {{ span(read.coffee.massG.low, read.coffee.massG.high, format.mass) }} coffee,
        {{ read.coffee.grind }};
        {{ span(read.water.massG.low, read.water.massG.high, format.mass) }} water; {{ steep }}.
        Strength {{ percentFigure(read.strengthFrac.low) }} to
        {{ percentText(read.strengthFrac.high) }}.
      </p>
      <p v-if="after" class="fine">{{ after }}</p>
      <ul>
        <li v-for="note in grave" :key="note.code + note.text" class="due">
          {{ inUnits(note.text, format) }}
        </li>
      </ul>
      <ElCollapse v-if="assumed.length > 0">
        <ElCollapseItem :title="`${assumed.length} assumed`">
          <ul>
            <li v-for="note in assumed" :key="note.code + note.text">
              {{ inUnits(note.text, format) }}
            </li>
          </ul>
        </ElCollapseItem>
      </ElCollapse>
      <ElButton type="primary" @click="emit('plan')">Make it the plan</ElButton>
    </template>
    <template v-if="drink">
      <p>
        <strong>{{ read ? 'Served' : 'A drink' }}</strong> {{ drinkText }}
      </p>
      <ElButton @click="emit('pour')">Take it to Pour</ElButton>
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

/* The spaces between are the text's own. */
.text {
  display: flex;
  flex-wrap: wrap;
  white-space: pre-wrap;
}

.really {
  display: flex;
  align-items: baseline;
  gap: 28px;
}

.big {
  font-size: clamp(1.75rem, 8vw, var(--t40));
  line-height: 1.1;
  letter-spacing: -0.04em;
  white-space: nowrap;
}

.fine,
li,
li + li {
  margin-top: 4px;
}
</style>
