<script setup lang="ts">
import BatchSheet from './BatchSheet.vue';
import { ANY_VESSEL_ID } from '@ratio/core/brew';
import { usualCoffee } from '@ratio/core/coffee';
import { storeToRefs } from 'pinia';
import { RouterLink } from 'vue-router';
import { useDraft } from './draft.ts';
import PlanExtras from './PlanExtras.vue';
import AssumedLine from './AssumedLine.vue';
import NobodyIn from './NobodyIn.vue';
import PlanChoices from './PlanChoices.vue';
import PlanClock from './PlanClock.vue';
import PlanOutcome from './PlanOutcome.vue';
import { planText } from './planText.ts';
import { useBatchSheet } from './useBatchSheet.ts';
import { useDrawnWidth } from './useDrawnWidth.ts';
import { useExtras } from './useExtras.ts';
import { usePlan } from './usePlan.ts';
import { usePlanClock } from './usePlanClock.ts';
import { usePlanEdits } from './usePlanEdits.ts';
import { usePlanVessels } from './usePlanVessels.ts';
import { usePlanWhy } from './usePlanWhy.ts';
import { useStartSteep } from './useStartSteep.ts';
import { useVariants } from './useVariants.ts';
import { useShop } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { ReleaseChart } from '../ui/charts/index.ts';
import { SteepDrawing } from '../ui/drawings/index.ts';
import { useRefusals } from '../ui/fields/index.ts';
import { WhyOnAsking } from '../ui/figures/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const DraftConflict = lazyComponent(() => import('./DraftConflict.vue'));
const CompareTable = lazyComponent(() => import('./CompareTable.vue'));
const session = useSession();
const shop = useShop();
const drafts = useDraft();
const { draft, plan, coffee, model, theirs } = storeToRefs(drafts);
const page = usePlan();
const { vessel, hours, result, failure, sampled, drawing, chart, pours, cost, refused, format } =
  page;
const clock = usePlanClock(hours);
const vessels = usePlanVessels(clock.startMs);
useRefusals();
const variants = useVariants();
const extras = useExtras();
const sheet = useBatchSheet({ result, timeline: clock.timeline });
const { setHours, setLevel, takeFit, setDrinks } = usePlanEdits(page);
const { asked, explained, rangeText, narrowedBy } = usePlanWhy(page);
const { starting, start } = useStartSteep();
const print = (): void => window.print();
const drawnWidth = useDrawnWidth();
</script>

<template>
  <div v-if="shop.document" class="plan no-print side-by-side">
    <h1 class="visually-hidden">Plan a batch</h1>
    <DraftConflict
      v-if="theirs"
      :mine="plan"
      :theirs="theirs.plan"
      :write="(of) => planText(of, format.units)"
      @settle="drafts.settle"
    />
    <div class="left">
      <nav class="tools no-print" aria-label="Ways to plan">
        <RouterLink to="/plan/recipe">Read a recipe in</RouterLink>
        <RouterLink to="/plan/samples">Small jars</RouterLink>
        <LinkButton @click="print">Print</LinkButton>
        <LinkButton @click="drafts.restart">New plan</LinkButton>
      </nav>
      <PlanChoices
        :plan
        :amounts="{
          targets: draft.targets,
          locked: draft.locked,
          scooped: draft.scooped,
          refused,
        }"
        :coffee
        :coffees="shop.brewable"
        :rested-days="page.restedDays.value"
        :model
        :vessel-choice="{ vessel, ...vessels.choice.value }"
        :rooms="shop.document"
        :mill="shop.document.mill.settings"
        :format
        @change="drafts.change"
        @cleaned="vessels.cleaned"
        @washed="vessels.washed"
        @amount="
          (key, value, scooped) =>
            drafts.setAmount(key, value, scooped === undefined ? {} : { scooped })
        "
        @lock="drafts.lock"
      />
    </div>
    <section class="middle" aria-label="The vessel, and the steep by hours">
      <!-- What is predicted, the drawing, the figures beside it, and what is below it. -->

      <AssumedLine
        v-if="usualCoffee(coffee.id) || plan.vesselId === ANY_VESSEL_ID"
        :coffee-id="coffee.id"
        :any-vessel="plan.vesselId === ANY_VESSEL_ID"
        :may-shelve="session.can('leads')"
        @coffee="drafts.change({ coffeeId: $event })"
      />
      <p v-if="failure" class="due" role="alert">{{ failure }}</p>

      <SteepDrawing v-if="drawing" v-bind="drawing" :width="drawnWidth" @level="setLevel" />

      <ReleaseChart
        v-if="chart"
        v-bind="chart"
        :width="drawnWidth"
        :clock-at="clock.clockAt"
        :windows="clock.windows.value"
        :others="variants.others.value"
        :compared="extras.comparedCurve.value"
        @hours="setHours"
      />

      <PlanExtras
        :suggestions="extras.suggestions.value"
        :split="extras.split.value"
        :nearly-done="extras.nearlyDone.value"
        :by-day="extras.byDay.value"
        :compare-with="extras.compareWith.value"
        @take="extras.take"
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
      :result
      :sampled
      :targets="draft.targets"
      :locked="draft.locked"
      :refused
      :format
      :pours
      :cost
      :starting
      :may-start="session.can('brews')"
      :began="clock.pastText.value !== ''"
      :not-yet="
        vessels.choice.value.wrong === ''
          ? ''
          : vessels.choice.value.dirty
            ? 'Its vessel is not clean.'
            : 'Its vessel is in use.'
      "
      @start="start"
      @compare="variants.keep"
      @why="asked = $event"
      @amount="(key, value) => drafts.setAmount(key, value)"
      @lock="drafts.lock"
      @drinks="setDrinks"
    >
      <template #night>
        <NobodyIn
          v-if="!clock.manned.value && clock.pastText.value === '' && clock.fits.value.length > 0"
          :fits="clock.fits.value"
          @fit="takeFit"
        />
      </template>
      <template #clock>
        <PlanClock
          :timeline="clock.timeline.value"
          :past-text="clock.pastText.value"
          :opening="clock.opening.value"
          :start-ms="draft.startAt === null ? null : clock.startMs.value"
          :ready-ms="clock.readyMs.value"
          :now="shop.now"
          :zone="shop.zone"
          @start="clock.setStart"
          @ready="clock.setReady"
        />
      </template>
    </PlanOutcome>
    <WhyOnAsking v-model="asked" :explained :range="rangeText" :narrowed-by :format />
  </div>
  <BatchSheet v-if="sheet" v-bind="sheet" />
</template>

<style scoped>
.plan {
  grid-template-columns: 312px minmax(0, 1fr) 372px;
}

.tools {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  padding: 6px 20px 0;
  font-size: var(--t13);
}

.tools a,
.tools .el-button {
  border: 0;
  background: none;
  padding: 6px 0;
  color: var(--action);
  text-decoration: underline;
  cursor: pointer;
}

/* On a phone it stands under choices that come one after another, and would be seen to move. */
.middle:not(:has(*)) {
  visibility: hidden;
}

.left {
  min-width: 0;
}

.middle {
  min-width: 0;
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

  .conflict {
    order: -2;
  }

  /* What stands below the figures is seen once all of it is as high as it will be. */
  .plan:not(:has(.middle svg, .middle [role='alert'])) :is(.left, :deep(.rest)) {
    visibility: hidden;
  }
}

@media (max-width: 640px) {
  .plan {
    grid-template-columns: 1fr;
  }
}
</style>
