<script setup lang="ts">
import type { Coffee } from '@ratio/core/coffee';
import { numberKind, percentKind, pricePerMassKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, ChoiceRow, DateField, PickRow, TextRow } from '../ui/fields/index.ts';

/** A coffee on the shelf, edited where it stands. */
defineProps<{
  format: AmountFormat;
  /** Prices are the lead’s. */
  mayPrice: boolean;
  coffee: Coffee;
  now: Date;
  zone: string;
}>();
const emit = defineEmits<{ change: [change: Partial<Coffee>, what: string] }>();

const ROASTS = [
  { value: 'light', label: 'light', reason: 'fruity; for black and tonic' },
  { value: 'medium', label: 'medium', reason: 'for both' },
  { value: 'dark', label: 'dark', reason: 'low in acid; under milk and coconut' },
] as const;
const PARTS = [
  { key: 'robustaFrac', label: 'Robusta' },
  { key: 'decafFrac', label: 'Decaf' },
] as const;
const PART = percentKind({ step: 0.05, min: 0, max: 1, decimals: 0 });
</script>

<template>
  <div class="coffee">
    <TextRow
      label="Name"
      needed
      :value="coffee.name"
      @change="emit('change', { name: $event }, 'renamed')"
    />
    <PickRow
      label="Roast"
      :model-value="coffee.roast"
      :options="ROASTS"
      @update:model-value="emit('change', { roast: $event }, `${$event} roast`)"
    />
    <ChoiceRow label="Roasted on">
      <DateField
        label="Roasted on"
        :date="coffee.roastedOn"
        :now
        :zone
        @change="emit('change', { roastedOn: $event }, 'roast date')"
      />
    </ChoiceRow>
    <AmountRow
      v-if="mayPrice"
      :label="`Price a ${format.pricedMass}`"
      lazy
      :value="coffee.pricePerKg"
      placeholder="not known"
      :kind="pricePerMassKind(format, { max: 1000 })"
      @change="(pricePerKg) => emit('change', { pricePerKg }, 'price')"
    />
    <AmountRow
      v-for="{ key, label } in PARTS"
      :key
      :label
      lazy
      :value="coffee[key]"
      :kind="PART"
      @change="(frac) => emit('change', { [key]: frac }, label.toLowerCase())"
    />
    <AmountRow
      label="Equilibrium yield"
      lazy
      :value="coffee.solubleFrac"
      :kind="percentKind({ step: 0.001, min: 0.05, max: 0.35, decimals: 1 })"
      @change="(solubleFrac) => emit('change', { solubleFrac }, 'equilibrium yield')"
    />
    <AmountRow
      label="Loose, g/mL"
      name="Loose density"
      lazy
      :value="coffee.looseDensityGPerMl ?? 0"
      :kind="
        numberKind({
          step: 0.01,
          min: 0.15,
          max: 0.7,
          write: (density) => (density === 0 ? 'not weighed' : density.toFixed(2)),
        })
      "
      @change="(looseDensityGPerMl) => emit('change', { looseDensityGPerMl }, 'loose density')"
    />
  </div>
</template>

<style scoped>
.coffee {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0 24px;
}

.coffee :deep(.el-input__inner) {
  font-size: var(--t18);
}

@media (max-width: 700px) {
  .coffee {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
