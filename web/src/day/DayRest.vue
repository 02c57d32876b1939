<script setup lang="ts">
import type { CheckList } from '@ratio/core/day';
import HandOver from './HandOver.vue';
import RunsOutPanel from './RunsOutPanel.vue';
import ShiftNotes from './ShiftNotes.vue';
import UseUpList from './UseUpList.vue';
import type { UseUp } from './useUseUp.ts';
import type { AmountFormat } from '../format/index.ts';
import { useRefusals } from '../ui/fields/index.ts';

/** What is below the next thing: notes of the shifts, what runs out, what has to go, and the lists. */
defineProps<{
  format: AmountFormat;
  shifts: InstanceType<typeof ShiftNotes>['$props'];
  runsOut: InstanceType<typeof RunsOutPanel>['$props'];
  useUp: readonly UseUp[];
  lists: InstanceType<typeof HandOver>['$props']['lists'];
  counts: InstanceType<typeof HandOver>['$props']['counts'];
}>();
const emit = defineEmits<{
  note: [text: string];
  takeBack: [id: string, date: string];
  throw: [one: UseUp, reason: string];
  check: [list: CheckList, item: string, rowId: string | null];
  count: [id: string, volumeMl: number, reason: string];
}>();
useRefusals();
</script>

<template>
  <ShiftNotes
    v-bind="shifts"
    @note="emit('note', $event)"
    @take-back="(id, date) => emit('takeBack', id, date)"
  />

  <RunsOutPanel v-bind="runsOut" />

  <UseUpList
    :list="useUp"
    :money="format.money"
    @throw="(one, reason) => emit('throw', one, reason)"
  />
  <HandOver
    :lists
    :counts
    :format
    @check="(list, item, rowId) => emit('check', list, item, rowId)"
    @count="(id, volumeMl, reason) => emit('count', id, volumeMl, reason)"
  />
</template>
