<script setup lang="ts">
import type { StepState } from '@ratio/core/steps';
import { ElButton } from 'element-plus';

/** The steps of a phase in order: what was noted of those behind, what the others take. */
defineProps<{
  states: readonly StepState[];
  pickedKey: string | null;
  /** What stands at the end of a row. */
  saysOf: (state: StepState) => string;
}>();
const emit = defineEmits<{ pick: [key: string] }>();

const WORDS = { noted: 'done', passed: 'not noted', now: 'now', next: 'to come' } as const;
</script>

<template>
  <ol aria-label="Steps">
    <li v-for="state in states" :key="state.step.key">
      <ElButton
        text
        class="step"
        :class="[state.state, { picked: state.step.key === pickedKey }]"
        :aria-current="state.step.key === pickedKey ? 'step' : undefined"
        @click="emit('pick', state.step.key)"
      >
        <span class="title">{{ state.step.title }}</span>
        <span class="visually-hidden">, {{ WORDS[state.state] }}</span>
        <span class="says figures">{{ saysOf(state) }}</span>
      </ElButton>
    </li>
  </ol>
</template>

<style scoped>
li {
  border-top: 1px solid var(--hairline);
}

.step {
  display: flex;
  width: 100%;
  height: auto;
  margin: 0;
  padding: 6px 4px;
  font-size: var(--t15);
  font-weight: 400;
  text-align: left;
  white-space: normal;
}

.step :deep(> span) {
  display: flex;
  flex: 1;
  gap: 12px;
  align-items: baseline;
  justify-content: space-between;
}

.says {
  flex: none;
}

.noted,
.passed {
  color: var(--past);
}

.picked {
  color: var(--action);
  font-weight: 700;
}
</style>
