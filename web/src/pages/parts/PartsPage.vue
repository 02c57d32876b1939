<script setup lang="ts">
import { ElButton } from 'element-plus';
import { onScopeDispose } from 'vue';
import { RouterLink } from 'vue-router';
import ChoiceField from '../../field/ChoiceField.vue';
import { useWords } from '../../stores/useWords.ts';
import PartOutcome from './PartOutcome.vue';
import PartRecipe from './PartRecipe.vue';
import { useParts } from './useParts.ts';

const parts = useParts();
const { store, part, made } = parts;
const words = useWords();

function key(event: KeyboardEvent): void {
  if (event.key !== 'n' || event.ctrlKey || event.metaKey || event.altKey) return;
  if ((event.target as HTMLElement).closest('input, textarea, [role="dialog"]')) return;
  void parts.add();
}
window.addEventListener('keydown', key);
onScopeDispose(() => window.removeEventListener('keydown', key));
</script>

<template>
  <div class="parts">
    <section class="list no-print" aria-labelledby="parts-list">
      <h1 id="parts-list">House-made parts</h1>
      <ul>
        <li v-for="one in store.parts" :key="one.id">
          <button
            type="button"
            :aria-current="one.id === part?.id ? 'true' : undefined"
            :class="{ chosen: one.id === part?.id }"
            @click="parts.choose(one.id)"
          >
            <span>{{ one.name }}</span>
            <span v-if="store.resolved.made[one.id]" class="soft fine">
              {{ words.volume(store.resolved.made[one.id]!.yieldMl) }}, keeps
              {{ store.resolved.made[one.id]!.lifeDays }} d
            </span>
            <span v-else class="due fine">cannot be made</span>
          </button>
        </li>
      </ul>
      <div class="more">
        <ElButton @click="parts.add()">New part</ElButton>
        <RouterLink to="/shelf/ingredients">Ingredients</RouterLink>
      </div>
      <div class="begin">
        <span class="label">or begin with</span>
        <ChoiceField
          label="Begin a new part with"
          model-value=""
          :options="
            parts.recipes.value.map(({ name, reason }) => ({ value: name, label: name, reason }))
          "
          @update:model-value="parts.add"
        />
      </div>
    </section>
    <template v-if="part">
      <PartRecipe
        :part="part"
        :made="made"
        :ingredients="store.all.filter(({ id }) => id !== part?.id)"
        :words="words"
        @change="parts.change"
        @remove="parts.remove"
      />
      <PartOutcome
        v-if="made"
        :part="part"
        :made="made"
        :need="parts.need.value"
        :goes-into="parts.goesInto.value"
        :words="words"
        @scale="parts.scale"
      />
      <div v-else class="empty">
        <h2>It cannot be made like this</h2>
        <p>{{ parts.broken.value }}</p>
      </div>
    </template>
    <div v-else class="empty">
      <h2>The house makes nothing yet</h2>
      <p>
        Syrups, infusions, creams and foams, reduced plant milk, coffee cubes: a recipe here becomes
        something to pour, with its cost, its life and its allergens.
      </p>
    </div>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: 262px minmax(0, 1fr) 420px;
  min-height: calc(100vh - 84px);
}

.list {
  padding: 14px 10px;
  border-right: 1px solid var(--hairline);
}

h1 {
  padding: 0 10px 8px;
  font-size: var(--t18);
}

li button {
  display: grid;
  width: 100%;
  min-height: 52px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  border-left: 3px solid transparent;
  background: none;
  padding: 6px 10px 6px 7px;
  text-align: left;
  cursor: pointer;
}

li button.chosen {
  border-left-color: var(--action);
  background: var(--panel);
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
  .parts {
    grid-template-columns: 230px minmax(0, 1fr);
  }

  .parts > :nth-child(3) {
    grid-column: 1 / -1;
  }
}

@media print {
  .parts {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
