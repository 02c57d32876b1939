<script setup lang="ts">
import { CONSTANTS } from '@ratio/core/constants';
import type { Drink, DrinkSolution } from '@ratio/core/drink';
import { computed } from 'vue';
import {
  STRENGTH,
  numberKind,
  partsKind,
  percentKind,
  volumeKind,
  type AmountFormat,
} from '../format/index.ts';
import { AmountRow, PickRow } from '../ui/fields/index.ts';

/** What the drink is brought to: a strength at a minute, parts, spoons, caffeine, or by hand. */
const props = defineProps<{
  target: Drink['target'];
  solution: DrinkSolution;
  cupMl: number;
  format: AmountFormat;
}>();
const emit = defineEmits<{
  change: [target: Drink['target']];
  /** Another strength or minute. */
  aim: [target: { strengthFrac?: number; atMinutes?: number }];
}>();

type Target = Drink['target'];
type TargetKind = 'strength' | 'parts' | 'share' | 'rest' | 'spoons' | 'caffeine' | 'hand';

const SPOON_ML = 15;
const TARGET_KINDS = [
  { value: 'strength', label: 'a strength', reason: 'at a minute; the same from any jug' },
  { value: 'parts', label: 'parts', reason: 'one to one, two to one' },
  { value: 'share', label: 'a share of the glass', reason: 'two thirds of it, to the line' },
  { value: 'rest', label: 'coffee takes the rest', reason: 'over what else is in it, to the line' },
  { value: 'spoons', label: 'spoons', reason: 'tablespoons of concentrate, 15 mL' },
  { value: 'caffeine', label: 'caffeine', reason: 'so much and no more' },
  { value: 'hand', label: 'an amount', reason: 'always the same pour' },
] as const;

const kind = computed<TargetKind>(() => {
  const now = props.target;
  if ('strengthFrac' in now) return 'strength';
  if ('parts' in now) return 'parts';
  if ('glassFrac' in now) return 'share';
  if ('rest' in now) return 'rest';
  if ('caffeineMg' in now) return 'caffeine';
  return now.writtenIn === 'spoons' ? 'spoons' : 'hand';
});
const set = (next: Target): void => emit('change', next);

/** Another kind of target for the same drink: what it is now becomes the target. */
function setKind(next: TargetKind): void {
  const { strengthFrac, caffeineMg, concentrateMl, fillMl } = props.solution;
  const spoons = Math.max(1, Math.round(concentrateMl / SPOON_ML));
  const targets: Record<TargetKind, Target> = {
    strength: {
      strengthFrac: Math.min(0.2, Math.max(0.001, Number(strengthFrac.toFixed(4)))),
      atMinutes: CONSTANTS.targetMinutes.value,
    },
    parts: {
      parts: {
        concentrate: fillMl > 0 ? Number((concentrateMl / fillMl).toFixed(2)) : 1,
        fill: fillMl > 0 ? 1 : 0,
      },
    },
    spoons: { concentrateMl: spoons * SPOON_ML, writtenIn: 'spoons' },
    share: {
      glassFrac: Math.min(1, Math.max(0.05, Number((concentrateMl / props.cupMl).toFixed(2)))),
    },
    rest: { rest: 'concentrate' },
    caffeine: { caffeineMg: Math.round(caffeineMg) },
    hand: { concentrateMl: Math.round(concentrateMl), writtenIn: 'volume' },
  };
  set(targets[next]);
}
/** The smaller of the two is one part, as people say it. */
const partsOf = (rest: number) =>
  rest > 0 && rest < 1
    ? { concentrate: Number((1 / rest).toFixed(3)), fill: 1 }
    : { concentrate: 1, fill: rest };
const part = (n: number): string => String(Number(n.toFixed(2)));
</script>

<template>
  <div class="target-row">
    <PickRow
      label="Target"
      :note="`gives ${format.percent(solution.strengthFrac)}`"
      :options="TARGET_KINDS"
      :model-value="kind"
      @update:model-value="setKind"
    />
    <template v-if="'strengthFrac' in target">
      <AmountRow
        label="Strength"
        name="Strength wanted"
        :value="target.strengthFrac"
        :kind="STRENGTH"
        @change="(strengthFrac) => emit('aim', { strengthFrac })"
      />
      <AmountRow
        label="At minute"
        :value="target.atMinutes"
        :kind="
          numberKind({
            step: 1,
            min: 0,
            max: 30,
            write: (minutes) => `${minutes.toFixed(0)} min`,
          })
        "
        @change="(atMinutes) => emit('aim', { atMinutes })"
      />
    </template>
    <AmountRow
      v-else-if="'parts' in target"
      label="Concentrate to the rest"
      name="Concentrate to the rest, by volume"
      :value="target.parts.concentrate > 0 ? target.parts.fill / target.parts.concentrate : null"
      :kind="
        partsKind({
          step: 0.25,
          min: 0,
          max: 1000,
          limitText: 'Concentrate first, then the rest: 1:1, 2:1, 1 to 6.',
        })
      "
      @change="(rest) => set({ parts: partsOf(rest) })"
    />
    <AmountRow
      v-else-if="'glassFrac' in target"
      label="Of the glass"
      name="Share of the glass that is concentrate"
      note="2/3, 50 %"
      :value="target.glassFrac"
      :kind="percentKind({ step: 0.05, min: 0.01, max: 1, decimals: 0 })"
      @change="(glassFrac) => set({ glassFrac })"
    />
    <AmountRow
      v-else-if="'caffeineMg' in target"
      label="Caffeine in the glass, mg"
      name="Caffeine wanted, milligrams"
      :value="target.caffeineMg"
      :kind="numberKind({ step: 5, min: 0, max: 2000 })"
      @change="(caffeineMg) => set({ caffeineMg })"
    />
    <AmountRow
      v-else-if="'concentrateMl' in target && kind === 'spoons'"
      label="Tablespoons"
      name="Tablespoons of concentrate"
      :value="target.concentrateMl"
      :kind="
        volumeKind(format, {
          step: SPOON_ML / 2,
          min: 0,
          max: 3000,
          plainUnit: 'metricTablespoon',
          write: (volumeMl) => part(volumeMl / SPOON_ML),
        })
      "
      @change="(concentrateMl) => set({ concentrateMl, writtenIn: 'spoons' })"
    />
    <AmountRow
      v-else-if="'concentrateMl' in target"
      label="Concentrate"
      name="Concentrate by hand"
      :value="target.concentrateMl"
      :kind="volumeKind(format, { step: 5, min: 0, max: 20000 })"
      @change="(concentrateMl) => set({ concentrateMl, writtenIn: 'volume' })"
    />
  </div>
</template>

<style scoped>
.target-row {
  display: grid;
  grid-template-columns: 1.6fr 1fr 1fr;
  gap: 0 16px;
}

.target-row :deep(.el-input__inner) {
  font-size: var(--t18);
}
</style>
