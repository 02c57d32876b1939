<script setup lang="ts">
import StrainForm from './StrainForm.vue';
import type { Batch } from '@ratio/core/batch';
import type { StepState } from '@ratio/core/steps';
import StepFigure from './StepFigure.vue';
import type { Fill } from './fills.ts';
import type { Strain } from './useStrain.ts';
import type { ReadingAct, StepReading } from './useStepValue.ts';
import type { AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';

/** The step in hand: its figure, what to look at, and what came out where it asks for that. */
defineProps<{
  /** null once all of them are done. */
  state: StepState | null;
  phase: string;
  status: Batch['status'];
  /** What goes on stands beside it. */
  atRest: boolean;
  nowMs: number;
  zone: string;
  detail: string;
  reading: StepReading;
  strain: Strain['form']['value'];
  format: AmountFormat;
}>();
const emit = defineEmits<{
  leaveOut: [];
  type: [value: number];
  act: [act: ReadingAct];
  strainChange: [entered: { strengthFrac?: number; strainedMs?: number | null }];
  fill: [i: number, part: Partial<Fill>];
  addFill: [];
  dropFill: [i: number];
}>();
</script>

<template>
  <section :class="{ 'at-rest': atRest }" aria-live="polite" aria-label="This step">
    <p class="phase soft">{{ phase }}</p>
    <template v-if="state">
      <h2 class="title">{{ state.step.title }}</h2>
      <StepFigure
        :state
        :now-ms
        :zone
        :detail
        :reading
        :format
        @type="emit('type', $event)"
        @act="emit('act', $event)"
      />
      <StrainForm
        v-if="state.step.note === 'filled' && status === 'steeping'"
        class="fill"
        v-bind="strain"
        due
        button-elsewhere
        @change="emit('strainChange', $event)"
        @fill="(i, part) => emit('fill', i, part)"
        @add="emit('addFill')"
        @drop="emit('dropFill', $event)"
      />
      <p class="watch">{{ state.step.watch }}</p>
      <img
        v-if="state.step.photoId"
        class="how"
        :src="`/api/steps/photos/${state.step.photoId}`"
        :alt="`How this shop does it: ${state.step.title}`"
      />
      <p v-if="state.state !== 'noted' && state.step.note !== 'filled'">
        <LinkButton @click="emit('leaveOut')">Leave this step out</LinkButton>
      </p>
    </template>
    <template v-else>
      <h2 class="title">
        {{ status === 'abandoned' ? 'It was given up' : 'All of it is done' }}
      </h2>
      <p v-if="status !== 'abandoned'" class="watch">
        What came out is in its jugs; all that was noted is kept with the batch.
      </p>
    </template>
  </section>
</template>

<style scoped>
.phase {
  font-size: var(--t18);
}

.title {
  padding-top: 4px;
  color: var(--ink);
  font-size: clamp(1.75rem, 5vw, 3rem);
  font-weight: 700;
  line-height: 1.12;
}

.at-rest .title {
  font-size: clamp(1.5rem, 2.6vw, 2.25rem);
}

.watch {
  max-width: 34rem;
  padding-top: 16px;
  color: var(--ink-soft);
  font-size: var(--t18);
}

.how {
  display: block;
  max-width: 100%;
  max-height: 24vh;
  margin-top: 16px;
  border: 1px solid var(--hairline);
}

.fill {
  margin-top: 12px;
  grid-template-columns: minmax(0, 1fr);
}

@media (max-width: 560px) {
  .watch {
    font-size: var(--t15);
  }
}
</style>
