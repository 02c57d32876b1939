<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue';
import { useRouter } from 'vue-router';
import { sentenceOf } from '../../api/client.ts';
import ReleaseChart from '../../chart/ReleaseChart.vue';
import { clockTime } from '../../clock/formatClock.ts';
import SteepDrawing from '../../drawing/SteepDrawing.vue';
import { useBatches } from '../../stores/batches.ts';
import { useNotice } from '../../stores/notice.ts';
import { useShop } from '../../stores/shop.ts';
import PlanChoices from './PlanChoices.vue';
import PlanOutcome from './PlanOutcome.vue';
import { usePlan } from './usePlan.ts';

const DAY_MS = 86_400_000;

const plan = usePlan();
const { coffee, vessel, draft, drafts, result, failure, shop, drawing, chart } = plan;
const shelf = useShop();
const batches = useBatches();
const notice = useNotice();
const router = useRouter();
const starting = ref(false);

// A draft without a coffee or a jar takes the first of the shelf, so that the page always shows one.
watchEffect(() => {
  if (draft.value.coffeeId === '' && coffee.value) drafts.change({ coffeeId: coffee.value.id });
  if (draft.value.vesselId === '' && vessel.value)
    drafts.change({ vesselId: plan.vessels.value[1]?.id ?? vessel.value.id });
});

const restedDays = computed(() =>
  coffee.value
    ? Math.max(0, Math.floor((shelf.now.getTime() - Date.parse(coffee.value.roastedOn)) / DAY_MS))
    : 0,
);
const costPerL = computed(() => {
  const brewMl = result.value?.outcome.brewMl ?? 0;
  if (!coffee.value || brewMl <= 0) return null;
  return ((draft.value.amounts.doseG * coffee.value.pricePerKg) / brewMl).toFixed(2);
});

function setLevel(volumeMl: number): void {
  const waterG = plan.waterForLevel(volumeMl);
  if (waterG !== null) drafts.setAmount('waterG', waterG);
}

function setHours(hours: number): void {
  const [first] = draft.value.steep;
  if (first) drafts.change({ steep: [{ ...first, hours }] });
}

async function start(): Promise<void> {
  starting.value = true;
  try {
    const batch = await batches.start({ id: draft.value.id, plan: plan.plan.value });
    drafts.renew();
    const at = clockTime({ at: new Date(batch.endsAt), zone: shelf.zone });
    notice.say({ tone: 'done', text: `Steeping: ${batch.coffeeName}. Strain ${at}.` });
    await router.push('/steep');
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
  } finally {
    starting.value = false;
  }
}
</script>

<template>
  <div v-if="coffee && vessel && shop" class="plan">
    <h1 class="visually-hidden">Plan a batch</h1>
    <PlanChoices
      class="left"
      :draft="draft"
      :coffee="coffee"
      :vessel="vessel"
      :coffees="plan.coffees.value"
      :vessels="plan.vessels.value"
      :units="plan.units.value"
      :fridge-c="shop.fridgeC"
      :room-c="shop.roomC"
      :rested-days="restedDays"
      @change="drafts.change"
      @amount="drafts.setAmount"
      @pin="drafts.pin"
    />
    <section class="middle" aria-label="The vessel, and the steep by hours">
      <p v-if="failure" class="due" role="alert">{{ failure }}</p>
      <SteepDrawing v-if="drawing" v-bind="drawing" @level="setLevel" />
      <ReleaseChart v-if="chart" v-bind="chart" :clock-at="plan.clockAt" @hours="setHours" />
    </section>
    <PlanOutcome
      v-if="result"
      class="right"
      :result="result"
      :units="plan.units.value"
      :pours="plan.pours.value"
      :cost-per-l="costPerL"
      :clock="plan.clock.value"
      :starting="starting"
      @start="start"
    />
  </div>
  <div v-else class="empty">
    <h2>No coffee or vessel is on the shelf</h2>
    <p>A plan needs one of each.</p>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: 312px minmax(0, 1fr) 372px;
  min-height: calc(100vh - 84px);
}

.middle {
  padding: 12px 16px;
  background: var(--panel);
  border-inline: 1px solid var(--hairline);
}

@media (max-width: 1100px) {
  .plan {
    grid-template-columns: minmax(260px, 5fr) 7fr;
  }

  .middle {
    border-right: 0;
  }

  .right {
    grid-column: 1 / -1;
    border-top: 1px solid var(--hairline);
  }
}

@media (max-width: 640px) {
  .plan {
    grid-template-columns: 1fr;
  }
}
</style>
