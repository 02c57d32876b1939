<script setup lang="ts">
import { explainPlan, type Explained, type Plan } from '@ratio/core/batch';
import { NARROWED_BY } from '@ratio/core/brew';
import { amountText, writeMass } from '@ratio/core/units';
import { storeToRefs } from 'pinia';
import { computed, ref, watchEffect } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { sentenceOf } from '../../api/client.ts';
import ReleaseChart from '../../components/charts/ReleaseChart.vue';
import { clockTime } from '../../format/formatClock.ts';
import SteepDrawing from '../../components/drawings/SteepDrawing.vue';
import WhyDialog from '../../components/figures/WhyDialog.vue';
import { useBatches } from '../../stores/batches.ts';
import { useDraft } from '../../stores/draft.ts';
import { useNotice } from '../../stores/notice.ts';
import { useShop } from '../../stores/shop.ts';
import BatchSheet from './BatchSheet.vue';
import CompareTable from './CompareTable.vue';
import DraftConflict from './DraftConflict.vue';
import PlanChoices from './PlanChoices.vue';
import PlanClock from './PlanClock.vue';
import PlanExtras from './PlanExtras.vue';
import PlanOutcome from './PlanOutcome.vue';
import { solutionSentence } from './solutionSentence.ts';
import { useBatchSheet } from './useBatchSheet.ts';
import { useExtras } from './useExtras.ts';
import { usePlan } from './usePlan.ts';
import { usePlanClock, type OfferedFit } from './usePlanClock.ts';
import { useVariants } from './useVariants.ts';

const DAY_MS = 86_400_000;

const shelf = useShop();
const drafts = useDraft();
const batches = useBatches();
const notice = useNotice();
const router = useRouter();
const { draft, plan, coffee, model, conflict, theirs } = storeToRefs(drafts);
const { vessel, hours, result, failure, sampled, drawing, chart, pours, costPerL, units } =
  usePlan();
const clock = usePlanClock(hours);
const variants = useVariants();
const extras = useExtras();
const sheet = useBatchSheet({ result, timeline: clock.timeline });
const print = (): void => window.print();
const starting = ref(false);
const asked = ref<Explained | null>(null);

// A draft without a coffee or a jar takes one of the shelf, so that the page always shows one.
watchEffect(() => {
  const [firstCoffee] = shelf.coffees;
  const firstVessel = shelf.vessels[1] ?? shelf.vessels[0];
  if (plan.value.coffeeId === '' && firstCoffee && firstVessel)
    drafts.draft = {
      ...draft.value,
      plan: { ...plan.value, coffeeId: firstCoffee.id, vesselId: firstVessel.id },
    };
});

const restedDays = computed(() =>
  coffee.value
    ? Math.max(0, Math.floor((shelf.now.getTime() - Date.parse(coffee.value.roastedOn)) / DAY_MS))
    : 0,
);
const refused = computed(() =>
  conflict.value
    ? { key: conflict.value.key, text: solutionSentence(conflict.value, units.value) }
    : null,
);
const explained = computed(() =>
  result.value && coffee.value && model.value
    ? explainPlan({
        plan: plan.value,
        model: model.value,
        pricePerKg: coffee.value.pricePerKg,
        result: result.value,
      })
    : null,
);
const explanation = computed(() =>
  asked.value && explained.value ? explained.value[asked.value] : null,
);
const pct = (frac: number): string => (100 * frac).toFixed(2);
const whyRange = computed(() => {
  const from = sampled.value;
  if (!from) return '';
  const draws = `5th to 95th percentile of ${from.draws} draws`;
  switch (asked.value) {
    case 'strength':
      return `${pct(from.strengthFrac.low)} to ${pct(from.strengthFrac.high)} %, ${draws}`;
    case 'extraction':
      return `${pct(from.extractionYieldFrac.low)} to ${pct(from.extractionYieldFrac.high)} %, ${draws}`;
    case 'brew':
      return `${from.brewMl.low.toFixed(0)} to ${from.brewMl.high.toFixed(0)} mL, ${draws}`;
    default:
      return '';
  }
});
const narrowedBy = computed(() => {
  const from = sampled.value;
  const ranges = {
    strength: from?.strengthFrac,
    extraction: from?.extractionYieldFrac,
    brew: from?.brewMl,
  };
  const range =
    asked.value && asked.value in ranges ? ranges[asked.value as keyof typeof ranges] : undefined;
  return (range?.contributions ?? [])
    .filter(({ shareFrac }) => shareFrac > 0.05)
    .map(
      ({ input, shareFrac }) =>
        `${(100 * shareFrac).toFixed(0)} % of its variance would go: ${NARROWED_BY[input]}.`,
    );
});

const writePlan = (of: Plan): string => {
  const mass = (massG: number) => amountText(writeMass({ massG, units: units.value }));
  const steep = of.steep.map(({ hours: h, place }) => `${h} h ${place}`).join(', ');
  return `${mass(of.doseG)} ${of.grind} and ${mass(of.waterG)}, ${steep}`;
};

const setLevel = (volumeMl: number): void => drafts.setAmount('fillMl', volumeMl);

function setHours(whole: number): void {
  const last = plan.value.steep.at(-1)!;
  const before = hours.value - last.hours;
  drafts.change({
    steep: [...plan.value.steep.slice(0, -1), { ...last, hours: Math.max(0.25, whole - before) }],
  });
}

function takeFit(fit: OfferedFit): void {
  if (fit.steepHours !== hours.value) setHours(fit.steepHours);
  drafts.commit({ startAt: new Date(fit.startMs).toISOString() });
}

/** So many of a drink: the brew that it takes, at the strength that the brew has. */
function setDrinks(drinkId: string, count: number): void {
  const brew = result.value?.outcome;
  const per = pours.value.find(({ drink }) => drink.id === drinkId)?.concentrateG;
  if (brew && per) drafts.setAmount('brewMl', (count * per * brew.brewMl) / brew.brewG);
}

async function start(): Promise<void> {
  starting.value = true;
  try {
    const batch = await batches.start({ id: draft.value.id, plan: plan.value });
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
  <BatchSheet v-if="sheet" v-bind="sheet" />
  <div v-if="coffee && model && vessel && shelf.shop" class="plan no-print">
    <h1 class="visually-hidden">Plan a batch</h1>
    <DraftConflict
      v-if="theirs"
      :mine="plan"
      :theirs="theirs.plan"
      :write="writePlan"
      @settle="drafts.settle"
    />
    <div class="left">
      <nav class="tools no-print" aria-label="Ways to plan">
        <RouterLink to="/plan/recipe">Read a recipe in</RouterLink>
        <RouterLink to="/plan/samples">Small jars</RouterLink>
        <button type="button" @click="print">Print</button>
        <button type="button" @click="drafts.restart">New plan</button>
      </nav>
      <PlanChoices
        :plan="plan"
        :targets="draft.targets"
        :locked="draft.locked"
        :scooped="draft.scooped"
        :refused="refused"
        :coffee="coffee"
        :model="model"
        :vessel="vessel"
        :coffees="shelf.coffees"
        :vessels="shelf.vessels"
        :units="units"
        :fridge-c="shelf.shop.fridgeC"
        :room-c="shelf.shop.roomC"
        :scoop-ml="shelf.shop.scoopMl"
        :rested-days="restedDays"
        :mill="shelf.shop.mill.settings"
        @change="drafts.change"
        @amount="
          (key, value, scooped) =>
            drafts.setAmount(key, value, scooped === undefined ? {} : { scooped })
        "
        @lock="drafts.lock"
      />
    </div>
    <section class="middle" aria-label="The vessel, and the steep by hours">
      <p v-if="failure" class="due" role="alert">{{ failure }}</p>
      <SteepDrawing v-if="drawing" v-bind="drawing" @level="setLevel" />
      <ReleaseChart
        v-if="chart"
        v-bind="chart"
        :clock-at="clock.clockAt"
        :windows="clock.windows.value"
        :others="variants.others.value"
        :compared="extras.comparedCurve.value"
        @hours="setHours"
      />
      <PlanExtras
        :rounded="extras.rounded.value?.text ?? ''"
        :measured="extras.measured.value"
        :split="extras.split.value"
        :nearly-done="extras.nearlyDone.value"
        :by-day="extras.byDay.value"
        :compare-with="extras.compareWith.value"
        @round="extras.round"
        @measure="extras.measure"
        @scale="extras.scale"
        @compare-with="extras.compareWith.value = $event"
        @why="asked = $event"
      />
      <CompareTable
        v-if="variants.rows.value.length > 0"
        :rows="variants.rows.value"
        :variants="variants.variants.value"
        @drop="variants.drop"
        @take="variants.take"
      />
    </section>
    <PlanOutcome
      v-if="result"
      class="right"
      :result="result"
      :sampled="sampled"
      :targets="draft.targets"
      :locked="draft.locked"
      :refused="refused"
      :units="units"
      :pours="pours"
      :cost-per-l="costPerL"
      :starting="starting"
      @start="start"
      @compare="variants.keep"
      @why="asked = $event"
      @amount="(key, value) => drafts.setAmount(key, value)"
      @lock="drafts.lock"
      @drinks="setDrinks"
    >
      <template #clock>
        <PlanClock
          :timeline="clock.timeline.value"
          :manned="clock.manned.value"
          :late="clock.late.value"
          :opening="clock.opening.value"
          :fits="clock.fits.value"
          :start-local="clock.startLocal.value"
          :ready-local="clock.readyLocal.value"
          :timed="draft.startAt !== null"
          @start="clock.setStart"
          @ready="clock.setReady"
          @fit="takeFit"
        />
      </template>
    </PlanOutcome>
    <WhyDialog
      :explanation="explanation"
      :range="whyRange"
      :narrowed-by="narrowedBy"
      @close="asked = null"
    />
  </div>
  <div v-else class="empty">
    <h2>No coffee or vessel is on the shelf</h2>
    <p>A plan needs one of each. <RouterLink to="/shelf">Put them on the shelf</RouterLink>.</p>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: 312px minmax(0, 1fr) 372px;
  min-height: calc(100vh - 84px);
}

.tools {
  display: flex;
  justify-content: space-between;
  padding: 6px 20px 0;
  font-size: var(--t13);
}

.tools a,
.tools button {
  border: 0;
  background: none;
  padding: 6px 0;
  color: var(--action);
  text-decoration: underline;
  cursor: pointer;
}

.middle {
  padding: 12px 16px;
  background: var(--panel);
  border-inline: 1px solid var(--hairline);
}

.empty {
  margin-left: 24px;
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
