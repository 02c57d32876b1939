<script setup lang="ts">
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import HouseRecipeOutcome from './HouseRecipeOutcome.vue';
import HouseRecipeForm from './HouseRecipeForm.vue';
import { useHouseRecipes } from './useHouseRecipes.ts';
import { useOpened } from '../pantry/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { useKeys } from '../ui/browser/index.ts';
import { ListedButton } from '../ui/buttons/index.ts';
import { ChoiceField } from '../ui/fields/index.ts';

const page = useHouseRecipes();
const { store, recipe, made } = page;
const open = useOpened();
const format = useAmountFormat();

useKeys({ n: () => void page.add() });
</script>

<template>
  <div class="recipes side-by-side">
    <section class="list no-print" aria-labelledby="recipes-list">
      <h1 id="recipes-list">House recipes</h1>
      <ul>
        <li v-for="one in store.houseRecipes" :key="one.id">
          <ListedButton :chosen="one.id === recipe?.id" @click="page.choose(one.id)">
            <span>{{ one.name }}</span>
            <span v-if="store.resolved.made[one.id]" class="soft fine">
              {{ format.volume(store.resolved.made[one.id]!.yieldMl) }}, keeps
              {{ store.resolved.made[one.id]!.lifeDays }} d
            </span>
            <span v-else class="due fine">cannot be made</span>
          </ListedButton>
        </li>
      </ul>
      <div class="more">
        <ElButton @click="page.add()">New recipe</ElButton>
        <RouterLink to="/shelf/ingredients">Ingredients</RouterLink>
      </div>
      <div class="begin">
        <span class="label">or begin with</span>
        <ChoiceField
          label="Begin a new recipe with"
          model-value=""
          :options="
            page.starting.value.map(({ name, reason }) => ({ value: name, label: name, reason }))
          "
          @update:model-value="page.add"
        />
      </div>
    </section>
    <template v-if="recipe">
      <HouseRecipeForm
        :recipe
        :made
        :ingredients="store.all.filter(({ id }) => id !== recipe?.id)"
        :leftover="page.leftover.value"
        :format
        @change="page.change"
        @remove="page.remove"
      />
      <HouseRecipeOutcome
        v-if="made"
        :recipe
        :made
        :need="page.need.value"
        :goes-into="page.goesInto.value"
        :life="open.lifeOf(recipe.id)"
        :use-by="open.lastDayOf(made.lifeDays)"
        :zone="open.zone.value"
        :format
        @scale="page.scale"
        @open="open.start(made.ingredient)"
        @used-up="open.useUp(made.ingredient)"
      />
      <div v-else class="empty">
        <h2>It cannot be made like this</h2>
        <p>{{ page.broken.value }}</p>
      </div>
    </template>
    <div v-else class="empty">
      <h2>No house recipe is on the shelf yet</h2>
      <p>
        Syrups, infusions, creams and foams, reduced plant milk, coffee cubes: a recipe here becomes
        something to pour, with its cost, its life and its allergens.
      </p>
    </div>
  </div>
</template>

<style scoped>
.recipes {
  grid-template-columns: 262px minmax(0, 1fr) 420px;
}

.list {
  padding: 14px 10px;
  border-right: 1px solid var(--hairline);
}

h1 {
  padding: 6px 10px 8px;
}

.fine {
  font-size: var(--t13);
}

.more {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 12px 10px;
}

.begin {
  padding: 0 10px;
  font-size: var(--t13);
}

.empty {
  padding: 40px 24px;
}

@media (max-width: 1180px) {
  .recipes {
    grid-template-columns: 230px minmax(0, 1fr);
  }

  .recipes > :nth-child(3) {
    grid-column: 1 / -1;
  }
}

@media (max-width: 640px) {
  .recipes {
    grid-template-columns: minmax(0, 1fr);
  }

  .list {
    border-right: 0;
  }
}

@media print {
  .recipes {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
