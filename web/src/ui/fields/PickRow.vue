<script setup lang="ts" generic="T extends string">
import ChoiceField from './ChoiceField.vue';
import ChoiceRow from './ChoiceRow.vue';

/** One of a few in a row of its own. */
defineProps<{
  label: string;
  note?: string;
  /** What the field is called where the row’s label leaves too much to the eye. */
  name?: string;
  options: readonly { value: T; label: string; reason?: string }[];
}>();
const chosen = defineModel<T>({ required: true });
</script>

<template>
  <ChoiceRow :label :note>
    <ChoiceField v-model="chosen" :label="name ?? label" :options />
  </ChoiceRow>
</template>
