<script setup lang="ts">
import { computed } from 'vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import { useMenu } from '../../stores/menu.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { ICE_TEMPS } from './iceTemps.ts';

/** How cold the ice is at this bar today, when it is not what the drinks were made for. */
const menu = useMenu();
const format = useAmountFormat();

const OWN = 'own';
const options = computed(() => [
  { value: OWN, label: 'ice as in each drink', reason: 'as the menu has it' },
  ...ICE_TEMPS.map(({ tempC, reason }) => ({
    value: String(tempC),
    label: `all ice at ${format.value.temp(tempC)}`,
    reason,
  })),
]);
</script>

<template>
  <ChoiceField
    label="Ice today"
    :model-value="menu.iceTodayC === null ? OWN : String(menu.iceTodayC)"
    :options="options"
    @update:model-value="(value) => (menu.iceTodayC = value === OWN ? null : Number(value))"
  />
</template>
