<script setup lang="ts">
import { computed } from 'vue';
import { ICE_TEMPS } from './iceTemps.ts';
import type { AmountFormat } from '../format/index.ts';
import { ChoiceField } from '../ui/fields/index.ts';

/** How cold the ice is at this bar today, when it is not what the drinks were made for. */
const props = defineProps<{ tempC: number | null; format: AmountFormat }>();
const emit = defineEmits<{ change: [tempC: number | null] }>();

const OWN = 'own';
const options = computed(() => [
  { value: OWN, label: 'ice as in each drink', reason: 'as the menu has it' },
  ...ICE_TEMPS.map(({ tempC, reason }) => ({
    value: String(tempC),
    label: `all ice at ${props.format.temp(tempC)}`,
    reason,
  })),
]);
</script>

<template>
  <ChoiceField
    label="Ice today"
    :model-value="tempC === null ? OWN : String(tempC)"
    :options
    @update:model-value="(value) => emit('change', value === OWN ? null : Number(value))"
  />
</template>
