<script setup lang="ts">
import { whenever } from '@vueuse/core';
import { markText } from '@ratio/core/explanation';
import { densityGPerMl, energyKcal } from '@ratio/core/matter';
import { measuredGPerMl, type Ingredient } from '@ratio/core/pantry';
import { ElButton, ElInput } from 'element-plus';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import AddIcon from '~icons/lucide/plus';
import { useIngredients } from './useIngredients.ts';
import { OPENED_DAYS, pricePerMassKind } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { useKeys } from '../ui/browser/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField } from '../ui/fields/index.ts';
import { HintText, OpenState } from '../ui/figures/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';
import { LazyDataTable as DataTable, type DataColumn } from '../ui/tables/index.ts';

const PackageDialog = lazyComponent(() => import('./PackageDialog.vue'));

const session = useSession();
const { sought, rows, open, ownOf, isBuiltIn, save, remove, ...own } = useIngredients();
const resetText = (id: string): string => (isBuiltIn(id) ? 'yours · reset' : 'yours · remove');
const { form, fromPackage, add, edit, discard } = own;
const format = useAmountFormat();

const isOpen = ref(false);
const wasOpened = ref(false);
whenever(
  () => isOpen.value,
  () => (wasOpened.value = true),
  { immediate: true },
);
function openPackage(one: Ingredient): void {
  edit(one);
  isOpen.value = true;
}
function startNew(): void {
  if (form.value.id !== null) discard();
  isOpen.value = true;
}
function leave(): void {
  discard();
  isOpen.value = false;
}
async function addIt(): Promise<void> {
  await add();
  // What was saved is out of hand.
  if (form.value.name === '') isOpen.value = false;
}
useKeys({ n: startNew });

const kcal = ({ per100G }: Ingredient): string => energyKcal(per100G).toFixed(0);
const density = (ingredient: Ingredient): string =>
  ingredient.looseGPerMl === null
    ? densityGPerMl({ composition: ingredient.per100G, tempC: 20 }).toFixed(3)
    : `${measuredGPerMl({ ingredient, tempC: 20 }).toFixed(2)} loose`;

const columns = computed<readonly DataColumn<Ingredient>[]>(() => [
  { key: 'name', label: 'Ingredient', by: ({ name }) => name, minPx: 180 },
  {
    key: 'open',
    label: 'Stands open',
    by: ({ id }) => open.lifeOf(id)?.daysLeft ?? 1e6,
    minPx: 170,
  },
  { key: 'keeps', label: 'Keeps, days', by: ({ openedDays }) => openedDays ?? 1e6, minPx: 104 },
  {
    key: 'price',
    label: `Price a ${format.value.pricedMass}`,
    by: ({ pricePerKg }) => pricePerKg ?? -1,
    minPx: 96,
  },
  {
    key: 'contains',
    label: 'Contains',
    text: ({ allergens }) => allergens.join(', ') || '–',
    by: ({ allergens }) => allergens.join(', '),
    minPx: 100,
  },
  {
    key: 'kcal',
    label: 'kcal',
    text: kcal,
    by: ({ per100G }) => energyKcal(per100G),
    isNumber: true,
    minPx: 56,
  },
  {
    key: 'sugar',
    label: 'Sugar, g',
    text: ({ per100G }) => per100G.sugarG.toFixed(1),
    by: ({ per100G }) => per100G.sugarG,
    isNumber: true,
    minPx: 80,
  },
  {
    key: 'fat',
    label: 'Fat, g',
    text: ({ per100G }) => per100G.fatG.toFixed(1),
    by: ({ per100G }) => per100G.fatG,
    isNumber: true,
    minPx: 60,
  },
  { key: 'density', label: 'g/mL', text: density, isNumber: true, minPx: 96 },
  { key: 'source', label: 'Source', by: ({ mark }) => markText(mark), minPx: 120 },
]);
</script>

<template>
  <div class="page">
    <header>
      <h1>Ingredients</h1>
      <p class="soft">
        Built in, or your own from a package. Your own values for a built-in ingredient are used
        everywhere.<br />
        <RouterLink to="/shelf/house-recipes">House recipes</RouterLink>
      </p>
      <div class="find">
        <ElInput
          v-model="sought"
          aria-label="Find an ingredient"
          placeholder="Find: oat, milk, syrup …"
        />
        <ElButton :icon="AddIcon" @click="startNew">A new package</ElButton>
      </div>
    </header>
    <DataTable
      label="Ingredients, 100 g of each"
      :rows
      :key-of="({ id }) => id"
      :columns
      :first="20"
    >
      <template #name-cell="{ row }">
        <LinkButton
          v-if="row.per100G.coffeeG === 0"
          class="plain name"
          :aria-label="`What the package of ${row.name} says`"
          aria-haspopup="dialog"
          @click="openPackage(row)"
        >
          {{ row.name }}
        </LinkButton>
        <strong v-else>{{ row.name }}</strong>
        <LinkButton
          v-if="ownOf(row.id)"
          class="drop"
          :aria-label="`${row.name}: ${resetText(row.id)}`"
          @click="remove(row)"
        >
          {{ resetText(row.id) }}
        </LinkButton>
      </template>
      <template #keeps-cell="{ row }">
        <AmountField
          lazy
          :label="`${row.name}: days once opened`"
          :value="row.openedDays ?? 0"
          :kind="OPENED_DAYS"
          @change="
            (days) => save(row, { openedDays: days < 1 ? null : Math.round(days) }, 'opened life')
          "
        />
      </template>
      <template #open-cell="{ row }">
        <OpenState
          v-if="row.openedDays !== null"
          :name="row.name"
          :life="open.lifeOf(row.id)"
          :zone="open.zone.value"
          opening="Open one"
          @open="open.start(row)"
          @used-up="open.useUp(row)"
        />
      </template>
      <template #price-cell="{ row }">
        <AmountField
          lazy
          :label="`${row.name}: price a ${format.pricedMass}`"
          :value="row.pricePerKg ?? 0"
          :kind="pricePerMassKind(format, { max: 10000, unknown: row.pricePerKg === null })"
          @change="(pricePerKg) => save(row, { pricePerKg }, 'price')"
        />
      </template>
      <template #source-cell="{ row }">
        <HintText :hint="row.source">{{ markText(row.mark) }}</HintText>
      </template>
    </DataTable>
    <p v-if="rows.length === 0" class="none">
      Nothing of that name.
      <LinkButton @click="startNew">Put it on the shelf from its package</LinkButton>
    </p>
    <PackageDialog
      v-if="wasOpened"
      v-model="isOpen"
      :format
      :may-price="session.can('leads')"
      :form
      :from-package
      @add="addIt"
      @discard="leave"
    />
  </div>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: 0 24px;
  padding-bottom: 12px;
}

.find {
  display: grid;
  grid-template-columns: 280px auto;
  grid-row: 1 / span 2;
  grid-column: 2;
  gap: 12px;
}

.page :deep(td .cell) {
  padding-block: 4px;
}

.page :deep(td .el-input__inner) {
  font-size: var(--t15);
}

.page :deep(td .amount) {
  width: 76px;
}

.name.el-button.is-link {
  padding: 0;
  color: var(--ink);
  font-size: var(--t15);
  font-weight: 600;
}

.plain.el-button.is-link {
  padding: 0;
}

.drop.el-button.is-link {
  display: flex;
  min-height: 24px;
  padding: 0;
}

.none {
  padding: 24px 0;
}

@media (max-width: 1100px) {
  header {
    grid-template-columns: 1fr;
  }

  .find {
    grid-template-columns: minmax(0, 1fr) auto;
    grid-row: auto;
    grid-column: 1;
    padding-top: 8px;
  }
}
</style>
