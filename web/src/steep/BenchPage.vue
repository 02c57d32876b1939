<script setup lang="ts">
import { vesselNameOf, type Batch } from '@ratio/core/batch';
import { useWakeLock } from '@vueuse/core';
import { ElButton } from 'element-plus';
import { computed, onMounted, onScopeDispose, toRef } from 'vue';
import { RouterLink } from 'vue-router';
import BatchPhotos from './BatchPhotos.vue';
import BesideRow from './BesideRow.vue';
import NotedList from './NotedList.vue';
import RunningPanel from './RunningPanel.vue';
import StepList from './StepList.vue';
import StepPanel from './StepPanel.vue';
import { useBench } from './useBench.ts';
import { useFilling } from './useFilling.ts';
import { useLargeButton } from './useLargeButton.ts';
import { usePedals } from './usePedals.ts';
import { useNoted } from './useNoted.ts';
import { useNights } from './useNights.ts';
import { useStepTexts } from './useStepTexts.ts';
import { useStepValue } from './useStepValue.ts';
import { useVesselDrawn } from './useVesselDrawn.ts';
import { useBatches } from '../events/index.ts';
import { clockTime } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useOneFile } from '../ui/browser/index.ts';
import { StepVessel } from '../ui/drawings/index.ts';
import { useRefusals } from '../ui/fields/index.ts';

/** A batch walked through, one step at a time, read from two metres and pressed with a wet hand. */
const props = defineProps<{ batch: Batch }>();
const emit = defineEmits<{ leave: [] }>();

const shop = useShop();
const batches = useBatches();
const format = useAmountFormat();
const batch = toRef(props, 'batch');
const bench = useBench(batch);
const { nowMs, progress, inHand, running } = bench;
const photograph = useOneFile('image/*', (file) => void bench.photograph(file));
const texts = useStepTexts(batch);
const batchId = computed(() => props.batch.id);
const step = computed(() => inHand.value?.step ?? null);
const measured = useStepValue({ batchId, step });
const filling = useFilling(batch);
const nights = useNights(running);
const noted = useNoted(bench.observations);
const { firstRefused } = useRefusals();

// A screen that went dark is no use to wet hands; where the browser cannot, it is set at the tablet.
const wake = useWakeLock();
onMounted(() => void wake.request('screen').catch(() => undefined));
onScopeDispose(() => void wake.release().catch(() => undefined));

const PHASES = { prepare: 'Prepare', steep: 'Steep', finish: 'Finish' } as const;
const phase = computed(() => step.value?.phase ?? 'finish');
const listed = computed(() =>
  progress.value.states.filter((state) => state.step.phase === phase.value),
);
const isResting = computed(
  () =>
    step.value === null ||
    phase.value === 'steep' ||
    (step.value.key === 'strain' && props.batch.status === 'steeping'),
);
const others = computed(() => batches.steeping.find(({ id }) => id !== props.batch.id) ?? null);

const { vessel, fullMl, drawn } = useVesselDrawn({
  batch,
  progress,
  step,
  /** What the scale sees coming, g. */
  comingG: () => (measured.isLive.value ? (measured.value.value ?? 0) : 0),
  strengthFrac: () => running.value.strengthNowFrac,
});
const hands = computed(() =>
  progress.value.states.flatMap(({ dueMs, state, step: { title } }) =>
    dueMs !== null && (state === 'now' || state === 'next') ? [{ atMs: dueMs, text: title }] : [],
  ),
);
const free = computed(() => {
  const hours = Math.max(0.1, (Date.parse(props.batch.endsAt) - nowMs.value) / 3_600_000);
  return shop.steepers.filter(
    ({ id }) =>
      id !== vessel.value.id &&
      batches.inVessel(id, { steep: [{ place: 'fridge', tempC: 4, hours }] }, nowMs.value) === null,
  );
});
const place = computed(() => {
  const last = bench.observations.value.findLast(({ kind }) => kind === 'moved')?.place;
  return last ?? props.batch.plan.steep[0]!.place;
});

const { button, press, backTo, back } = useLargeButton({
  batch,
  bench,
  measured,
  filling,
  refused: firstRefused,
  leave: () => emit('leave'),
});
usePedals({ ahead: press, back });
</script>

<template>
  <div class="bench">
    <header class="head">
      <RouterLink to="/steep" class="out">All steeps</RouterLink>
      <h1>{{ batch.coffeeName }}, {{ vesselNameOf(batch) }}</h1>
      <p class="where">
        <span v-if="inHand"
          >step <strong>{{ progress.states.indexOf(inHand) + 1 }}</strong> of
          {{ progress.states.length }}</span
        >
        <strong class="figures clock">{{ texts.at(nowMs) }}</strong>
        <RouterLink v-if="others" :to="`/steep/${others.id}`"
          >next: {{ vesselNameOf(others) }}
          {{ clockTime({ at: new Date(others.endsAt), zone: shop.zone }) }}</RouterLink
        >
      </p>
    </header>
    <div class="work" :class="{ 'at-rest': isResting }">
      <StepPanel
        class="step"
        :state="inHand"
        :phase="PHASES[phase]"
        :status="batch.status"
        :at-rest="isResting"
        :now-ms
        :zone="shop.zone"
        :detail="inHand ? texts.detailOf.value(inHand) : ''"
        :reading="measured.reading.value"
        :strain="filling.form.value"
        :format
        @type="measured.type"
        @act="measured[$event]()"
        @leave-out="bench.done({ kind: 'skipped' })"
        @strain-change="filling.change"
        @fill="filling.setFill"
        @add-fill="filling.addFill"
        @drop-fill="filling.dropFill"
      />
      <StepList
        class="list"
        :states="listed"
        :picked-key="step?.key ?? null"
        :says-of="texts.saysOf"
        @pick="bench.pick"
      />
      <StepVessel class="vessel" :vessel v-bind="drawn" :per-unit-ml="format.vesselUnitMl" />
      <div v-if="isResting" class="goes">
        <RunningPanel
          :running
          :planned-frac="batch.predicted.strengthFrac"
          :planned-ml="batch.predicted.brewMl"
          :now-ms
          :zone="shop.zone"
          :format
          :hands
          :nights
          :is-over="batch.status !== 'steeping'"
        />
        <BesideRow
          v-if="batch.status === 'steeping'"
          :format
          :vessels="free"
          :whole-ml="fullMl"
          :place
          :fridge-c="shop.document?.fridgeC ?? 4"
          :room-c="shop.document?.roomC ?? 22"
          @note="(noted, what) => bench.beside(noted, what)"
          @split="bench.split"
          @photograph="photograph"
        />
        <NotedList v-if="noted.length > 0" :rows="noted" @take-back="bench.undoNote" />
        <BatchPhotos
          v-if="bench.photos.value.length + bench.photosWaiting.value.length > 0"
          :photos="bench.photos.value"
          :waiting="bench.photosWaiting.value"
          :zone="shop.zone"
        />
      </div>
    </div>
    <footer class="foot no-print">
      <ElButton type="primary" class="large" :disabled="button.isOff" @click="press">{{
        button.text
      }}</ElButton>
      <ElButton class="back" :disabled="!backTo" @click="back">back</ElButton>
    </footer>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
  background: var(--panel);
}

.head,
.foot {
  background: var(--paper);
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 20px;
  padding: 14px 24px;
  border-bottom: 1px solid var(--hairline);
}

.head h1 {
  flex: 1;
  font-size: var(--t18);
}

.where {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: baseline;
}

.clock {
  font-size: var(--t18);
}

.work {
  display: grid;
  grid-template-areas: 'step list vessel';
  grid-template-columns: minmax(0, 1.1fr) minmax(240px, 0.8fr) minmax(260px, 0.9fr);
  grid-template-rows: minmax(0, 1fr);
  gap: 20px 32px;
  padding: 20px 24px;
  overflow: auto;
}

.work.at-rest {
  grid-template-areas: 'step goes vessel' 'list goes vessel';
  grid-template-columns: minmax(250px, 0.8fr) minmax(0, 1.6fr) minmax(220px, 0.7fr);
  grid-template-rows: auto minmax(0, 1fr);
}

.step {
  grid-area: step;
}

.list {
  grid-area: list;
}

.vessel {
  grid-area: vessel;
}

.goes {
  display: grid;
  grid-area: goes;
  align-content: start;
  gap: 14px;
  min-width: 0;
}

.foot {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 16px;
  padding: 16px 24px;
  border-top: 1px solid var(--hairline);
}

.foot .el-button {
  height: 84px;
  margin: 0;
  font-size: var(--t18);
  white-space: normal;
}

.foot .large {
  font-size: clamp(1.25rem, 3vw, 2rem);
  font-weight: 700;
}

@media (max-width: 1000px) {
  .work {
    grid-template-areas: 'step vessel' 'list vessel';
    grid-template-columns: minmax(0, 1.25fr) minmax(220px, 1fr);
    grid-template-rows: auto minmax(0, 1fr);
  }

  .work.at-rest {
    grid-template-areas: 'step vessel' 'list vessel' 'goes goes';
    grid-template-columns: minmax(0, 1.25fr) minmax(200px, 1fr);
    grid-template-rows: auto auto auto;
  }
}

@media (max-width: 560px) {
  .work,
  .work.at-rest {
    grid-template-areas: 'step' 'goes' 'list' 'vessel';
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    padding: 14px 16px;
  }

  .head,
  .foot {
    padding-inline: 16px;
  }

  .vessel {
    height: 260px;
  }

  .foot {
    grid-template-columns: minmax(0, 1fr) 84px;
    gap: 10px;
    padding-block: 10px;
  }

  .foot .el-button {
    height: 72px;
    padding-inline: 10px;
  }
}

@media print {
  .bench {
    display: block;
    height: auto;
  }
}
</style>
