<script setup lang="ts">
import type { Explanation } from '@ratio/core/explanation';
import { EXPLAINED_OF_DRINK, type ExplainedOfDrink } from '@ratio/core/drink';
import type { AmountFormat } from '../format/index.ts';
import { PickButtons } from '../ui/fields/index.ts';
import { WhyOnAsking } from '../ui/figures/index.ts';

/** Where a number of the drink comes from; the others are one tap away. */
defineProps<{
  explained: Readonly<Record<ExplainedOfDrink, Explanation>> | null;
  format: AmountFormat;
}>();
/** The number that somebody asks about. */
const asked = defineModel<ExplainedOfDrink | null>({ required: true });
const OTHERS = EXPLAINED_OF_DRINK.map((value) => ({ value, text: value }));
</script>

<template>
  <WhyOnAsking v-model="asked" :explained range="" :narrowed-by="[]" :format>
    <p>
      Why
      <PickButtons v-model="asked" label="Why another number" :options="OTHERS" />
    </p>
  </WhyOnAsking>
</template>
