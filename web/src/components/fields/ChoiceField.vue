<script lang="ts">
import { shallowRef } from 'vue';
import type ChoiceSelect from './ChoiceSelect.vue';

// The list that opens is fetched behind the page; what is chosen stands there from the first.
const Select = shallowRef<typeof ChoiceSelect | null>(null);
void import('./ChoiceSelect.vue').then((loaded) => (Select.value = loaded.default));
</script>

<script setup lang="ts" generic="T extends string">
/** One of a few, each with a reason why one would take it. */
defineProps<{
  label: string;
  options: readonly { value: T; label: string; reason?: string }[];
}>();
const chosen = defineModel<T>({ required: true });
</script>

<template>
  <component :is="Select" v-if="Select" v-model="chosen" :label :options />
  <div v-else class="chosen">{{ options.find(({ value }) => value === chosen)?.label }}</div>
</template>

<style scoped>
.chosen {
  min-height: 32px;
  font-size: var(--t18);
  font-weight: 600;
  line-height: 32px;
}
</style>
