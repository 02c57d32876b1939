<script setup lang="ts">
import ChoiceRow from './ChoiceRow.vue';
import TextField from './TextField.vue';

/** A text in a row of its own. */
const { name, ...field } = defineProps<{
  label: string;
  /** What the field is called where the row’s label leaves too much to the eye. */
  name?: string;
  value: string;
  needed?: boolean;
  placeholder?: string;
  live?: boolean;
}>();
const emit = defineEmits<{ change: [value: string] }>();
</script>

<template>
  <ChoiceRow :label="field.label">
    <TextField v-bind="field" :label="name ?? field.label" @change="emit('change', $event)" />
  </ChoiceRow>
</template>
