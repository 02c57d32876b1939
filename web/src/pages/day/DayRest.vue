<script setup lang="ts">
import { promiseTimeout } from '@vueuse/core';
import { ref } from 'vue';
import { useRefusals } from '../../components/fields/refusals.ts';
import InTurn from '../../components/figures/InTurn.vue';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { useDays } from '../../stores/days.ts';
import HandOver from './HandOver.vue';
import RunsOutPanel from './RunsOutPanel.vue';
import ShiftNotes from './ShiftNotes.vue';
import type { DayShown } from './useDayShown.ts';
import { useHandOver } from './useHandOver.ts';
import { useNextBatch } from './useNextBatch.ts';
import { useRunsOut } from './useRunsOut.ts';
import type { Supply } from './useSupply.ts';
import UseUpList from './UseUpList.vue';
import { useUseUp } from './useUseUp.ts';

/** What is below the next thing, put up as a whole: nothing moves when more of it has been read. */
const { shown, supply } = defineProps<{ shown: DayShown; supply: Supply }>();
const MOST_WAIT_MS = 1000;

const days = useDays();
const format = useAmountFormat();
useRefusals();
const { first, pace, whole, left } = useRunsOut(shown, supply);
const { advice, noVessel, helps } = useNextBatch(shown, supply);
const { list, throwAway } = useUseUp();
const handOver = useHandOver(shown);
const { notes, lists, gone, counts } = handOver;
const isRead = ref(false);
void Promise.race([Promise.all([handOver.read, supply.read]), promiseTimeout(MOST_WAIT_MS)]).then(
  () => (isRead.value = true),
);
</script>

<template>
  <template v-if="isRead">
    <InTurn>
      <ShiftNotes :notes :gone @note="handOver.addNote" @take-back="handOver.takeBack" />
    </InTurn>
    <InTurn>
      <RunsOutPanel
        :first
        :pace
        :whole
        :drinks-left="left"
        :advice
        :no-vessel
        :helps
        :is-known="days.pours !== null"
      />
    </InTurn>
    <InTurn>
      <UseUpList :list :money="format.money" @throw="throwAway" />
      <HandOver :lists :counts :format @check="handOver.check" @count="handOver.count" />
    </InTurn>
  </template>
</template>
