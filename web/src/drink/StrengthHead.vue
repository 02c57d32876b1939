<script setup lang="ts">
import { CONSTANTS } from '@ratio/core/constants';
import { drinkingWindowOf, type Drink, type SolvedDrink, type TopLayer } from '@ratio/core/drink';
import { percentFigure } from '@ratio/core/units';
import { computed } from 'vue';
import { STRENGTH, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField } from '../ui/fields/index.ts';
import { BigFigure } from '../ui/figures/index.ts';

/** The strength of the drink in hand, first sip to last, and the target that it is brought to. */
const props = defineProps<{
  drink: Drink;
  solved: SolvedDrink;
  /** Minute at which it is to have its strength. */
  minute: number;
  /** Of a drink in layers, where its first sips come from. */
  top: TopLayer | null;
  format: AmountFormat;
}>();
const emit = defineEmits<{ why: []; aim: [strengthFrac: number] }>();

const lastSip = CONSTANTS.lastSipMinutes.value;
const minuteText = computed(() =>
  props.minute === 0 ? 'as it is poured' : `${props.minute} min after pouring`,
);
const sips = computed(() => {
  const timeline = props.solved.solution.timeline();
  const [first, last] = [timeline[0], timeline[lastSip]];
  if (!first || !last) return '';
  const window = drinkingWindowOf(props.solved);
  const until = window ? Math.round(window.toMinutes) : 0;
  const meant = window
    ? until >= 30
      ? '. As meant for half an hour'
      : `. As meant until ${until} min`
    : '';
  // In layers the number is the whole, stirred.
  if (props.top)
    return `stirred; the first sips are ${props.top.name}, ${percentFigure(props.top.strengthFrac)}. At ${lastSip} min ${percentFigure(last.strengthFrac)}${meant}`;
  return `first sip ${percentFigure(first.strengthFrac)}, at ${lastSip} min ${percentFigure(last.strengthFrac)}${meant}`;
});
const target = computed(() => {
  const { target: wanted } = props.drink;
  if (!('strengthFrac' in wanted)) return null;
  return { label: 'Target strength', value: wanted.strengthFrac, kind: STRENGTH };
});
</script>

<template>
  <div class="head" aria-live="polite">
    <BigFigure
      :label="`${drink.name}: strength (TDS) ${minuteText}`"
      :figure="percentFigure(solved.solution.strengthFrac)"
      unit="%"
    >
      <template #head>
        <LinkButton class="no-print" @click="emit('why')">Why</LinkButton>
      </template>
      <template v-if="sips" #also>
        <span class="sips soft">{{ sips }}</span>
      </template>
    </BigFigure>
    <div v-if="target" class="target no-print">
      <span class="label">Target</span>
      <AmountField v-bind="target" @change="emit('aim', $event)" />
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
