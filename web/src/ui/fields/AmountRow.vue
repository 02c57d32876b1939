<script setup lang="ts">
import type { Expected, OwnMeasure } from '@ratio/core/units';
import AmountField from './AmountField.vue';
import ChoiceRow from './ChoiceRow.vue';
import type { AmountKind } from '../../format/index.ts';

/** An amount in a row of its own. */
const { note, name, ...field } = defineProps<{
  label: string;
  note?: string;
  /** What the field is called where the row’s label leaves too much to the eye. */
  name?: string;
  value: number | null;
  placeholder?: string;
  kind: AmountKind;
  measures?: readonly OwnMeasure[];
  lazy?: boolean;
}>();
const emit = defineEmits<{ change: [value: number, quantity: Expected] }>();
</script>

<template>
  <ChoiceRow :label="field.label" :note>
    <AmountField
      v-bind="field"
      :label="name ?? field.label"
      @change="(value, quantity) => emit('change', value, quantity)"
    />
  </ChoiceRow>
</template>
