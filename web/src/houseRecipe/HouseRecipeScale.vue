<script setup lang="ts">
import type { HouseRecipe, MadeRecipe } from '@ratio/core/pantry';
import { ElButton } from 'element-plus';
import { computed, ref, watch } from 'vue';
import { massKind, type AmountFormat } from '../format/index.ts';
import { ActButton, AmountField, ChoiceField, useRefusals } from '../ui/fields/index.ts';

/** How much to make: what the week takes, or what is left of it or of an input. */
const props = defineProps<{
  recipe: HouseRecipe;
  made: MadeRecipe;
  need: { needG: number; factor: number } | null;
  format: AmountFormat;
}>();
const emit = defineEmits<{ scale: [factor: number, what: string] }>();

const times = (factor: number): string => `× ${factor.toFixed(factor < 10 ? 2 : 0)}`;
const WHOLE = 'finished';
const leftOf = ref(WHOLE);
const leftG = ref(0);
const options = computed(() => [
  { value: WHOLE, label: 'of this' },
  ...props.made.inputs
    .slice(0, props.recipe.inputs.length)
    .map(({ ingredient }) => ({ value: ingredient.id, label: `of ${ingredient.name}` })),
]);
watch(
  () => props.recipe.id,
  () => {
    leftOf.value = WHOLE;
    leftG.value = 0;
  },
);
const recipeG = computed(
  () =>
    props.made.inputs.find(({ ingredient }) => ingredient.id === leftOf.value)?.massG ??
    props.made.yieldG,
);
const factor = computed(() => leftG.value / recipeG.value);
useRefusals();
</script>

<template>
  <div class="scale no-print">
    <h2>How much to make</h2>
    <div v-if="need && need.needG > 0" class="row need">
      <p>
        The week takes {{ format.mass(need.needG) }}
        <span class="soft fine">{{ times(need.factor) }} this recipe</span>
      </p>
      <ElButton @click="emit('scale', need.factor, 'made for the week')">Make that</ElButton>
    </div>
    <div class="row">
      <p>What is left</p>
      <AmountField
        label="Amount that is left"
        :value="leftG"
        :kind="massKind(format, { step: 10, min: 0, max: 50000 })"
        @change="leftG = $event"
      />
      <ChoiceField v-model="leftOf" label="Left of what" :options />
      <ActButton :disabled="factor <= 0" @act="emit('scale', factor, 'made from what is left')">{{
        factor > 0 ? times(factor) : 'Make that'
      }}</ActButton>
    </div>
  </div>
</template>

<style scoped>
.scale {
  border-block: 1px solid var(--hairline);
  padding: 8px 0;
}

.row {
  display: flex;
  flex-wrap: wrap;
  margin-top: 6px;
  align-items: center;
  gap: 10px;
}

.row > p {
  flex: none;
}

.need > p {
  flex: 1;
}

.fine {
  font-size: var(--t13);
}

.row :deep(.el-input__inner) {
  min-width: 64px;
  font-size: var(--t15);
}

.row > .el-button {
  margin-left: auto;
}

.row > :deep(.amount) {
  width: 90px;
}

/* Beside the amount, before and after its list is there. */
.row > :deep(.el-select),
.row > :deep(.chosen) {
  flex: 1;
  width: auto;
  min-width: 110px;
}
</style>
