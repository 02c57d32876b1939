<script setup lang="ts">
import { inOneLine, writeVolume, type Drink, type PlanOutcome, type ShopUnits } from '@ratio/core';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import StrengthScale from '../../chart/StrengthScale.vue';
import BigFigure from '../../figure/BigFigure.vue';
import CautionList from '../../figure/CautionList.vue';

/** What comes out of the plan, and the button that starts it. */
const props = defineProps<{
  result: PlanOutcome;
  units: ShopUnits;
  pours: readonly { drink: Drink; count: number }[];
  /** Money for the coffee over litres of brew; null where nothing comes out. */
  costPerL: string | null;
  clock: { start: string; strain: string; inTime: string; useBy: string };
  starting: boolean;
}>();
const emit = defineEmits<{ start: [] }>();

const brew = computed(() =>
  writeVolume({ volumeMl: props.result.outcome.brewMl, units: props.units }),
);
const range = computed(() => {
  const { low, high } = props.result.range.brewMl;
  const write = (volumeMl: number) => inOneLine(writeVolume({ volumeMl, units: props.units }));
  return `${write(low)} to ${write(high)}`;
});
const pct = (frac: number): string => (100 * frac).toFixed(2);
const halved = computed(() => {
  const { strengthFrac, strengthName } = props.result.outcome;
  return { pct: pct(strengthFrac / 2), name: strengthName };
});
const overflows = computed(() => props.result.fit.fit === 'overflows');
const drains = computed(() => props.result.outcome.brewG > 0);
const noStart = computed(() =>
  overflows.value ? 'It does not go into this vessel.' : drains.value ? '' : 'Nothing would drain.',
);
</script>

<template>
  <section class="outcome" aria-label="What comes out" aria-live="polite">
    <BigFigure label="Brew, after straining" :figure="brew.figure" :unit="brew.unit">
      {{ range }}, of
      {{ inOneLine(writeVolume({ volumeMl: result.outcome.waterG, units })) }} poured
    </BigFigure>
    <div>
      <BigFigure label="Strength" size="middle" :figure="pct(result.outcome.strengthFrac)" unit="%">
        <template #beside>{{ result.outcome.strengthName }}</template>
      </BigFigure>
      <StrengthScale
        :strength-frac="result.outcome.strengthFrac"
        :low="result.range.strengthFrac.low"
        :high="result.range.strengthFrac.high"
      />
      <p class="fine">
        {{ pct(result.range.strengthFrac.low) }} to {{ pct(result.range.strengthFrac.high) }} %. One
        to one with water it drinks at about <strong class="figures">{{ halved.pct }}</strong> %.
      </p>
    </div>
    <div v-if="pours.length > 0">
      <h2>Pours</h2>
      <ul class="pours">
        <li v-for="{ drink, count } in pours" :key="drink.id">
          <span>{{ drink.name }}</span>
          <span v-if="count > 0" class="figures">{{ count }}</span>
          <span v-else class="due">too weak</span>
        </li>
      </ul>
    </div>
    <div class="pair">
      <BigFigure v-if="costPerL" label="Coffee cost" size="small" :figure="costPerL" unit="per L" />
      <BigFigure
        label="Caffeine"
        size="small"
        :figure="result.outcome.caffeineMgPerG.toFixed(2)"
        unit="mg/g"
      />
      <BigFigure
        label="Yield"
        size="small"
        :figure="(100 * result.outcome.extractionYieldFrac).toFixed(1)"
        unit="%"
      />
    </div>
    <div>
      <h2>On the clock</h2>
      <p>
        Start now, {{ clock.start }} · strain <strong>{{ clock.strain }}</strong>, in
        {{ clock.inTime }} · use by
        <strong>{{ clock.useBy }}</strong>
      </p>
    </div>
    <CautionList :cautions="result.cautions" />
    <div class="start no-print">
      <ElButton
        type="primary"
        size="large"
        :disabled="noStart !== ''"
        :loading="starting"
        @click="emit('start')"
      >
        Start this steep
      </ElButton>
      <p v-if="noStart" class="due" role="status">{{ noStart }}</p>
    </div>
  </section>
</template>

<style scoped>
.outcome {
  display: grid;
  align-content: start;
  gap: 14px;
  padding: 14px 24px 20px;
}

.fine {
  font-size: var(--t13);
  color: var(--ink-soft);
}

.fine strong {
  color: var(--ink);
}

.pours li {
  display: flex;
  justify-content: space-between;
  padding: 3px 0;
  border-bottom: 1px solid var(--hairline);
}

.pours .figures {
  font-size: var(--t18);
}

.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
}

.start {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 16px;
}
@media (max-width: 1100px) {
  .outcome {
    grid-template-columns: 1fr 1fr;
    column-gap: 32px;
  }
}

@media (max-width: 640px) {
  .outcome {
    grid-template-columns: 1fr;
  }
}
</style>
