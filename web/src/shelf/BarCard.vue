<script setup lang="ts">
import type { Shop } from '@ratio/core/shop';
import { amountText } from '@ratio/core/units';
import { numberKind, volumeKind, type AmountFormat } from '../format/index.ts';
import { AmountRow } from '../ui/fields/index.ts';

/** What the bar measures with, and its siphons and keg. */
const props = defineProps<{ bar: Shop['bar']; format: AmountFormat }>();
const emit = defineEmits<{ change: [bar: Shop['bar'], what: string] }>();

const VOLUMES = [
  { key: 'jiggerMl', label: 'Marks of the jigger', step: 1, min: 0.5, max: 50 },
  { key: 'pumpMl', label: 'One pump', step: 0.5, min: 1, max: 60 },
  { key: 'spoonMl', label: 'Bar spoon', step: 0.5, min: 1, max: 30 },
  { key: 'siphonMl', label: 'Siphon, to its rim', step: 50, min: 250, max: 5000 },
  { key: 'kegMl', label: 'Keg', step: 500, min: 1000, max: 60_000 },
] as const;
const NUMBERS = [
  { key: 'scaleG', label: 'Step of the scale, g', digits: 1, step: 0.1, min: 0.1, max: 50 },
  { key: 'chargesPerFill', label: 'Chargers a filling', digits: 0, step: 1, min: 1, max: 6 },
  { key: 'chargePrice', label: 'Price of a charger', digits: 2, step: 0.05, min: 0, max: 100 },
] as const;
const small = (volumeMl: number): string =>
  volumeMl < 100 && props.format.units === 'metric'
    ? amountText({ figure: `${Number(volumeMl.toFixed(1))}`, unit: 'mL' })
    : props.format.volume(volumeMl);
const set = (change: Partial<Shop['bar']>): void =>
  emit('change', { ...props.bar, ...change }, 'The bar’s tools changed');
</script>

<template>
  <div class="field-grid">
    <AmountRow
      v-for="row in VOLUMES"
      :key="row.key"
      :label="row.label"
      lazy
      :value="bar[row.key]"
      :kind="volumeKind(format, { step: row.step, min: row.min, max: row.max, write: small })"
      @change="(volumeMl) => set({ [row.key]: volumeMl })"
    />
    <AmountRow
      v-for="row in NUMBERS"
      :key="row.key"
      :label="row.label"
      lazy
      :value="bar[row.key]"
      :kind="numberKind({ step: row.step, min: row.min, max: row.max, decimals: row.digits })"
      @change="(n) => set({ [row.key]: row.digits === 0 ? Math.round(n) : n })"
    />
  </div>
</template>
