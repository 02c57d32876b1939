<script setup lang="ts">
import type { Caution } from '@ratio/core/caution';
import type {
  Adjustment,
  AskedFor,
  Bulk,
  Drink,
  DrinkCost,
  DrinkPoint,
  ExplainedOfDrink,
  SiphonPlan,
  SolvedDrink,
  TopLayer,
} from '@ratio/core/drink';
import { computed, ref } from 'vue';
import BuildList from './BuildList.vue';
import DrinkAdjust from './DrinkAdjust.vue';
import DrinkFacts from './DrinkFacts.vue';
import { firstUnseen } from './firstUnseen.ts';
import PourBar from './PourBar.vue';
import RemedyPanel from './RemedyPanel.vue';
import StandSection from './StandSection.vue';
import StrengthHead from './StrengthHead.vue';
import type { BuildRow } from './useBuild.ts';
import type { Measuring } from './usePour.ts';
import type { AmountFormat } from '../format/index.ts';
import { CautionList } from '../ui/figures/index.ts';

/** The one drink, section by section: its strength, how it stands, what to pour, and the button that pours it. */
const props = defineProps<{
  drink: Drink;
  solved: SolvedDrink;
  /** Minute at which it is to have its strength. */
  minute: number;
  /** Of a drink in layers, where its first sips come from. */
  top: TopLayer | null;
  remedies: readonly { name: string; text: string; canApply: boolean }[];
  edits: {
    changes: readonly string[] | null;
    wishes: readonly AskedFor[];
    isNew: boolean;
    keeping: boolean;
  };
  ownIceName: string;
  /** The same drink over the other ice, to compare. */
  otherIce: { name: string; timeline: readonly DrinkPoint[] } | null;
  building: {
    build: readonly BuildRow[];
    rounding: string;
    hotText: string;
    bulk: (Bulk & { serve: 'siphon' | 'keg'; plan: SiphonPlan | null }) | null;
    measuring: Measuring;
    count: number;
  };
  facts: { cost: DrinkCost | null; margin: string; left: number };
  pouring: { assumed: boolean; enough: boolean; pouring: boolean };
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
const extraLines = computed(() => {
  const { build, bulk } = props.building;
  return build.length - 3 + (bulk ? 4 : 0) + (solution.value.alcoholFrac > 0 ? 1 : 0);
});
/** The other cautions; why it is out of reach stands above. */
const cautions = computed(() =>
  solution.value.status === 'met' ? props.solved.cautions : props.solved.cautions.slice(1),
);
/** A caution says what, why, and what to do, in that order. */
const whatOf = ({ text }: Caution): string => text.split(/[:.] /u)[0]!;
const cautionList = ref<HTMLElement | null>(null);
const unseen = firstUnseen(cautionList, () => cautions.value);
const unseenText = computed(() => {
  const below = unseen.value < 0 ? [] : cautions.value.slice(unseen.value);
  const warning = below.find(({ severity }) => severity === 'warn');
  return warning ? whatOf(warning) : '';
});
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
    <DrinkAdjust
      v-bind="edits"
      @adjust="emit('adjust', $event)"
      @usual="emit('usual')"
      @keep="emit('keep', $event)"
    />
    <StandSection
      class="stands"
      :drink-id="drink.id"
      :solved
      :minute
      :own-ice-name
      :other-ice
      :extra-lines
      :format
      @minute="emit('aim', { atMinutes: $event })"
    />
    <BuildList
      class="build"
      v-bind="building"
      :format
      @update:measuring="$event && emit('measuring', $event)"
      @update:count="$event && emit('count', $event)"
    />
    <DrinkFacts :drink :solved v-bind="facts" :format @why="emit('why', $event)" />
    <div ref="cautionList"><CautionList :cautions :format /></div>
    <PourBar
      v-bind="pouring"
      :count="building.count"
      :can-pour="solution.concentrateG > 0"
      :unseen="unseenText"
      @pour="emit('pour')"
      @look="cautionList?.scrollIntoView({ block: 'center' })"
    />
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

@media (min-width: 641px) {
  .stands {
    container-type: inline-size;
  }
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

  .stands {
    order: 2;
  }

  .outcome {
    padding-inline: 14px;
  }
}
</style>
