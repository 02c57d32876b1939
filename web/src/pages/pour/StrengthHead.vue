<script setup lang="ts">
import { CONSTANTS, type Drink, type SolvedDrink } from '@ratio/core';
import { computed } from 'vue';
import AmountField from '../../field/AmountField.vue';
import BigFigure from '../../figure/BigFigure.vue';

/** The strength of the drink in hand, first sip to last, and the target that it is brought to. */
const props = defineProps<{
  drink: Drink;
  solved: SolvedDrink;
  /** Minute at which it is to have its strength. */
  minute: number;
  writePct: (frac: number) => string;
}>();
const emit = defineEmits<{ why: []; aim: [strengthFrac: number] }>();

const lastSip = CONSTANTS.lastSipMinutes.value;
const pct = (frac: number): string => (100 * frac).toFixed(2);
const minuteText = computed(() =>
  props.minute === 0 ? 'as it is poured' : `${props.minute} min after pouring`,
);
const sips = computed(() => {
  const { timeline } = props.solved.solution;
  const [first, last] = [timeline[0], timeline[lastSip]];
  if (!first || !last) return '';
  const window = props.solved.window;
  const until = window ? Math.round(window.toMinutes) : 0;
  const meant = window
    ? until >= 30
      ? '. As meant for half an hour'
      : `. As meant until ${until} min`
    : '';
  return `first sip ${pct(first.strengthFrac)}, at ${lastSip} min ${pct(last.strengthFrac)}${meant}`;
});
</script>

<template>
  <div class="head" aria-live="polite">
    <BigFigure
      :label="`${drink.name}, ${minuteText}`"
      :figure="pct(solved.solution.strengthFrac)"
      unit="%"
    >
      <template #head>
        <button type="button" class="why no-print" @click="emit('why')">Why</button>
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
        :write="writePct"
        :step="0.0005"
        :min="0.001"
        :max="0.2"
        limit-text="Between 0.1 % and 20 %."
        @change="emit('aim', $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 12px;
}

.head > :deep(.figure) {
  flex: 1;
}

.head :deep(.line) {
  flex-wrap: nowrap;
}

.sips {
  display: inline-block;
  font-size: var(--t13);
  font-weight: 400;
  line-height: 1.3;
}

.why {
  border: 0;
  background: none;
  padding: 0 8px;
  color: var(--action);
  font-size: var(--t13);
  text-decoration: underline;
  cursor: pointer;
}

.target {
  width: 92px;
  flex: none;
}

@media (max-width: 640px) {
  .target {
    width: 76px;
  }
}
</style>
