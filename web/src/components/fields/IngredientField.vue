<script setup lang="ts">
import type { Ingredient } from '@ratio/core/pantry';
import { ElOption, ElSelect } from 'element-plus';

/** One of everything that can be poured, found by a few letters. */
defineProps<{ label: string; ingredients: readonly Ingredient[] }>();
const chosen = defineModel<string>({ required: true });

const reason = ({ mark, allergens, openedDays }: Ingredient): string =>
  [
    mark === 'ours' ? 'made by the house' : '',
    allergens.length > 0 ? `contains ${allergens.join(', ')}` : '',
    openedDays === null ? '' : `keeps ${openedDays} day${openedDays === 1 ? '' : 's'}`,
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <ElSelect
    v-model="chosen"
    class="bare"
    :aria-label="label"
    filterable
    :persistent="false"
    placeholder="Choose"
  >
    <ElOption v-for="one in ingredients" :key="one.id" :value="one.id" :label="one.name">
      {{ one.name }}
      <span v-if="reason(one)" class="option-reason">{{ reason(one) }}</span>
    </ElOption>
  </ElSelect>
</template>
