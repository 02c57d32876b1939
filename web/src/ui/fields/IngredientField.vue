<script setup lang="ts">
import type { Ingredient } from '@ratio/core/pantry';
import { computed } from 'vue';
import ChoiceField from './ChoiceField.vue';
import { listText } from '../../format/index.ts';

/** One of everything that can be poured, found by a few letters. */
const props = defineProps<{ label: string; ingredients: readonly Ingredient[] }>();
const chosen = defineModel<string>({ required: true });

const reason = ({ mark, allergens, openedDays }: Ingredient): string =>
  listText([
    mark === 'ours' ? 'made by the house' : '',
    allergens.length > 0 ? `contains ${allergens.join(', ')}` : '',
    openedDays === null ? '' : `keeps ${openedDays} day${openedDays === 1 ? '' : 's'}`,
  ]);
const options = computed(() =>
  props.ingredients.map((one) => ({ value: one.id, label: one.name, reason: reason(one) })),
);
</script>

<template>
  <ChoiceField v-model="chosen" :label :options filterable />
</template>
