<script setup lang="ts">
import DayRest from './DayRest.vue';
import { ElButton } from 'element-plus';
import { useSwipe } from '@vueuse/core';
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import BackIcon from '~icons/lucide/chevron-left';
import AheadIcon from '~icons/lucide/chevron-right';
import DayClock from './DayClock.vue';
import MovedStrain from './MovedStrain.vue';
import NextPanel from './NextPanel.vue';
import { useHandOver } from './useHandOver.ts';
import { useDayShown } from './useDayShown.ts';
import { useHands } from './hands.ts';
import { useJugColumns } from './useJugColumns.ts';
import { useMoves } from './useMoves.ts';
import { useNextBatch } from './useNextBatch.ts';
import { useRunsOut } from './useRunsOut.ts';
import { useUseUp } from './useUseUp.ts';
import { useDays } from './days.ts';
import { useSteepColumns } from './useSteepColumns.ts';
import { useSupply } from './useSupply.ts';
import { useToMake } from './useToMake.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { timeOfDay } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useKeys } from '../ui/browser/index.ts';

const shop = useShop();
const batches = useBatches();
const onHand = useJugs();
const router = useRouter();
const shown = useDayShown();
const supply = useSupply(shown);
const { columns } = useSteepColumns(shown);
const { columns: jugs } = useJugColumns(shown, supply);
const { makes } = useToMake(shown);
const hand = useHands();
const days = useDays();
const format = useAmountFormat();
const { first, pace, whole, left: drinksLeft } = useRunsOut(shown, supply);
const { advice, noVessel, helps } = useNextBatch(shown, supply);
const { list: useUp, throwAway } = useUseUp();
const handOver = useHandOver(shown);
const { notes, gone, lists, counts } = handOver;
const runsOut = computed(() => ({
  first: first.value,
  pace: pace.value,
  whole: whole.value,
  drinksLeft: drinksLeft.value,
  advice: advice.value,
  noVessel: noVessel.value,
  helps: helps.value,
  isKnown: days.pours !== null,
}));
/** What is below the next thing is shown together, so that nothing moves when more of it comes. */
const isRead = ref(false);
void Promise.all([handOver.read, supply.read]).then(() => (isRead.value = true));
const { moved, asked, move, leave, moveEnd, moveStart } = useMoves(shown);
void batches.loadRunning().catch(() => undefined);

const crew = computed(() => ({
  fromHours: shop.document?.crewFromHours ?? 0,
  toHours: shop.document?.crewToHours ?? 24,
}));
const open = computed(() => ({
  fromHours: shop.document?.openHours ?? 0,
  toHours: shop.document?.closeHours ?? 24,
}));
const nowHours = computed(() => (shown.isToday.value ? shown.hoursAt(shown.minuteMs.value) : null));
const { go, canGo } = shown;
useKeys({ ArrowLeft: () => go(-1), ArrowRight: () => go(1), t: () => (shown.offset.value = 0) });
const page = ref<HTMLElement | null>(null);
useSwipe(page, {
  threshold: 80,
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') go(1);
    if (direction === 'right') go(-1);
  },
});
const isEmpty = computed(
  () => batches.batches.length === 0 && batches.steeping.length === 0 && onHand.jugs.length === 0,
);
const print = (): void => window.print();
</script>

<template>
  <div class="day side-by-side">
    <section ref="page" class="left" aria-label="The day">
      <header>
        <h1>{{ shown.title.value }}</h1>
        <span class="soft hours">
          crew {{ timeOfDay(crew.fromHours) }} to {{ timeOfDay(crew.toHours) }}, open
          {{ timeOfDay(open.fromHours) }} to {{ timeOfDay(open.toHours) }}
        </span>
        <span class="turn no-print">
          <ElButton
            text
            :icon="BackIcon"
            aria-label="The day before"
            :disabled="!canGo(-1)"
            @click="go(-1)"
          />
          <ElButton v-if="!shown.isToday.value" text @click="go(-shown.offset.value)"
            >Today</ElButton
          >
          <ElButton
            text
            :icon="AheadIcon"
            aria-label="The day after"
            :disabled="!canGo(1)"
            @click="go(1)"
          />
          <RouterLink to="/bench/week">Week</RouterLink>
          <RouterLink to="/bench/calendar">Calendar</RouterLink>
          <ElButton link @click="print">Print</ElButton>
        </span>
      </header>
      <div v-if="isEmpty" class="empty">
        <h2>The day is empty still</h2>
        <p>
          Steeps stand here by the clock, jugs thin out as they are poured, and what runs out first
          says when the next batch has to start.
        </p>
        <p>
          <RouterLink to="/plan">Plan the first batch</RouterLink> ·
          <RouterLink to="/jugs/new">Note a jug that is there</RouterLink> ·
          <RouterLink to="/set-up">Set up in five questions</RouterLink>
        </p>
      </div>
      <template v-else>
        <DayClock
          :columns
          :jugs
          :makes
          :now-hours
          :crew
          :open
          :moved
          @move-end="moveEnd"
          @move-start="moveStart"
        />
      </template>
      <MovedStrain v-if="asked" v-bind="asked" @move="move" @leave="leave" />
    </section>
    <aside aria-label="What needs a hand">
      <NextPanel
        :hands="hand.hands"
        :now="shop.now"
        :zone="shop.zone"
        :has-put-off="hand.hasPutOff"
        @later="hand.later"
        @back="hand.takeAllBack"
        @plan="router.push('/plan')"
      />
      <DayRest
        v-if="isRead"
        :format
        :shifts="{ notes, gone }"
        :runs-out
        :use-up
        :lists
        :counts
        @note="handOver.addNote"
        @take-back="handOver.takeBack"
        @throw="throwAway"
        @check="handOver.check"
        @count="handOver.count"
      />
    </aside>
  </div>
</template>

<style scoped>
.day {
  grid-template-columns: minmax(0, 1fr) 400px;
}

.left {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: calc(100vh - 84px);
  position: sticky;
  top: 0;
  background: var(--panel);
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 10px 20px 4px;
}

h1 {
  font-size: var(--t18);
}

.hours {
  font-size: var(--t13);
}

.empty {
  padding: 40px 20px;
}

.turn {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-left: auto;
  font-size: var(--t13);
}

.turn .el-button {
  margin: 0;
  min-width: 36px;
  padding: 0 8px;
}

aside {
  display: grid;
  align-content: start;
  border-left: 1px solid var(--hairline);
  padding: 0 24px 24px;
}

aside :deep(> section) {
  border-bottom: 1px solid var(--hairline);
  padding: 16px 0;
}

aside :deep(> section:last-child) {
  border-bottom: 0;
}

@media (max-width: 900px) {
  .day {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
  }

  /* The next hand, then the day, then the rest. */
  aside {
    display: contents;
  }

  aside :deep(> section) {
    order: 3;
    padding-inline: 24px;
  }

  aside :deep(> section:first-child) {
    order: 1;
  }

  .left {
    position: static;
    order: 2;
    height: 620px;
    border-bottom: 1px solid var(--hairline);
  }
}

@media print {
  @page day {
    size: A4;
    margin: 10mm;
  }

  :global(body:has(.day)) {
    page: day;
  }

  .day {
    display: block;
    min-height: 0;
  }

  .left {
    display: block;
    position: static;
    height: auto;
    border: 0;
  }

  header {
    padding: 0 0 2mm;
  }

  aside {
    display: block;
    columns: 3;
    column-gap: 6mm;
    border: 0;
    padding: 4mm 0 0;
    font-size: 8pt;
  }

  aside :deep(> section) {
    break-inside: avoid;
    padding: 2mm 0;
  }

  aside :deep(.head),
  aside :deep(.what) {
    font-size: 10pt;
  }
}
</style>
