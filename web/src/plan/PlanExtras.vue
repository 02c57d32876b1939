<script setup lang="ts">
import { ElButton } from 'element-plus';
import type { Alternative, Suggestion } from './useExtras.ts';

/** What could be done with a plan, each with its effect; and when it is nearly done. */
defineProps<{
  suggestions: readonly Suggestion[];
  split: string;
  nearlyDone: string;
  byDay: string;
  compareWith: Alternative | null;
}>();
const emit = defineEmits<{
  take: [key: string];
  compareWith: [which: Alternative | null];
  why: [number: 'level' | 'retained'];
}>();
/** What stands beside the plan in the drawing when it is asked for. */
const DRAWN: readonly Alternative[] = ['coarser', 'finer', 'elsewhere'];
const drawnOf = (key: string): Alternative | undefined => DRAWN.find((one) => one === key);
</script>

<template>
  <div class="extras">
    <p v-if="split" class="due">{{ split }}</p>
    <p v-if="byDay">{{ byDay }}</p>
    <p class="soft">{{ nearlyDone }}</p>
    <ul aria-label="What could be done">
      <li v-for="{ key, title, effect } in suggestions" :key>
        <ElButton text @click="emit('take', key)">
          <span class="title">{{ title }}<span class="visually-hidden">: </span></span>
          <span class="figures effect">{{ effect }}</span>
        </ElButton>
        <ElButton
          v-if="drawnOf(key)"
          link
          type="primary"
          :aria-pressed="compareWith === key"
          @click="emit('compareWith', compareWith === key ? null : (drawnOf(key) ?? null))"
          >{{ compareWith === key ? 'drawn' : 'draw'
          }}<span class="visually-hidden"> to compare: {{ title }}</span></ElButton
        >
      </li>
    </ul>
    <p class="soft">
      Why
      <ElButton link type="primary" @click="emit('why', 'level')">the level</ElButton>
      <ElButton link type="primary" @click="emit('why', 'retained')"
        >what the grounds retain</ElButton
      >
    </p>
  </div>
</template>

<style scoped>
.extras {
  padding: 2px 10px 6px;
  font-size: var(--t13);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 0 14px;
  margin: 4px 0;
}

li {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--hairline);
}

li :deep(.el-button.is-text) {
  flex: 1;
  justify-content: flex-start;
  height: auto;
  min-height: var(--touch);
  padding: 2px 0;
  text-align: left;
}

li :deep(.el-button.is-text > span) {
  display: grid;
}

.title {
  color: var(--action);
  font-size: var(--t13);
}

.effect {
  color: var(--ink-soft);
  font-size: var(--t13);
  font-weight: 400;
}

.extras :deep(.el-button.is-link) {
  min-height: 32px;
  margin: 0 6px 0 0;
  padding: 0;
  font-size: var(--t13);
}
</style>
