<script setup lang="ts">
import { CONSTANTS, EXPLAINED_OF_DRINK, type Adjustment, type ExplainedOfDrink } from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed, ref } from 'vue';
import StandChart from '../../chart/StandChart.vue';
import AmountField from '../../field/AmountField.vue';
import BigFigure from '../../figure/BigFigure.vue';
import CautionList from '../../figure/CautionList.vue';
import { useInView } from '../../figure/useInView.ts';
import WhyDialog from '../../figure/WhyDialog.vue';
import BuildList from './BuildList.vue';
import BulkCard from './BulkCard.vue';
import DrinkFacts from './DrinkFacts.vue';
import TasteRow from './TasteRow.vue';
import type { usePour } from './usePour.ts';

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
const drink = computed(() => props.pour.drink.value!);
const solved = computed(() => props.pour.solved.value!);
const solution = computed(() => solved.value.solution);
const minute = computed(() => props.pour.minute.value);
const pct = (frac: number): string => (100 * frac).toFixed(2);
const FOOTER_PX = 64;
const lastSip = CONSTANTS.lastSipMinutes.value;

const minuteText = computed(() =>
  minute.value === 0 ? 'as it is poured' : `${minute.value} min after pouring`,
);
const sips = computed(() => {
  const { timeline } = solution.value;
  const [first, last] = [timeline[0], timeline[lastSip]];
  if (!first || !last) return '';
  const window = solved.value.window;
  const until = window ? Math.round(window.toMinutes) : 0;
  const meant = window
    ? until >= 30
      ? '. As meant for half an hour'
      : `. As meant until ${until} min`
    : '';
  return `first sip ${pct(first.strengthFrac)}, at ${lastSip} min ${pct(last.strengthFrac)}${meant}`;
});
const rounding = computed(() => {
  const measured = props.pour.measured.value;
  if (!measured) return '';
  const { offFrac, overLineMl, solution: poured } = measured;
  const off =
    Math.abs(offFrac) < 5e-5 ? 'as solved' : `${offFrac > 0 ? '+' : '−'}${pct(Math.abs(offFrac))}`;
  const line =
    Math.abs(overLineMl) < 0.5
      ? 'at the fill line'
      : `${words.volume(Math.abs(overLineMl))} ${overLineMl > 0 ? 'over' : 'under'} the line`;
  return `Rounded to the tools it is ${pct(poured.strengthFrac)}\u2009% (${off}), ${line}.`;
});
const isUs = computed(() => words.units.value === 'us');
const each = (amount: number): number => amount / drink.value.shares;
const cost = computed(() => props.pour.cost.value);
const margin = computed(() => {
  const { price } = drink.value;
  if (!cost.value || cost.value.unknown.length > 0 || price <= 0) return '';
  return `${(100 * (1 - cost.value.price / price)).toFixed(0)} %`;
});
const hotText = computed(() => {
  const hot = props.pour.hot.value;
  if (!hot) return '';
  const now = `In the cup ${words.temp(hot.cupC)}, before the mug takes its share.`;
  return hot.fillC === null
    ? `${now} Even boiling ${fillName.value} does not bring it to ${words.temp(hot.wantedC)}: warm the concentrate, or take less of it.`
    : `${now} For ${words.temp(hot.wantedC)} pour it at ${words.temp(hot.fillC)}.`;
});
const fillName = computed(() => solved.value.input.fills[0]!.ingredient.name.toLowerCase());
/** The number that somebody asks about. */
const asked = ref<ExplainedOfDrink | null>(null);
const explanation = computed(() =>
  asked.value ? (props.pour.explained.value?.[asked.value] ?? null) : null,
);
/** The rest of what there is to heed; why it is out of reach stands above. */
const cautions = computed(() =>
  solution.value.status === 'met' ? solved.value.cautions : solved.value.cautions.slice(1),
);
const firstWarning = computed(() => cautions.value.find(({ severity }) => severity === 'warn'));
const cautionList = ref<HTMLElement | null>(null);
const cautionsSeen = useInView(cautionList, FOOTER_PX);
const needsWays = computed(() => props.pour.ways.value.length > 0);
</script>

<template>
  <section class="outcome" aria-label="This drink" aria-live="polite">
    <div class="top">
      <BigFigure
        :label="`${drink.name}, ${minuteText}`"
        :figure="pct(solution.strengthFrac)"
        unit="%"
      >
        <template #head>
          <button type="button" class="why no-print" @click="asked = 'strength'">Why</button>
        </template>
        <template v-if="sips" #beside>
          <span class="sips soft">{{ sips }}</span>
        </template>
      </BigFigure>
      <div v-if="'strengthFrac' in drink.target" class="target no-print">
        <span class="label">Target</span>
        <AmountField
          label="Target strength"
          :value="drink.target.strengthFrac"
          :accepts="['percent']"
          :write="words.pct"
          :step="0.0005"
          :min="0.001"
          :max="0.2"
          limit-text="Between 0.1 % and 20 %."
          @change="(strengthFrac) => pour.aim({ strengthFrac })"
        />
      </div>
    </div>
    <div v-if="solution.status !== 'met'" class="reach">
      <CautionList :cautions="solved.cautions.slice(0, 1)" />
      <p v-if="needsWays"><strong>What would reach it</strong></p>
      <ul v-if="needsWays">
        <li v-for="{ way, text, take } in pour.ways.value" :key="way.way">
          <button v-if="take" type="button" @click="take">{{ text }}</button>
          <template v-else>{{ text }}</template>
        </li>
      </ul>
    </div>
    <TasteRow
      :changes="hand.changes.value"
      :is-new="hand.isNew.value"
      :edited="hand.edited.value !== null"
      :keeping="hand.keeping.value"
      @adjust="(by: Adjustment) => hand.adjust(by)"
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
    <WhyDialog :explanation="explanation" range="" :narrowed-by="[]" @close="asked = null">
      <p class="whys">
        Why
        <button
          v-for="key in EXPLAINED_OF_DRINK"
          :key="key"
          type="button"
          :aria-pressed="asked === key"
          @click="asked = key"
        >
          {{ key }}
        </button>
      </p>
    </WhyDialog>
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

.top {
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 12px;
}

.top > :deep(.figure) {
  flex: 1;
}

.top :deep(.line) {
  flex-wrap: nowrap;
}

.sips {
  display: inline-block;
  font-size: var(--t13);
  font-weight: 400;
  line-height: 1.3;
}

.target {
  width: 92px;
  flex: none;
}

.reach {
  display: grid;
  gap: 4px;
  font-size: var(--t13);
}

.reach ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}

.reach li {
  display: flex;
  align-items: center;
  min-height: 32px;
}

.reach li button {
  min-height: 32px;
  border: 1px solid var(--hairline-strong);
  border-radius: 4px;
  background: var(--panel);
  padding: 0 10px;
  cursor: pointer;
}

.fine {
  font-size: var(--t13);
}

.why,
.whys button {
  border: 0;
  background: none;
  padding: 0 8px;
  color: var(--action);
  text-decoration: underline;
  cursor: pointer;
}

.why {
  font-size: var(--t13);
}

.whys button {
  min-height: 36px;
}

.whys [aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
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

  .target {
    width: 76px;
  }
}
</style>
