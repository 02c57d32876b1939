<script setup lang="ts">
import { amountParts, percentFigure } from '@ratio/core/units';
import { computed } from 'vue';
import { FILLS } from './quickAddress.ts';
import ThumbRow from './ThumbRow.vue';
import { useQuick } from './useQuick.ts';
import { massKind, percentKind, volumeKind } from '../format/index.ts';
import { PickButtons } from '../ui/fields/index.ts';
import { BigFigure, WrongAddress } from '../ui/figures/index.ts';

const { quick, wrong, set, toStrength, ofAmounts, format, minutes } = useQuick();

const WAYS = [
  { value: 'strength', text: 'To a strength' },
  { value: 'amounts', text: 'These amounts' },
] as const;
const strength = (min: number, max: number) =>
  percentKind({ step: 0.0005, min: min / 100, max: max / 100 });
const kinds = computed(() => ({
  from: strength(0.1, 20),
  to: strength(0.1, 10),
  cup: volumeKind(format.value, { step: 10, min: 30, max: 2000 }),
  ice: massKind(format.value, { step: 5, min: 0, max: 1000 }),
  amount: volumeKind(format.value, { step: 5, min: 0, max: 2000 }),
}));
const fillName = computed(() =>
  FILLS.find(({ value }) => value === quick.value.with)!.text.toLowerCase(),
);
const later = (of: { timeline: readonly { minutes: number; strengthFrac: number }[] }): string => {
  const at = (minute: number) => of.timeline.find((point) => point.minutes === minute);
  const [first, last] = [at(0), at(15)];
  return first && last && quick.value.ice > 0
    ? `First sip ${percentFigure(first.strengthFrac)}, at 15 min ${percentFigure(last.strengthFrac)}.`
    : '';
};
const trouble = computed(() => {
  const { status, cautions } = toStrength.value;
  return status === 'met' ? '' : (cautions[0]?.text ?? '');
});
const percent = (key: 'from' | 'to') => (frac: number) =>
  set({ [key]: Number((100 * frac).toFixed(3)) });
</script>

<template>
  <div class="page narrow">
    <h1>Quick dilution</h1>
    <WrongAddress :wrong @leave="set({})" />
    <PickButtons
      label="What is asked"
      :options="WAYS"
      :model-value="quick.way"
      @update:model-value="$event && set({ way: $event })"
    />
    <div class="sum">
      <section class="answer" aria-label="What to pour" aria-live="polite">
        <template v-if="quick.way === 'strength'">
          <p v-if="trouble !== ''" class="due" role="alert">{{ trouble }}</p>
          <div class="pours">
            <BigFigure
              label="Concentrate"
              v-bind="amountParts(format.volume(toStrength.concentrateMl))"
            >
              {{ format.mass(toStrength.concentrateG) }}
            </BigFigure>
            <BigFigure
              :label="FILLS.find(({ value }) => value === quick.with)!.text"
              size="middle"
              v-bind="amountParts(format.volume(toStrength.fillMl))"
            >
              {{ format.mass(toStrength.fillG) }}
            </BigFigure>
          </div>
          <p class="soft">
            {{ format.percent(toStrength.strengthFrac) }}
            {{ quick.ice > 0 ? `${minutes} min after pouring` : 'in the cup' }},
            {{ Math.round(toStrength.caffeineMg) }} mg of caffeine. {{ later(toStrength) }}
          </p>
        </template>
        <template v-else>
          <BigFigure
            label="Strength (TDS)"
            :figure="percentFigure(ofAmounts.strengthFrac)"
            unit="%"
          >
            {{ quick.ice > 0 ? `${minutes} min after pouring. ${later(ofAmounts)}` : '' }}
            It stands {{ format.volume(ofAmounts.levelMl) }} high,
            {{ Math.round(ofAmounts.caffeineMg) }} mg of caffeine.
          </BigFigure>
        </template>
      </section>
      <section class="asked" aria-label="What is there">
        <ThumbRow
          label="Concentrate of"
          note="as read, or about 3.5 %"
          :value="quick.from / 100"
          :kind="kinds.from"
          :from="0.01"
          :to="0.08"
          :step="0.0005"
          @change="percent('from')($event)"
        />
        <template v-if="quick.way === 'strength'">
          <ThumbRow
            label="Cup, to the line"
            :value="quick.cup"
            :kind="kinds.cup"
            :from="100"
            :to="700"
            :step="10"
            @change="set({ cup: Math.round($event) })"
          />
          <ThumbRow
            label="Strength wanted"
            note="a cup is 1.2 to 1.5 %"
            :value="quick.to / 100"
            :kind="kinds.to"
            :from="0.008"
            :to="0.025"
            :step="0.0005"
            @change="percent('to')($event)"
          />
        </template>
        <template v-else>
          <ThumbRow
            label="Concentrate poured"
            :value="quick.coffee"
            :kind="kinds.amount"
            :from="0"
            :to="400"
            :step="5"
            @change="set({ coffee: Math.round($event) })"
          />
          <ThumbRow
            :label="`And ${fillName}`"
            :value="quick.fill"
            :kind="kinds.amount"
            :from="0"
            :to="400"
            :step="5"
            @change="set({ fill: Math.round($event) })"
          />
        </template>
        <ThumbRow
          label="Ice"
          note="0 for none"
          :value="quick.ice"
          :kind="kinds.ice"
          :from="0"
          :to="300"
          :step="5"
          @change="set({ ice: Math.round($event) })"
        />
        <PickButtons
          label="Filled up with"
          :options="FILLS"
          :model-value="quick.with"
          @update:model-value="$event && set({ with: $event })"
        />
      </section>
    </div>
    <p class="soft fine">
      Assumed: cubes of {{ format.temp(-2) }}, all else from a fridge of {{ format.temp(4) }}. The
      page’s address holds the whole sum: send it on.
    </p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 12px;
}

.sum {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: start;
  gap: 24px 48px;
}

.answer {
  display: grid;
  gap: 12px;
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 18px 24px;
}

.pours {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px 40px;
}

.fine {
  font-size: var(--t13);
}

@media (max-width: 640px) {
  .page {
    padding: 12px 14px;
  }

  .sum {
    grid-template-columns: 1fr;
    gap: 10px;
  }

  .answer {
    position: sticky;
    top: 0;
    z-index: 1;
    gap: 4px;
    padding: 10px 14px;
  }
}
</style>
