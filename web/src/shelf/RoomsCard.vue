<script setup lang="ts">
import { CLOCKS, timeText } from '@ratio/core/calendar';
import type { Shop } from '@ratio/core/shop';
import { largeVolumeKind, tempKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, ChoiceRow, ClockField, PickRow, TextRow } from '../ui/fields/index.ts';

/** The shop’s rooms and hours. */
defineProps<{ shop: Shop; format: AmountFormat }>();
const emit = defineEmits<{ change: [change: Partial<Shop>, what: string] }>();

const TEMPS = [
  { key: 'roomC', label: 'Room' },
  { key: 'fridgeC', label: 'Fridge' },
  { key: 'waterC', label: 'Water from the tap' },
] as const;
const HOURS = [
  { key: 'openHours', label: 'Opens' },
  { key: 'closeHours', label: 'Closes' },
  { key: 'crewFromHours', label: 'Crew from' },
  { key: 'crewToHours', label: 'Crew until' },
] as const;
const CLOCK_OPTIONS = CLOCKS.map((clock) => ({
  value: clock,
  label: clock,
  reason: timeText({ hours: 17, minutes: 30, clock }),
}));
</script>

<template>
  <div class="field-grid">
    <TextRow
      label="Name"
      name="Shop’s name"
      needed
      :value="shop.name"
      @change="emit('change', { name: $event }, 'Shop renamed')"
    />
    <AmountRow
      v-for="{ key, label } in TEMPS"
      :key
      :label
      lazy
      :value="shop[key]"
      :kind="
        tempKind(format, {
          step: 1,
          min: 0,
          max: key === 'fridgeC' ? 15 : 50,
          limitText: 'Not a temperature for this.',
        })
      "
      @change="(value) => emit('change', { [key]: value }, `${label} temperature changed`)"
    />
    <AmountRow
      label="The fridge takes"
      name="Litres of steeping vessels that the fridge takes"
      lazy
      placeholder="not said"
      :value="shop.fridgeL === null ? null : 1000 * shop.fridgeL"
      :kind="largeVolumeKind(format, { step: 1000, min: 1000, max: 10000000 })"
      @change="(volumeMl) => emit('change', { fridgeL: volumeMl / 1000 }, 'room in the fridge')"
    />
    <ChoiceRow v-for="{ key, label } in HOURS" :key :label>
      <ClockField
        :label
        :hours="shop[key]"
        @change="(hours) => emit('change', { [key]: hours }, 'Hours changed')"
      />
    </ChoiceRow>
    <PickRow
      label="Clock"
      :model-value="shop.clock"
      :options="CLOCK_OPTIONS"
      @update:model-value="emit('change', { clock: $event }, `clock of ${$event}`)"
    />
  </div>
</template>
