<script setup lang="ts">
import { densityGPerMl, energyKcal } from '@ratio/core/matter';
import { ALLERGENS, INGREDIENT_KINDS, type Ingredient } from '@ratio/core/pantry';
import 'element-plus/theme-chalk/el-checkbox.css';
import 'element-plus/theme-chalk/el-dialog.css';
import 'element-plus/theme-chalk/el-overlay.css';
import { ElButton, ElCheckbox, ElCheckboxGroup, ElDialog } from 'element-plus';
import { computed } from 'vue';
import type { PackageForm } from './useIngredients.ts';
import {
  OPENED_DAYS,
  numberKind,
  percentKind,
  pricePerMassKind,
  type AmountFormat,
} from '../format/index.ts';
import { ActButton, AmountRow, PickRow, TextRow, useRefusals } from '../ui/fields/index.ts';

/** An ingredient from the table on its package: what it amounts to is shown before it is saved. */
const props = defineProps<{
  format: AmountFormat;
  /** Prices are the lead’s. */
  mayPrice: boolean;
  form: PackageForm;
  fromPackage: { ingredient: Omit<Ingredient, 'id'> } | { wrong: string };
}>();
const emit = defineEmits<{ add: []; discard: [] }>();
const isOpen = defineModel<boolean>({ required: true });

type GramKey = 'fatG' | 'carbohydrateG' | 'sugarG' | 'proteinG' | 'saltG';
const GRAMS: readonly { key: GramKey; label: string }[] = [
  { key: 'fatG', label: 'Fat, g' },
  { key: 'carbohydrateG', label: 'Carbohydrate, g' },
  { key: 'sugarG', label: 'of which sugars, g' },
  { key: 'proteinG', label: 'Protein, g' },
  { key: 'saltG', label: 'Salt, g' },
];
const PER = [
  { value: '100 mL', label: 'per 100 mL' },
  { value: '100 g', label: 'per 100 g' },
] as const;
const KINDS = INGREDIENT_KINDS.filter((kind) => kind !== 'foam').map((value) => ({
  value,
  label: value,
}));
// The form belongs to the page: these write into it.
const form = computed(() => props.form);
const check = computed(() => {
  if ('wrong' in props.fromPackage) return '';
  const { per100G } = props.fromPackage.ingredient;
  const gPerMl = densityGPerMl({ composition: per100G, tempC: 20 });
  const kcal = energyKcal(per100G) * (props.form.per === '100 mL' ? gPerMl : 1);
  return `That is ${gPerMl.toFixed(3)} g/mL and ${kcal.toFixed(0)} kcal per ${props.form.per}: does the package say so too?`;
});
useRefusals();
</script>

<template>
  <ElDialog
    v-model="isOpen"
    :title="form.id === null ? 'A new package' : 'What its package says'"
    width="min(94vw, 560px)"
    append-to-body
  >
    <section class="package" aria-label="What the package says">
      <TextRow
        label="Name"
        name="Name of the ingredient"
        :value="form.name"
        placeholder="oat drink, barista"
        @change="form.name = $event"
      />
      <div class="pair">
        <PickRow v-model="form.kind" label="Kind" name="Kind of ingredient" :options="KINDS" />
        <PickRow v-model="form.per" label="Table" name="Table is per" :options="PER" />
        <AmountRow
          v-for="row in GRAMS"
          :key="row.key"
          :label="row.label"
          :value="form[row.key]"
          :kind="
            numberKind({
              accepts: ['mass'],
              plainUnit: 'gram',
              step: 0.1,
              min: 0,
              max: 100,
              write: (grams) => String(Number(grams.toFixed(2))),
            })
          "
          @change="form[row.key] = $event"
        />
        <AmountRow
          label="Alcohol, % vol"
          name="Alcohol by volume"
          :value="form.alcoholFrac"
          :kind="percentKind({ step: 0.005, min: 0, max: 0.96, decimals: 1 })"
          @change="form.alcoholFrac = $event"
        />
        <AmountRow
          label="Once opened, days"
          name="Days once opened"
          :value="form.openedDays ?? 0"
          :kind="OPENED_DAYS"
          @change="(days) => (form.openedDays = days < 1 ? null : Math.round(days))"
        />
        <AmountRow
          v-if="mayPrice"
          :label="`Price a ${format.pricedMass}`"
          :value="form.pricePerKg ?? 0"
          :kind="pricePerMassKind(format, { max: 10000, unknown: form.pricePerKg === null })"
          @change="form.pricePerKg = $event"
        />
      </div>
      <ElCheckboxGroup v-model="form.allergens" class="allergens" aria-label="Contains">
        <span class="label">Contains</span>
        <ElCheckbox v-for="allergen in ALLERGENS" :key="allergen" :value="allergen">
          {{ allergen }}
        </ElCheckbox>
      </ElCheckboxGroup>
      <p v-if="'wrong' in fromPackage" class="due" role="alert">{{ fromPackage.wrong }}</p>
      <p v-else class="soft fine">{{ check }}</p>
      <ActButton
        primary
        :disabled="'wrong' in fromPackage || form.name.trim() === ''"
        @act="emit('add')"
        >{{ form.id === null ? 'Put it on the shelf' : 'Save what it says' }}</ActButton
      >
      <ElButton v-if="form.id !== null" text @click="emit('discard')">Leave it as it was</ElButton>
    </section>
  </ElDialog>
</template>

<style scoped>
.package {
  display: grid;
  gap: 4px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
}

.pair :deep(.el-input__inner) {
  font-size: var(--t18);
}

.allergens {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 12px;
  margin: 8px 0;
}

.fine {
  padding-bottom: 8px;
  font-size: var(--t13);
}
</style>
