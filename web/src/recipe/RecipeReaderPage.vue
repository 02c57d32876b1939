<script setup lang="ts">
import { drinkOf } from '@ratio/core/recipeText';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import RecipeAxis from './RecipeAxis.vue';
import RecipeCard from './RecipeCard.vue';
import { useRecipeReader } from './useRecipeReader.ts';
import { useEditedDrink } from '../drink/index.ts';
import { useDraft } from '../plan/index.ts';
import { useAmountFormat } from '../shop/index.ts';

const drafts = useDraft();
const format = useAmountFormat();
const router = useRouter();
const reader = useRecipeReader();
const { takeInHand } = useEditedDrink();
const { recipes, full } = reader;

const LETTERS = 'ABCD';
const points = computed(() =>
  recipes.value.flatMap(({ read }, i) =>
    read?.status === 'read'
      ? [{ letter: LETTERS[i]!, ratio: read.ratio, strengthFrac: read.strengthFrac }]
      : [],
  ),
);

async function makePlan(i: number): Promise<void> {
  const { read } = recipes.value[i]!;
  const plan = read ? reader.planOf(read, drafts.plan) : null;
  if (!plan || read?.status !== 'read') return;
  const { low, high } = read.coffee.massG;
  drafts.takePlan(plan, { scooped: high / low > 1.05, startAt: null });
  await router.push('/plan');
}
async function pourIt(i: number): Promise<void> {
  const { read } = recipes.value[i]!;
  const drink = read && read.status !== 'unread' ? read.drink : null;
  if (!drink) return;
  takeInHand(drinkOf(drink));
  await router.push('/pour');
}
</script>

<template>
  <div class="page">
    <header>
      <h1>Recipes, made comparable</h1>
      <p class="soft">
        A recipe in cups and spoons never says its real ratio. Here each one is weighed, and two can
        stand side by side.
        <RouterLink to="/plan">Back to the plan</RouterLink>
      </p>
    </header>
    <div class="cards">
      <RecipeCard
        v-for="(recipe, i) in recipes"
        :key="i"
        :recipe
        :letter="LETTERS[i]!"
        :format
        :only="recipes.length === 1"
        @text="reader.set(i, $event)"
        @remove="reader.remove(i)"
        @plan="makePlan(i)"
        @pour="pourIt(i)"
        @answer="reader.answer(i, $event)"
      />
      <ElButton v-if="!full" class="more" @click="reader.add">Add a recipe</ElButton>
    </div>
    <section class="axis" aria-label="Side by side">
      <RecipeAxis v-if="points.length > 0" :points />
      <p v-else class="soft">
        A recipe that can be read appears here by its true ratio and strength.
      </p>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px 28px;
}

header {
  grid-column: 1 / -1;
}

.cards {
  display: grid;
  align-content: start;
  gap: 14px;
}

.more {
  justify-self: start;
}

.axis {
  position: sticky;
  top: 16px;
  align-self: start;
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 18px;
}

@media (max-width: 900px) {
  .page {
    grid-template-columns: 1fr;
  }

  .axis {
    position: static;
    grid-row: 2;
  }
}
</style>
