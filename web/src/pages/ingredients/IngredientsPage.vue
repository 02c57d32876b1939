<script setup lang="ts">
import { useSession } from '../../stores/session.ts';
import { densityGPerMl, energyKcal } from '@ratio/core/matter';
import { measuredGPerMl, type Ingredient } from '@ratio/core/pantry';
import { ElInput } from 'element-plus';
import { RouterLink } from 'vue-router';
import { OPENED_DAYS, priceKind } from '../../components/fields/amountKind.ts';
import AmountField from '../../components/fields/AmountField.vue';
import OpenState from '../../components/figures/OpenState.vue';
import PackageCard from './PackageCard.vue';
import { useIngredients } from './useIngredients.ts';

const session = useSession();
const { sought, rows, open, ownOf, isBuiltIn, save, remove, ...own } = useIngredients();
const { form, fromPackage, add, edit, discard } = own;

const MARKS = {
  exact: 'by definition',
  published: 'published',
  memory: 'from memory',
  practice: 'common practice',
  ours: 'ours',
} as const;
const kcal = ({ per100G }: Ingredient): string => energyKcal(per100G).toFixed(0);
const density = (ingredient: Ingredient): string =>
  ingredient.looseGPerMl === null
    ? densityGPerMl({ composition: ingredient.per100G, tempC: 20 }).toFixed(3)
    : `${measuredGPerMl({ ingredient, tempC: 20 }).toFixed(2)} loose`;
</script>

<template>
  <div class="page">
    <header>
      <h1>Ingredients</h1>
      <p class="soft">
        Built in, or your own from a package. Your own values for a built-in one stand in for it
        everywhere. <RouterLink to="/shelf/house-recipes">House recipes</RouterLink>
      </p>
      <ElInput
        v-model="sought"
        class="find"
        aria-label="Find an ingredient"
        placeholder="Find: oat, milk, syrup …"
      />
    </header>
    <div class="columns">
      <div class="scroll">
        <table>
          <caption class="visually-hidden">
            Ingredients, 100 g of each
          </caption>
          <thead>
            <tr>
              <th scope="col">Ingredient</th>
              <th scope="col" class="n">kcal</th>
              <th scope="col" class="n">Sugar, g</th>
              <th scope="col" class="n">Fat, g</th>
              <th scope="col" class="n">g/mL</th>
              <th scope="col">Contains</th>
              <th scope="col">Keeps, days</th>
              <th scope="col">Stands open</th>
              <th scope="col">Price a kg</th>
              <th scope="col">Source</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in rows" :key="one.id">
              <th scope="row">
                <button
                  v-if="one.per100G.coffeeG === 0"
                  type="button"
                  class="name"
                  :title="`What the package of ${one.name} says`"
                  :aria-pressed="form.id === one.id"
                  @click="edit(one)"
                >
                  {{ one.name }}
                </button>
                <template v-else>{{ one.name }}</template>
                <button
                  v-if="ownOf(one.id)"
                  type="button"
                  class="drop"
                  :aria-label="
                    isBuiltIn(one.id)
                      ? `${one.name}: as it was built in`
                      : `Take ${one.name} off the shelf`
                  "
                  @click="remove(one)"
                >
                  {{ isBuiltIn(one.id) ? 'yours · reset' : 'yours · remove' }}
                </button>
              </th>
              <td class="n">{{ kcal(one) }}</td>
              <td class="n">{{ one.per100G.sugarG.toFixed(1) }}</td>
              <td class="n">{{ one.per100G.fatG.toFixed(1) }}</td>
              <td class="n">{{ density(one) }}</td>
              <td>{{ one.allergens.join(', ') || '–' }}</td>
              <td>
                <AmountField
                  lazy
                  :label="`${one.name}: days once opened`"
                  :value="one.openedDays ?? 0"
                  :kind="OPENED_DAYS"
                  @change="
                    (days) =>
                      save(one, { openedDays: days < 1 ? null : Math.round(days) }, 'opened life')
                  "
                />
              </td>
              <td class="open">
                <OpenState
                  v-if="one.openedDays !== null"
                  :name="one.name"
                  :life="open.lifeOf(one.id)"
                  :zone="open.zone.value"
                  opening="Open one"
                  @open="open.start(one)"
                  @used-up="open.useUp(one)"
                />
              </td>
              <td>
                <AmountField
                  lazy
                  :label="`${one.name}: price a kilogram`"
                  :value="one.pricePerKg ?? 0"
                  :kind="priceKind({ max: 10000, unknown: one.pricePerKg === null })"
                  @change="(pricePerKg) => save(one, { pricePerKg }, 'price')"
                />
              </td>
              <td class="soft source" :title="one.source">{{ MARKS[one.mark] }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="rows.length === 0" class="none">
          Nothing of that name. Put it on the shelf from its package.
        </p>
      </div>
      <PackageCard
        :may-price="session.can('leads')"
        :form
        :from-package
        @add="add"
        @discard="discard"
      />
    </div>
  </div>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: 1fr 300px;
  align-items: end;
  gap: 0 24px;
  padding-bottom: 12px;
}

.find {
  grid-row: 1 / span 2;
  grid-column: 2;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 24px;
}

th,
td {
  height: 44px;
  border-bottom: 1px solid var(--hairline);
  padding: 0 8px 0 0;
  text-align: left;
}

thead th {
  height: auto;
  border-bottom-color: var(--ink);
  color: var(--ink-soft);
}

tbody th {
  min-width: 150px;
  font-size: var(--t15);
}

td :deep(.el-input__inner) {
  font-size: var(--t15);
}

td :deep(.amount) {
  width: 76px;
}

.n {
  font-family: var(--figures);
  text-align: right;
  white-space: nowrap;
}

.n + td:not(.n) {
  padding-left: 10px;
}

thead .n {
  font-family: var(--words);
}

.name {
  border: 0;
  background: none;
  padding: 0;
  font-weight: 600;
  text-align: left;
  cursor: pointer;
}

.name:hover,
.name[aria-pressed='true'] {
  color: var(--action);
  text-decoration: underline;
}

.drop {
  display: block;
  border: 0;
  background: none;
  padding: 0;
  color: var(--action);
  font-size: 0.75rem;
  cursor: pointer;
}

.open {
  min-width: 140px;
}

.source {
  white-space: nowrap;
}

.none {
  padding: 24px 0;
}

@media (max-width: 1100px) {
  .columns,
  header {
    grid-template-columns: 1fr;
  }

  .find {
    grid-row: auto;
    grid-column: 1;
  }
}
</style>
