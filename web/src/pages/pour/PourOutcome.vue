<script setup lang="ts">
import type { Drink, ReckonDrinkResponse } from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import MeltChart from '../../chart/MeltChart.vue';
import AmountField from '../../field/AmountField.vue';
import BigFigure from '../../figure/BigFigure.vue';
import CautionList from '../../figure/CautionList.vue';

/** The one drink: its strength, how it stands, what to pour, and the button that pours it. */
const props = defineProps<{
  drink: Drink;
  solution: ReckonDrinkResponse;
  minute: number;
  wanted: number;
  changed: boolean;
  build: readonly { name: string; amount: string; beside: string }[];
  writeTemp: (tempC: number) => string;
  price: string;
  /** Whether the jug holds enough for this drink. */
  enough: boolean;
  pouring: boolean;
}>();
const emit = defineEmits<{
  aim: [target: { strengthFrac?: number; atMinutes?: number }];
  usual: [];
  pour: [];
}>();

const STEP_FRAC = 0.0005;
const pct = (frac: number): string => (100 * frac).toFixed(2);
const first = computed(() => props.solution.timeline[0]);
const last = computed(() => props.solution.timeline.at(-1));
const minuteText = computed(() =>
  props.minute === 0 ? 'as it is poured' : `${props.minute} min after pouring`,
);
const allergens = computed(() => props.solution.allergens.join(', ') || 'none of the listed');
const step = (way: 1 | -1): void =>
  emit('aim', {
    strengthFrac: Math.round((props.wanted + way * STEP_FRAC) / STEP_FRAC) * STEP_FRAC,
  });
</script>

<template>
  <section class="outcome" aria-label="This drink" aria-live="polite">
    <BigFigure
      :label="`${drink.name}, ${minuteText}`"
      :figure="pct(solution.strengthFrac)"
      unit="%"
    >
      <template v-if="first && last" #beside>
        <span class="sips soft"
          >first sip {{ pct(first.strengthFrac) }}, after half an hour
          {{ pct(last.strengthFrac) }}</span
        >
      </template>
    </BigFigure>
    <div class="target no-print">
      <span class="label">Target</span>
      <AmountField
        label="Target strength"
        :value="wanted"
        :accepts="['percent']"
        :write="(frac) => `${pct(frac)}\u2009%`"
        :step="STEP_FRAC"
        :min="0.001"
        :max="0.2"
        limit-text="Between 0.1 % and 20 %."
        @change="(strengthFrac) => emit('aim', { strengthFrac })"
      />
      <ElButton @click="step(-1)">weaker</ElButton>
      <ElButton @click="step(1)">stronger</ElButton>
      <ElButton v-if="changed" text @click="emit('usual')">as usual</ElButton>
    </div>
    <MeltChart
      v-if="solution.timeline.length > 0"
      :timeline="solution.timeline"
      :minute="minute"
      :strength-frac="solution.strengthFrac"
      :write-temp="writeTemp"
      @minute="emit('aim', { atMinutes: $event })"
    />
    <div class="build">
      <h2>Pour in this order</h2>
      <ol>
        <li v-for="(row, i) in build" :key="row.name">
          <span class="figures soft">{{ i + 1 }}</span>
          <span>{{ row.name }}</span>
          <strong class="figures">{{ row.amount }}</strong>
          <span class="soft beside">{{ row.beside }}</span>
        </li>
      </ol>
    </div>
    <div class="facts">
      <BigFigure label="Caffeine" size="small" :figure="solution.caffeineMg.toFixed(0)" unit="mg" />
      <BigFigure label="Energy" size="small" :figure="solution.energyKcal.toFixed(0)" unit="kcal" />
      <BigFigure label="Sugar" size="small" :figure="solution.sugarG.toFixed(1)" unit="g" />
      <BigFigure label="Price" size="small" :figure="price" unit="" />
      <div class="contains">
        <h2>Contains</h2>
        <p>{{ allergens }}</p>
      </div>
    </div>
    <CautionList :cautions="solution.cautions" />
    <div class="go no-print">
      <ElButton
        type="primary"
        size="large"
        :disabled="!enough || solution.concentrateG <= 0"
        :loading="pouring"
        @click="emit('pour')"
      >
        Pour this one
      </ElButton>
      <p v-if="!enough" class="due">The jug holds too little for it. Take another jug.</p>
    </div>
  </section>
</template>

<style scoped>
.outcome {
  display: grid;
  align-content: start;
  gap: 12px;
  padding: 14px 24px 20px;
}

.sips {
  display: inline-block;
  max-width: 13rem;
  font-weight: 400;
  line-height: 1.3;
}

.target {
  display: flex;
  align-items: center;
  gap: 10px;
  border-block: 1px solid var(--hairline);
  padding: 4px 0;
}

.target :deep(.amount) {
  flex: 1;
  min-width: 90px;
}

.target .el-button {
  margin: 0;
  padding-inline: 14px;
}

li {
  display: grid;
  grid-template-columns: 1.4rem 1fr auto 5.4rem;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--hairline);
}

li strong {
  font-size: var(--t18);
}

.beside {
  text-align: right;
  font-size: var(--t13);
}

.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}

.go {
  display: flex;
  align-items: center;
  gap: 14px;
}
/* At the bar on a phone: the strength, what to pour, the button. */
@media (max-width: 640px) {
  .outcome > :deep(.figure) {
    order: -3;
  }

  .build {
    order: -2;
  }

  .go {
    order: -1;
  }
}
</style>
