<script setup lang="ts">
import type { Vessel } from '@ratio/core/brew';
import { computed } from 'vue';
import VesselOutline from '../../components/drawings/VesselOutline.vue';
import { TAPER, vesselShape } from '../../components/drawings/vesselShape.ts';
import { largeVolumeKind, massKind, numberKind } from '../../components/fields/amountKind.ts';
import type { AmountFormat } from '../../format/amountFormat.ts';
import AmountField from '../../components/fields/AmountField.vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import ChoiceRow from '../../components/fields/ChoiceRow.vue';
import TextField from '../../components/fields/TextField.vue';

/** A vessel drawn to the page's one scale, edited where it stands. */
const props = defineProps<{
  vessel: Vessel;
  format: AmountFormat;
}>();
const emit = defineEmits<{ change: [change: Partial<Vessel>, what: string] }>();

const PX_PER_MM = 0.44;
const WIDTH = 190;
const KINDS = [
  { value: 'jar', label: 'jar' },
  { value: 'bucket', label: 'bucket' },
  { value: 'pitcher', label: 'pitcher' },
] as const;
const SHAKEN = [
  { value: 'no', label: '15 % kept free', reason: 'stands still' },
  { value: 'yes', label: '30 % kept free', reason: 'will be shaken' },
] as const;
const FRIDGE = [
  { value: 'yes', label: 'fits the fridge' },
  { value: 'no', label: 'not in the fridge' },
] as const;
const shape = computed(() => vesselShape({ ...props.vessel, taper: TAPER[props.vessel.kind] }));
const height = computed(() => shape.value.heightMm * PX_PER_MM + 12);
</script>

<template>
  <li :aria-label="vessel.name">
    <svg
      :viewBox="`0 0 ${WIDTH} ${height}`"
      :width="WIDTH"
      :height="height"
      role="img"
      :aria-label="`${vessel.name}, ${format.volume(vessel.brimMl)}`"
    >
      <VesselOutline
        :shape="shape"
        :x="WIDTH / 2 + 14"
        :floor="height - 6"
        :scale="PX_PER_MM"
        :layers="[]"
        ticks-side="left"
        :per-unit-ml="1000"
      />
    </svg>
    <ChoiceRow label="Name"
      ><TextField
        label="Name"
        needed
        :value="vessel.name"
        @change="emit('change', { name: $event }, 'renamed')"
    /></ChoiceRow>
    <ChoiceRow label="Holds to the brim">
      <AmountField
        lazy
        label="Holds to the brim"
        :value="vessel.brimMl"
        :kind="largeVolumeKind(format, { step: 50, min: 100, max: 200000 })"
        @change="(brimMl) => emit('change', { brimMl }, 'volume')"
      />
    </ChoiceRow>
    <ChoiceRow label="Inside height, mm">
      <AmountField
        lazy
        label="Inside height in millimetres"
        :value="vessel.heightMm"
        :kind="numberKind({ step: 5, min: 30, max: 2000 })"
        @change="(heightMm) => emit('change', { heightMm }, 'height')"
      />
    </ChoiceRow>
    <ChoiceRow label="Its bag takes">
      <AmountField
        lazy
        label="Its bag takes"
        :value="vessel.bagHoldsG ?? 0"
        :kind="
          massKind(format, {
            step: 50,
            min: 0,
            max: 50000,
            write: (massG) => (massG === 0 ? 'no bag' : format.mass(massG)),
            limitText: 'Up to 50 kg; 0 for no bag.',
          })
        "
        @change="(massG) => emit('change', { bagHoldsG: massG === 0 ? null : massG }, 'bag')"
      />
    </ChoiceRow>
    <ChoiceRow label="Kind">
      <ChoiceField
        label="Kind"
        :model-value="vessel.kind"
        :options="KINDS"
        @update:model-value="emit('change', { kind: $event }, $event)"
      />
    </ChoiceRow>
    <ChoiceRow label="Headspace">
      <ChoiceField
        label="Headspace"
        :model-value="vessel.shaken ? 'yes' : 'no'"
        :options="SHAKEN"
        @update:model-value="emit('change', { shaken: $event === 'yes' }, 'headspace')"
      />
    </ChoiceRow>
    <ChoiceRow label="Fridge">
      <ChoiceField
        label="Fridge"
        :model-value="vessel.fitsFridge ? 'yes' : 'no'"
        :options="FRIDGE"
        @update:model-value="emit('change', { fitsFridge: $event === 'yes' }, 'fridge')"
      />
    </ChoiceRow>
  </li>
</template>

<style scoped>
li {
  width: 200px;
}

li :deep(.el-input__inner) {
  font-size: var(--t18);
}
</style>
