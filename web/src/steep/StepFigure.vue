<script setup lang="ts">
import type { StepState } from '@ratio/core/steps';
import { amountParts, percentFigure } from '@ratio/core/units';
import { computed } from 'vue';
import type { ReadingAct, StepReading } from './useStepValue.ts';
import {
  authorOf,
  clockTime,
  fromNow,
  hourTime,
  massKind,
  minutesAndSeconds,
  percentKind,
  type AmountFormat,
} from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountField } from '../ui/fields/index.ts';

/** The one figure of a step: what the instrument says of so much, the time that is left, or when it is. */
const props = defineProps<{
  state: StepState;
  nowMs: number;
  zone: string;
  detail: string;
  reading: StepReading;
  format: AmountFormat;
}>();
const emit = defineEmits<{ type: [value: number]; act: [act: ReadingAct] }>();

const MOST_G = 100_000;
/** Longer than this a time is told by the clock, not counted down. */
const COUNTED_MS = 90 * 60_000;

const step = computed(() => props.state.step);
const leftMs = computed(() =>
  props.state.dueMs === null ? null : props.state.dueMs - props.nowMs,
);
const isCounted = computed(() => leftMs.value !== null && Math.abs(leftMs.value) < COUNTED_MS);
const live = computed(() => {
  const { value, kind } = props.reading;
  return kind === 'refractometer'
    ? { figure: percentFigure(value ?? 0), unit: '%' }
    : amountParts(props.format.mass(Math.max(0, value ?? 0)));
});
const ofText = computed(() =>
  step.value.amountG === null ? '' : `of ${props.format.mass(step.value.amountG)}`,
);
const liveText = computed(() => {
  const { isKnown, sample, kind, instrument } = props.reading;
  if (kind === 'refractometer') {
    const brix = sample?.brix?.toFixed(2) ?? '';
    const warm = sample?.sampleC == null ? '' : `, drop at ${props.format.temp(sample.sampleC)}`;
    return `${instrument ?? ''}: ${brix} °Bx${warm}`;
  }
  return `on ${instrument ?? 'the scale'}, ${sample?.isSteady ? 'steady' : isKnown ? 'still moving' : ''}`;
});
const silent = computed(() => {
  const { instrument, detail, byHand, isLive } = props.reading;
  if (instrument === null || byHand || isLive) return '';
  return `${instrument} says nothing. ${detail} Type it by hand.`;
});
const drops = computed(() => {
  const { average, dropsBefore } = props.reading;
  if (!average || dropsBefore === 0) return '';
  const out = average.outliers.length;
  const error = average.errorFrac === null ? '' : ` ± ${percentFigure(average.errorFrac)}`;
  return `Mean of ${dropsBefore + 1 - out} drops${error}${out > 0 ? `; ${out} lies too far off and is not in it` : ''}.`;
});
</script>

<template>
  <div class="figure">
    <template v-if="state.state === 'noted'">
      <p class="large-line">
        <span class="figures large">{{
          state.noted?.massG != null
            ? format.mass(state.noted.massG)
            : state.noted?.strengthFrac != null
              ? format.percent(state.noted.strengthFrac)
              : state.noted?.kind === 'skipped'
                ? 'left out'
                : state.noted
                  ? hourTime({ at: new Date(state.noted.at), zone })
                  : 'done'
        }}</span>
      </p>
      <p v-if="state.noted" class="soft">
        noted {{ clockTime({ at: new Date(state.noted.at), zone })
        }}{{ authorOf(state.noted) && ` by ${authorOf(state.noted)}` }}
      </p>
    </template>
    <template v-else-if="reading.kind !== null">
      <p v-if="reading.isLive" class="large-line">
        <span class="figures large" aria-live="off">{{ live.figure }}</span>
        <span class="of">{{ live.unit }} {{ ofText }}</span>
      </p>
      <div v-else class="typed">
        <AmountField
          v-if="reading.kind === 'scale'"
          :label="
            step.note === 'came-out'
              ? 'Came out'
              : step.note === 'weighed'
                ? 'Coffee on the scale'
                : 'Water poured'
          "
          size="large"
          :placeholder="step.note === 'came-out' ? format.pouredOrWeighed : ''"
          :value="reading.value"
          :kind="
            massKind(format, {
              step: 1,
              min: 0.1,
              max: MOST_G,
              limitText: 'At most 100 kg, and not nothing.',
            })
          "
          @change="(value) => emit('type', value)"
        />
        <AmountField
          v-else
          label="Strength that was read"
          size="large"
          placeholder="3.40 %"
          :value="reading.value"
          :kind="percentKind({ step: 0.0001, min: 0.001, max: 0.3 })"
          @change="(value) => emit('type', value)"
        />
      </div>
      <p class="soft says">
        <template v-if="reading.isLive">{{ liveText }}</template>
        <template v-else-if="silent !== ''">{{ silent }}</template>
        <template v-else-if="step.amountG !== null">{{ ofText }} planned</template>
        <template v-if="detail !== ''"> · {{ detail }}</template>
      </p>
      <p v-for="warning in reading.warnings" :key="warning" class="due" role="status">
        {{ warning }}
      </p>
      <p v-if="drops !== ''" class="soft">{{ drops }}</p>
      <p v-if="reading.isLive || reading.byHand || reading.waits" class="ways">
        <LinkButton v-if="reading.kind === 'scale' && reading.isLive" @click="emit('act', 'tare')"
          >Tare</LinkButton
        >
        <LinkButton
          v-if="reading.kind === 'refractometer' && reading.isLive"
          @click="emit('act', 'anotherDrop')"
          >Read another drop</LinkButton
        >
        <LinkButton @click="emit('act', 'toggleHand')">{{
          reading.byHand ? 'Take it from the instrument' : 'Type it instead'
        }}</LinkButton>
      </p>
    </template>
    <template v-else-if="leftMs !== null && isCounted">
      <p class="large-line">
        <span class="figures large" :class="{ due: leftMs <= 0 }" role="timer" aria-live="off">{{
          minutesAndSeconds(leftMs)
        }}</span>
        <span class="of">{{ leftMs > 0 ? 'left' : 'over' }}</span>
      </p>
      <p class="soft">until {{ clockTime({ at: new Date(state.dueMs!), zone }) }}</p>
    </template>
    <template v-else-if="state.dueMs !== null">
      <p class="large-line">
        <span class="figures large" :class="{ due: leftMs! <= 0 }">{{
          hourTime({ at: new Date(state.dueMs), zone })
        }}</span>
        <span class="of">{{ clockTime({ at: new Date(state.dueMs), zone }).split(' ')[0] }}</span>
      </p>
      <p class="soft">{{ fromNow({ at: new Date(state.dueMs), now: new Date(nowMs) }) }}</p>
    </template>
    <p v-if="detail !== '' && reading.kind === null" class="detail">{{ detail }}</p>
  </div>
</template>

<style scoped>
.figure {
  padding-top: 10px;
}

.large-line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 12px;
}

.large {
  font-size: clamp(4rem, 9vw, 7rem);
  font-weight: 600;
  letter-spacing: -0.04em;
  line-height: 1.02;
}

.of {
  color: var(--ink-soft);
  font-size: clamp(1.25rem, 2.6vw, 2rem);
}

.says,
.detail {
  font-size: var(--t18);
}

.detail {
  font-weight: 600;
}

.typed {
  max-width: 26rem;
  border-bottom: 1px solid var(--hairline-strong);
}

.ways {
  display: flex;
  gap: 18px;
  padding-top: 6px;
}

.ways :deep(.el-button.is-link) {
  min-height: 40px;
  padding: 0;
  font-size: var(--t15);
}
</style>
