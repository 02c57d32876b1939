<script setup lang="ts">
import type { Explanation } from '@ratio/core/explanation';
import { EXPLAINED_OF_DRINK, type ExplainedOfDrink } from '@ratio/core/drink';
import WhyDialog from '../../components/figures/WhyDialog.vue';

/** Where a number of the drink comes from; the others are one tap away. */
defineProps<{ explained: Readonly<Record<ExplainedOfDrink, Explanation>> | null }>();
/** The number that somebody asks about. */
const asked = defineModel<ExplainedOfDrink | null>({ required: true });
</script>

<template>
  <WhyDialog
    :explanation="asked === null ? null : (explained?.[asked] ?? null)"
    range=""
    :narrowed-by="[]"
    @close="asked = null"
  >
    <p class="whys">
      Why
      <button
        v-for="key in EXPLAINED_OF_DRINK"
        :key="key"
        type="button"
        :aria-pressed="asked === key"
        @click="asked = key"
      >
        {{ key }}
      </button>
    </p>
  </WhyDialog>
</template>

<style scoped>
.whys button {
  min-height: 36px;
  border: 0;
  background: none;
  padding: 0 8px;
  color: var(--action);
  text-decoration: underline;
  cursor: pointer;
}

.whys [aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}
</style>
