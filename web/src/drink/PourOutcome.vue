<script setup lang="ts">
import { CONSTANTS } from '@ratio/core/constants';
import type { Caution } from '@ratio/core/caution';
import {
  drinkingWindowOf,
  type Adjustment,
  type AskedFor,
  type Bulk,
  type Drink,
  type DrinkCost,
  type DrinkPoint,
  type ExplainedOfDrink,
  type SiphonPlan,
  type SolvedDrink,
  type TopLayer,
} from '@ratio/core/drink';
import { ElButton } from 'element-plus';
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { firstUnseen } from './firstUnseen.ts';
import BuildList from './BuildList.vue';
import DrinkFacts from './DrinkFacts.vue';
import RemedyPanel from './RemedyPanel.vue';
import StrengthHead from './StrengthHead.vue';
import TasteRow from './TasteRow.vue';
import type { BuildRow } from './useBuild.ts';
import type { Measuring } from './usePour.ts';
import { costText, type AmountFormat } from '../format/index.ts';
import { onPhone } from '../ui/browser/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { ActButton } from '../ui/fields/index.ts';
import { CautionList, FoldAway } from '../ui/figures/index.ts';
import { StandChart } from '../ui/charts/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const KeepRow = lazyComponent(() => import('./KeepRow.vue'));
// Once something is changed.
const BulkCard = lazyComponent(() => import('./BulkCard.vue'));

/** The one drink: its strength, how it stands, what to pour, and the button that pours it. */
const props = defineProps<{
  drink: Drink;
  solved: SolvedDrink;
  /** Minute at which it is to have its strength. */
  minute: number;
  remedies: readonly { name: string; text: string; canApply: boolean }[];
  /** What is changed and not kept; null where it is as the menu has it. */
  changes: readonly string[] | null;
  /** What enough people asked for, so that it could be the usual. */
  wishes: readonly AskedFor[];
  isNew: boolean;
  keeping: boolean;
  ownIceName: string;
  otherIce: { name: string; timeline: readonly DrinkPoint[] } | null;
  build: readonly BuildRow[];
  /** Of a drink in layers, where its first sips come from. */
  top: TopLayer | null;
  measuring: Measuring;
  rounding: string;
  count: number;
  hotText: string;
  bulk: (Bulk & { serve: 'siphon' | 'keg'; plan: SiphonPlan | null }) | null;
  cost: DrinkCost | null;
  margin: string;
  /** Whether the jug holds enough for it, and how many it still holds. */
  enough: boolean;
  left: number;
  pouring: boolean;
  /** Whether the jug is only assumed: nothing is counted out of it. */
  assumed: boolean;
  format: AmountFormat;
}>();
const emit = defineEmits<{
  aim: [target: { strengthFrac?: number; atMinutes?: number }];
  apply: [remedy: string];
  adjust: [by: Adjustment];
  usual: [];
  keep: [forWhom: string];
  measuring: [by: Measuring];
  count: [count: number];
  pour: [];
  why: [number: ExplainedOfDrink];
}>();

const solution = computed(() => props.solved.solution);
const lastSip = CONSTANTS.lastSipMinutes.value;

const each = (amount: number): number => amount / props.drink.servings;
/** Where a drink comes out of reach, what would reach it has the room of the chart; not while it is changed. */
const isChartFolded = ref(false);
watch(
  () => props.drink.id,
  () => (isChartFolded.value = solution.value.status !== 'met'),
  { immediate: true },
);
/**
 * What a build of three takes leaves this to the chart; each line more is its own height lower. On a phone it
 * stands below all that, and has its height.
 */
const CHART = { height: 164, least: 86, line: 32 } as const;
const isPhone = onPhone();
const chartHeight = computed(() => {
  if (isPhone.value) return CHART.height;
  const { build, bulk } = props;
  const more = build.length - 3 + (bulk ? 4 : 0) + (solution.value.alcoholFrac > 0 ? 1 : 0);
  return Math.max(CHART.least, CHART.height - Math.max(0, more) * CHART.line);
});
/** The other cautions; why it is out of reach stands above. */
const cautions = computed(() =>
  solution.value.status === 'met' ? props.solved.cautions : props.solved.cautions.slice(1),
);
/** A caution says what, why, and what to do, in that order. */
const whatOf = ({ text }: Caution): string => text.split(/[:.] /u)[0]!;
const cautionList = ref<HTMLElement | null>(null);
const unseen = firstUnseen(cautionList, () => cautions.value);
const unseenWarning = computed(() =>
  unseen.value < 0
    ? undefined
    : cautions.value.slice(unseen.value).find(({ severity }) => severity === 'warn'),
);
</script>

<template>
  <section class="outcome" aria-label="This drink">
    <StrengthHead
      class="top"
      :drink
      :solved
      :minute
      :top
      :format
      @why="emit('why', 'strength')"
      @aim="(strengthFrac) => emit('aim', { strengthFrac })"
    />
    <RemedyPanel
      v-if="solution.status !== 'met'"
      :format
      class="reach"
      :why="solved.cautions[0]!"
      :remedies
      @apply="emit('apply', $event)"
    />

    <FoldAway class="taste" title="After a sip: weaker, stronger, sweeter">
      <TasteRow @adjust="emit('adjust', $event)" />
    </FoldAway>
    <p v-for="{ way, people } in wishes" :key="way" class="asked no-print">
      {{ people }} asked for it {{ way }}.
      <ElButton @click="emit('adjust', way)">Make it {{ way }}</ElButton>
    </p>
    <KeepRow
      v-if="changes"
      :changes
      :is-new
      :keeping
      @usual="emit('usual')"
      @keep="emit('keep', $event)"
    />
    <FoldAway
      v-if="solution.timeline().length > 0"
      class="stands"
      title="While the ice melts"
      :always="isChartFolded"
    >
      <div class="room" :style="{ '--chart': chartHeight }">
        <StandChart
          :timeline="solution.timeline()"
          :other="otherIce"
          :own-name="ownIceName"
          :window="drinkingWindowOf(solved)"
          :minute
          :last-sip-minutes="lastSip"
          :height="chartHeight"
          :format
          @minute="emit('aim', { atMinutes: $event })"
        />
      </div>
    </FoldAway>
    <BuildList
      class="build"
      :build
      :rounding
      :measuring
      :count
      @update:measuring="$event && emit('measuring', $event)"
      @update:count="$event && emit('count', $event)"
    />
    <p v-if="hotText" class="fine">{{ hotText }}</p>
    <BulkCard v-if="bulk" :bulk :format />
    <DrinkFacts
      :caffeine-mg="each(solution.caffeineMg)"
      :energy-kcal="each(solution.energyKcal)"
      :sugar-g="each(solution.sugarG)"
      :alcohol-frac="solution.alcoholFrac"
      :cost="cost ? costText(cost, format.money) : '–'"
      :price="format.money(drink.price)"
      :margin
      :unpriced="cost?.unknown ?? []"
      :allergens="solved.allergens"
      :servings="drink.servings"
      :left
      @why="emit('why', $event)"
    />
    <div ref="cautionList"><CautionList :cautions :format /></div>

    <div class="go no-print">
      <p v-if="assumed" class="fine">
        Pour it so. To count what is poured,
        <RouterLink to="/jugs/new">note the jug that it comes from</RouterLink>.
      </p>
      <ActButton
        v-else
        primary
        :disabled="!enough || solution.concentrateG <= 0"
        :doing="pouring"
        @act="emit('pour')"
        >{{ count === 1 ? 'Pour this one' : `Pour these ${count}` }}</ActButton
      >
      <p v-if="!enough" class="due">The jug holds too little for it. Take another jug.</p>
      <!-- It stands in the list above too, below the edge of the screen. -->
      <p v-else-if="unseenWarning" class="fine" aria-hidden="true">
        <strong class="due">Caution</strong> {{ whatOf(unseenWarning) }}.
        <LinkButton tabindex="-1" @click="cautionList?.scrollIntoView({ block: 'center' })"
          >What to do</LinkButton
        >
      </p>
    </div>
  </section>
</template>

<style scoped>
.outcome {
  display: flex;
  flex: 1;
  flex-direction: column;
  gap: 4px;
  padding: 8px 24px 0;
}

.fine {
  font-size: var(--t13);
}

.go {
  position: sticky;
  bottom: 0;
  z-index: 1;
  display: flex;
  align-items: center;
  gap: 14px;
  margin: auto -24px 0;
  border-top: 1px solid var(--hairline);
  background: var(--paper);
  padding: 8px 24px;
}

/* The chart’s row of views and its drawing, before they are there. */
@media (min-width: 641px) {
  .stands {
    container-type: inline-size;
  }

  .room {
    min-height: calc(32px + 100cqi * var(--chart) / 440);
  }
}

.asked {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  border-left: 3px solid var(--action);
  padding-left: 10px;
}

/* At the bar on a phone: the strength, what to pour, the button. */
@media (max-width: 640px) {
  .top {
    order: -4;
  }

  .reach {
    order: -3;
  }

  .build {
    order: -2;
  }

  .taste,
  .stands {
    order: 2;
  }

  .outcome {
    padding-inline: 14px;
  }

  .go {
    position: fixed;
    inset: auto 0 0;
    z-index: 3;
    margin: 0;
    padding-inline: 14px;
  }
}
</style>
