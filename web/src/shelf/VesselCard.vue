<script setup lang="ts">
import type { Vessel } from '@ratio/core/brew';
import { computed } from 'vue';
import { largeVolumeKind, massKind, numberKind, type AmountFormat } from '../format/index.ts';
import { TAPER, VesselOutline, vesselShape } from '../ui/drawings/index.ts';
import { AmountRow, PickRow, TextRow } from '../ui/fields/index.ts';

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
const YES_NO = [
  { key: 'shaken', label: 'Headspace', options: SHAKEN },
  { key: 'fitsFridge', label: 'Fridge', options: FRIDGE },
] as const;
const shape = computed(() => vesselShape({ ...props.vessel, taper: TAPER[props.vessel.kind] }));
const height = computed(() => shape.value.heightMm * PX_PER_MM + 12);
</script>

<template>
  <div class="vessel">
    <svg
      :viewBox="`0 0 ${WIDTH} ${height}`"
      :width="WIDTH"
      :height
      role="img"
      :aria-label="`${vessel.name}, ${format.volume(vessel.brimMl)}`"
    >
      <VesselOutline
        :shape
        :x="WIDTH / 2 + 14"
        :floor="height - 6"
        :scale="PX_PER_MM"
        :layers="[]"
        ticks-side="left"
        :per-unit-ml="format.vesselUnitMl"
      />
    </svg>
    <div class="fields">
      <TextRow
        label="Name"
        needed
        :value="vessel.name"
        @change="emit('change', { name: $event }, 'renamed')"
      />
      <AmountRow
        label="Holds to the brim"
        lazy
        :value="vessel.brimMl"
        :kind="largeVolumeKind(format, { step: 50, min: 100, max: 200000 })"
        @change="(brimMl) => emit('change', { brimMl }, 'volume')"
      />
      <AmountRow
        label="Inside height, mm"
        name="Inside height in millimetres"
        lazy
        :value="vessel.heightMm"
        :kind="numberKind({ step: 5, min: 30, max: 2000 })"
        @change="(heightMm) => emit('change', { heightMm }, 'height')"
      />
      <AmountRow
        label="Full mark"
        lazy
        placeholder="the brim"
        :value="vessel.markMl"
        :kind="largeVolumeKind(format, { step: 50, min: 100, max: 200000 })"
        @change="(markMl) => emit('change', { markMl }, 'mark')"
      />
      <AmountRow
        label="Empty, on the scale"
        lazy
        placeholder="not weighed"
        :value="vessel.tareG"
        :kind="massKind(format, { step: 1, min: 0, max: 50000 })"
        @change="(tareG) => emit('change', { tareG }, 'tare')"
      />
      <AmountRow
        v-if="vessel.use === 'steep'"
        label="Its bag takes"
        lazy
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
      <PickRow
        label="Kind"
        :model-value="vessel.kind"
        :options="KINDS"
        @update:model-value="emit('change', { kind: $event }, $event)"
      />
      <PickRow
        v-for="{ key, label, options } in vessel.use === 'steep' ? YES_NO : []"
        :key
        :label
        :options
        :model-value="vessel[key] ? 'yes' : 'no'"
        @update:model-value="emit('change', { [key]: $event === 'yes' }, label.toLowerCase())"
      />
    </div>
  </div>
</template>

<style scoped>
.vessel {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  align-items: end;
  gap: 24px;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 0 24px;
}

.fields :deep(.el-input__inner) {
  font-size: var(--t18);
}

@media (max-width: 600px) {
  .vessel {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
