<script setup lang="ts">
import { FILTRATION_METHODS, FILTRATIONS, WETTING_NAMES, WETTINGS } from '@ratio/core/brew';
import { GRIND_NAMES, GRINDS } from '@ratio/core/coffee';
import type { Shop } from '@ratio/core/shop';
import { hoursKind, ratioKind } from '../format/index.ts';
import { AmountRow, PickRow } from '../ui/fields/index.ts';

/** What a new plan begins with. */
const props = defineProps<{ defaults: Shop['defaults'] }>();
const emit = defineEmits<{ change: [change: Partial<Shop>, what: string] }>();

const PLACES = [
  { value: 'fridge', label: 'in the fridge', reason: 'slow and safe' },
  { value: 'counter', label: 'on the counter', reason: 'faster; local rules' },
] as const;
const GRIND_OPTIONS = GRIND_NAMES.map((value) => ({
  value,
  label: value,
  reason: GRINDS[value].reason,
}));
const WETTING_OPTIONS = WETTING_NAMES.map((value) => ({ value, ...WETTINGS[value] }));
const METHOD_OPTIONS = FILTRATION_METHODS.map((value) => ({ value, ...FILTRATIONS[value] }));
const PICKS = [
  { key: 'grind', label: 'Grind', name: 'Default grind', options: GRIND_OPTIONS },
  { key: 'place', label: 'Place', name: 'Default place', options: PLACES },
  { key: 'wetting', label: 'Wetting', name: 'Default wetting', options: WETTING_OPTIONS },
  { key: 'method', label: 'Strain', name: 'Default straining', options: METHOD_OPTIONS },
] as const;
const setDefault = (change: Partial<Shop['defaults']>): void =>
  emit('change', { defaults: { ...props.defaults, ...change } }, 'Default changed');
</script>

<template>
  <div class="field-grid">
    <PickRow
      v-for="{ key, label, name, options } in PICKS"
      :key
      :label
      :name
      :model-value="defaults[key]"
      :options
      @update:model-value="setDefault({ [key]: $event })"
    />
    <AmountRow
      label="Ratio"
      name="Default ratio"
      lazy
      :value="defaults.ratio"
      :kind="ratioKind({ step: 0.5, min: 0.5, max: 60 })"
      @change="(ratio) => setDefault({ ratio })"
    />
    <AmountRow
      label="Steep"
      name="Default hours"
      lazy
      :value="defaults.hours * 3600"
      :kind="hoursKind({ step: 1800, min: 3600, max: 604800 })"
      @change="(s) => setDefault({ hours: s / 3600 })"
    />
  </div>
</template>
