<script setup lang="ts">
import type { Plan } from '@ratio/core/batch';
import type { TargetKey, TargetPair } from '@ratio/core/brew';
import { CONSTANTS } from '@ratio/core/constants';
import { waterDensityGPerMl } from '@ratio/core/matter';
import type { Expected } from '@ratio/core/units';
import { computed } from 'vue';
import FieldPair from './FieldPair.vue';
import { measuredKind, ratioKind, tempKind, type AmountFormat } from '../format/index.ts';
import { LockButton } from '../ui/buttons/index.ts';
import { AmountField, ChoiceRow } from '../ui/fields/index.ts';

/** Coffee, water and their ratio: two of them are set, and one of those may be locked. */
const props = defineProps<{
  plan: Plan;
  targets: TargetPair;
  locked: TargetKey | null;
  /** Whether the coffee was measured by the scoop. */
  scooped: boolean;
  /** Why an amount could not be set, and which. */
  refused: { key: TargetKey; text: string } | null;
  /** Of the coffee as it is ground. */
  looseGPerMl: number;
  format: AmountFormat;
}>();
const emit = defineEmits<{
  amount: [key: TargetKey, value: number, scooped?: boolean];
  waterC: [waterC: number];
  lock: [key: TargetKey];
}>();

const waterDensity = computed(() => waterDensityGPerMl(props.plan.waterC));
const ratio = computed(() => props.plan.waterG / props.plan.doseG);
const lockOf = (key: TargetKey) => ({
  locked: props.locked === key,
  set: props.targets.some((target) => target.key === key),
});
const refusal = (key: TargetKey): string => (props.refused?.key === key ? props.refused.text : '');
const doseNote = computed(() => {
  const scoop = props.format.volume(props.plan.doseG / props.looseGPerMl);
  return props.scooped
    ? `scooped, ${scoop}: ±${100 * CONSTANTS.looseDensitySpreadFrac.value} %`
    : `${scoop} loose`;
});
const setDose = (value: number, quantity: Expected): void =>
  emit('amount', 'doseG', value, quantity === 'volume');
</script>

<template>
  <ChoiceRow label="Coffee in" :note="doseNote">
    <AmountField
      label="Coffee in"
      :value="plan.doseG"
      :kind="measuredKind(format, { step: 5, min: 5, max: 50000, gPerMl: looseGPerMl })"
      :refused="refusal('doseG')"
      @change="setDose"
    />
    <template #action>
      <LockButton what="coffee" v-bind="lockOf('doseG')" @lock="emit('lock', 'doseG')" />
    </template>
  </ChoiceRow>
  <ChoiceRow
    label="Water in"
    :note="`${format.volume(plan.waterG / waterDensity)}${plan.waterC >= 28 ? ', warm start: faster' : ''}`"
  >
    <FieldPair between="at">
      <AmountField
        label="Water in"
        :value="plan.waterG"
        :kind="measuredKind(format, { step: 10, min: 10, max: 500000, gPerMl: waterDensity })"
        :refused="refusal('waterG')"
        @change="(value) => emit('amount', 'waterG', value)"
      />
      <template #narrow>
        <AmountField
          label="Water temperature"
          :value="plan.waterC"
          :kind="tempKind(format, { step: 1, min: 0, max: 95 })"
          @change="(waterC) => emit('waterC', waterC)"
        />
      </template>
    </FieldPair>
    <template #action>
      <LockButton what="water" v-bind="lockOf('waterG')" @lock="emit('lock', 'waterG')" />
    </template>
  </ChoiceRow>

  <ChoiceRow label="Ratio, coffee to water" note="by mass">
    <AmountField
      label="Ratio"
      :value="ratio"
      :kind="ratioKind({ step: 0.1, min: 0.5, max: 100 })"
      :refused="refusal('ratio')"
      @change="(value) => emit('amount', 'ratio', value)"
    />
    <template #action>
      <LockButton what="ratio" v-bind="lockOf('ratio')" @lock="emit('lock', 'ratio')" />
    </template>
  </ChoiceRow>
</template>
