<script setup lang="ts">
import type { Ingredient } from '@ratio/core/pantry';
import { ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import type { AmountFormat } from '../../format/amountFormat.ts';
import PackageCard from './PackageCard.vue';
import type { PackageForm } from './useIngredients.ts';

/** The form of a package, over the ingredients. */
defineProps<{
  format: AmountFormat;
  mayPrice: boolean;
  form: PackageForm;
  fromPackage: { ingredient: Omit<Ingredient, 'id'> } | { wrong: string };
}>();
const emit = defineEmits<{ add: []; discard: [] }>();
const isOpen = defineModel<boolean>({ required: true });
</script>

<template>
  <ElDialog
    v-model="isOpen"
    :title="form.id === null ? 'A new package' : 'What its package says'"
    width="min(94vw, 560px)"
    append-to-body
  >
    <PackageCard
      :format
      :may-price
      :form
      :from-package
      @add="emit('add')"
      @discard="emit('discard')"
    />
  </ElDialog>
</template>
