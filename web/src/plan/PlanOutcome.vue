<script setup lang="ts">
import type { Explained, PlanOutcome } from '@ratio/core/batch';
import {
  widthLeftFrac,
  type TargetPair,
  type MonteCarloResult,
  type TargetKey,
} from '@ratio/core/brew';
import type { Drink } from '@ratio/core/drink';
import { percentText, percentFigure } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { largeVolumeKind, numberKind, percentKind, type AmountFormat } from '../format/index.ts';
import { LinkButton, LockButton } from '../ui/buttons/index.ts';
import { StrengthScale } from '../ui/charts/index.ts';
import { ActButton, AmountField } from '../ui/fields/index.ts';
import { AskedFigure, CautionList } from '../ui/figures/index.ts';

/** What comes out of the plan. Brew and strength are figures to read and to set. */
const props = defineProps<{
  result: PlanOutcome;
  sampled: MonteCarloResult | null;
  targets: TargetPair;
  locked: TargetKey | null;
  refused: { key: TargetKey; text: string } | null;
  format: AmountFormat;
  pours: readonly { drink: Drink; count: number }[];
  /** Money for the coffee over litres of brew; null where nothing comes out. */
  /** In the shop's money, for a litre or a quart. */
  cost: { figure: string; unit: string } | null;
  starting: boolean;
  /** Whether whoever stands here may start it. */
  mayStart: boolean;
  /** Whether it began already. */
  began: boolean;
  /** What stands in the way of starting it; empty where nothing does. */
  notYet: string;
}>();
const emit = defineEmits<{
  start: [];
  compare: [];
  why: [number: Explained];
  amount: [key: TargetKey, value: number];
  lock: [key: TargetKey];
  drinks: [drinkId: string, count: number];
}>();

const asked = computed(() => {
  const { caffeineMgPerG, extractionYieldFrac } = props.result.outcome;
  const yieldText = percentFigure(extractionYieldFrac, 1);
  return [
    ...(props.cost ? [{ about: 'cost' as const, label: 'Cost, why', ...props.cost }] : []),
    {
      about: 'caffeine' as const,
      label: 'Caffeine, why',
      figure: caffeineMgPerG.toFixed(2),
      unit: 'mg/g',
    },
    { about: 'extraction' as const, label: 'Extraction, why', figure: yieldText, unit: '%' },
  ];
});

// What is no more than a note stands below the clock, which says when somebody must be there.
const cautions = computed(() => ({
  warn: props.result.cautions.filter(({ severity }) => severity === 'warn'),
  note: props.result.cautions.filter(({ severity }) => severity === 'note'),
}));

// A no-break space, because thin ones are as wide as a figure in this type.
const big = (text: string): string => text.replace('\u202f', '\u00a0');
const write = (frac: number): string => `${percentFigure(frac)}\u00a0%`;
const WANTED = percentKind({ step: 0.0005, min: 0.001, max: 0.3, write });
const brewRange = computed(() => props.sampled?.brewMl ?? props.result.range.brewMl);
const range = computed(() => props.sampled?.strengthFrac ?? props.result.range.strengthFrac);
/** What a scoop leaves open, where weighing would narrow the range most. */
const narrows = computed(() => {
  const [most] = props.sampled?.strengthFrac.contributions ?? [];
  if (most?.input !== 'looseDensity') return '';
  return ` Weigh the coffee, and ${percentText(widthLeftFrac(most.shareFrac), 0)} of the range is left.`;
});
const lockOf = (key: TargetKey) => ({
  locked: props.locked === key,
  set: props.targets.some((target) => target.key === key),
});
const refusal = (key: TargetKey): string => (props.refused?.key === key ? props.refused.text : '');
const noStart = computed(() => {
  if (props.result.fit.fit === 'overflows') return 'It does not go into this vessel.';
  if (props.result.outcome.brewG <= 0) return 'Nothing would drain.';
  return props.notYet;
});
</script>

<template>
  <section class="outcome" aria-label="What comes out">
    <div class="first">
      <div>
        <div class="head">
          <h2>Brew, after straining</h2>
          <LinkButton @click="emit('why', 'brew')">Why</LinkButton>
          <LockButton what="brew" v-bind="lockOf('brewMl')" @lock="emit('lock', 'brewMl')" />
        </div>
        <AmountField
          label="Brew wanted"
          size="large"
          :value="result.outcome.brewMl"
          :kind="
            largeVolumeKind(format, {
              step: 50,
              min: 20,
              max: 400000,
              write: (volumeMl) => big(format.volume(volumeMl)),
              limitText: 'Between 20 mL and 400 L of brew.',
            })
          "
          :refused="refusal('brewMl')"
          @change="(value) => emit('amount', 'brewMl', value)"
        />
        <p class="soft">
          {{ format.volume(brewRange.low) }} to {{ format.volume(brewRange.high) }}, of
          {{ format.volume(result.outcome.waterG) }} poured
        </p>
      </div>
      <div>
        <div class="head">
          <h2>Strength (TDS)</h2>
          <LinkButton @click="emit('why', 'strength')">Why</LinkButton>
          <LockButton
            what="strength"
            v-bind="lockOf('strengthFrac')"
            @lock="emit('lock', 'strengthFrac')"
          />
        </div>
        <div class="named">
          <AmountField
            label="Strength wanted"
            size="middle"
            :value="result.outcome.strengthFrac"
            :kind="WANTED"
            :refused="refusal('strengthFrac')"
            @change="(value) => emit('amount', 'strengthFrac', value)"
          />
          <strong>{{ result.outcome.strengthName }}</strong>
        </div>
        <StrengthScale
          :strength-frac="result.outcome.strengthFrac"
          :low="range.low"
          :high="range.high"
        />
        <p class="fine">
          {{ percentFigure(range.low) }} to {{ percentText(range.high) }}; diluted 1:1 about
          <strong class="figures">{{ percentFigure(result.outcome.strengthFrac / 2) }}</strong> %.{{
            narrows
          }}
        </p>
      </div>
      <slot name="night" />
    </div>
    <div class="rest">
      <div v-if="result.outcome.brewG > 0" class="counted">
        <ul v-if="pours.length > 0" class="pours" aria-label="Pours">
          <li v-for="{ drink, count } in pours" :key="drink.id">
            <span class="label">{{ drink.name }}</span>
            <AmountField
              v-if="count > 0"
              :label="`How many ${drink.name}`"
              :value="count"
              :kind="numberKind({ step: 1, min: 1, max: 5000 })"
              @change="(many) => emit('drinks', drink.id, many)"
            />
            <span v-else class="due">too weak</span>
          </li>
        </ul>
      </div>
      <div class="pair">
        <AskedFigure
          v-for="{ about, ...figure } in asked"
          :key="about"
          v-bind="figure"
          @why="emit('why', about)"
        />
      </div>

      <CautionList :cautions="cautions.warn" :format />
      <slot name="clock" />
      <CautionList class="noted" :cautions="cautions.note" :format />

      <div class="start no-print">
        <ActButton
          v-if="mayStart"
          primary
          :disabled="noStart !== ''"
          :doing="starting"
          @act="emit('start')"
          >{{ began ? 'It is steeping' : 'Start this steep' }}</ActButton
        >
        <ElButton @click="emit('compare')">Keep to compare</ElButton>
        <p v-if="noStart" class="due" role="status">{{ noStart }}</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.outcome,
.first,
.rest {
  display: grid;
  align-content: start;
  gap: 4px;
}

.outcome {
  padding: 6px 24px 0;
}

.head {
  display: flex;
  align-items: center;
}

.head h2 {
  flex: 1;
}

.named {
  display: flex;
  align-items: baseline;
  gap: 10px;
}

.named > :first-child {
  flex: 0 0 180px;
}

.fine {
  font-size: var(--t13);
  color: var(--ink-soft);
}

.fine strong {
  color: var(--ink);
}

/* As high as the counts, while they are counted. */
.counted {
  min-height: 53px;
}

.pours {
  display: flex;
  justify-content: space-between;
  gap: 0 14px;
}

.pours li {
  flex: 0 1 auto;
  min-width: 84px;
}

/* One line each, up to the next one; a long name goes on where it is poured. */
.pours .label {
  display: block;
  margin-right: -12px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.pours :deep(.el-input__inner) {
  height: 28px;
}

.noted {
  margin-top: 8px;
}

.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}

.start {
  position: sticky;
  bottom: 0;
  border-top: 1px solid var(--hairline);
  background: var(--paper);
  padding: 10px 0;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}

.start .el-button {
  margin: 0;
}

/* What goes on below fades, so that no line looks cut. */
.start::before {
  content: '';
  position: absolute;
  inset: -7px 0 100%;
  background: linear-gradient(transparent, var(--paper));
  pointer-events: none;
}

/* The figures come first, across the page, and the rest after the drawing. */
@media (max-width: 1100px) {
  .outcome {
    display: contents;
  }

  .first,
  .rest {
    grid-column: 1 / -1;
    grid-template-columns: 1fr 1fr;
    column-gap: 32px;
    padding: 8px 24px 10px;
  }

  .first {
    order: -1;
    border-bottom: 1px solid var(--hairline);
  }

  :slotted(.nobody),
  .start {
    grid-column: 1 / -1;
  }

  .rest {
    align-items: start;
    border-top: 1px solid var(--hairline);
  }

  /* Beside what is to be watched and what is to be noted. */
  .rest > :slotted(section) {
    grid-row: span 2;
  }

  /* Below all that it would stand over. */
  .start {
    position: static;
  }

  .start::before {
    display: none;
  }
}

@media (max-width: 640px) {
  .first,
  .rest {
    grid-template-columns: 1fr;
  }
}
</style>
