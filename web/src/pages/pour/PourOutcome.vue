<script setup lang="ts">
import { CONSTANTS, type Adjustment, type ExplainedOfDrink } from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed, ref } from 'vue';
import StandChart from '../../chart/StandChart.vue';
import CautionList from '../../figure/CautionList.vue';
import { useInView } from '../../figure/useInView.ts';
import BuildList from './BuildList.vue';
import BulkCard from './BulkCard.vue';
import DrinkFacts from './DrinkFacts.vue';
import DrinkWhy from './DrinkWhy.vue';
import KeepRow from './KeepRow.vue';
import ReachPanel from './ReachPanel.vue';
import StrengthHead from './StrengthHead.vue';
import TasteRow from './TasteRow.vue';
import type { usePour } from './usePour.ts';
import { usePourTexts } from './usePourTexts.ts';

/** The one drink: its strength, how it stands, what to pour, and the button that pours it. */
const props = defineProps<{
  pour: ReturnType<typeof usePour>;
  /** Whether the jug holds enough for it. */
  enough: boolean;
  left: number;
  pouring: boolean;
}>();
const emit = defineEmits<{ pour: [] }>();

const { hand, words } = props.pour;
const { rounding, hotText, margin } = usePourTexts(props.pour);
const drink = computed(() => props.pour.drink.value!);
const solved = computed(() => props.pour.solved.value!);
const solution = computed(() => solved.value.solution);
const minute = computed(() => props.pour.minute.value);
const FOOTER_PX = 64;
const lastSip = CONSTANTS.lastSipMinutes.value;

const isUs = computed(() => words.units.value === 'us');
const each = (amount: number): number => amount / drink.value.shares;
const cost = computed(() => props.pour.cost.value);
/** The number that somebody asks about. */
const asked = ref<ExplainedOfDrink | null>(null);
/** The rest of what there is to heed; why it is out of reach stands above. */
const cautions = computed(() =>
  solution.value.status === 'met' ? solved.value.cautions : solved.value.cautions.slice(1),
);
const firstWarning = computed(() => cautions.value.find(({ severity }) => severity === 'warn'));
const cautionList = ref<HTMLElement | null>(null);
const cautionsSeen = useInView(cautionList, FOOTER_PX);
</script>

<template>
  <section class="outcome" aria-label="This drink">
    <StrengthHead
      class="top"
      :drink="drink"
      :solved="solved"
      :minute="minute"
      :write-pct="words.pct"
      @why="asked = 'strength'"
      @aim="(strengthFrac) => pour.aim({ strengthFrac })"
    />
    <ReachPanel
      v-if="solution.status !== 'met'"
      class="reach"
      :why="solved.cautions[0]!"
      :ways="pour.ways.value"
    />
    <TasteRow @adjust="(by: Adjustment) => hand.adjust(by)" />
    <KeepRow
      v-if="hand.edited.value"
      :changes="hand.changes.value"
      :is-new="hand.isNew.value"
      :keeping="hand.keeping.value"
      @usual="hand.asUsual"
      @keep="hand.keep"
    />
    <StandChart
      v-if="solution.timeline.length > 0"
      :timeline="solution.timeline"
      :other="pour.otherIce.value"
      :own-name="
        pour.iceText.value
          ? pour.iceText.value.isCoffee
            ? 'coffee ice'
            : 'water ice'
          : 'without ice'
      "
      :window="solved.window"
      :minute="minute"
      :last-sip-minutes="lastSip"
      :write-temp="words.temp"
      :write-volume="words.volume"
      :degrees="(tempC) => (isUs ? tempC * 1.8 + 32 : tempC)"
      :volume="(volumeMl) => volumeMl / words.perUnitMl.value"
      @minute="pour.aim({ atMinutes: $event })"
    />
    <BuildList
      class="build"
      :build="pour.build.value"
      :measuring="pour.measuring.value"
      :rounding="rounding"
      :count="pour.count.value"
      @measuring="pour.measureBy"
      @count="pour.pourTimes"
    />
    <p v-if="hotText" class="fine">{{ hotText }}</p>
    <BulkCard
      v-if="pour.bulk.value"
      :bulk="pour.bulk.value"
      :write-volume="words.volume"
      :write-money="words.money"
    />
    <DrinkFacts
      :caffeine-mg="each(solution.caffeineMg)"
      :energy-kcal="each(solution.energyKcal)"
      :sugar-g="each(solution.sugarG)"
      :alcohol-frac="solution.alcoholFrac"
      :cost="cost ? words.money(cost.price) : '–'"
      :price="words.money(drink.price)"
      :margin="margin"
      :unpriced="cost?.unknown ?? []"
      :allergens="solved.allergens"
      :shares="drink.shares"
      :left="left"
      @why="asked = $event"
    />
    <div ref="cautionList"><CautionList :cautions="cautions" /></div>
    <DrinkWhy v-model="asked" :explained="pour.explained.value" />
    <div class="go no-print">
      <ElButton
        type="primary"
        size="large"
        :disabled="!enough || solution.concentrateG <= 0"
        :loading="pouring"
        @click="emit('pour')"
      >
        {{ pour.count.value === 1 ? 'Pour this one' : `Pour these ${pour.count.value}` }}
      </ElButton>
      <p v-if="!enough" class="due">The jug holds too little for it. Take another jug.</p>
      <!-- It stands in the list above too, below the edge of the screen. -->
      <p v-else-if="firstWarning && !cautionsSeen" class="heed" aria-hidden="true">
        <strong class="due">Heed</strong> {{ firstWarning.text }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.outcome {
  display: flex;
  flex: 1;
  flex-direction: column;
  gap: 6px;
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

.heed {
  display: -webkit-box;
  overflow: hidden;
  font-size: var(--t13);
  line-height: 1.3;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  line-clamp: 3;
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

  .outcome,
  .go {
    padding-inline: 14px;
  }

  .go {
    margin-inline: -14px;
  }
}
</style>
