<script setup lang="ts">
import { ElDialog } from 'element-plus';

/** The keys that the pages know. */
const open = defineModel<boolean>({ required: true });

const KEYS = [
  ['1 2 3 4', 'Plan, Steep, Jugs, Pour'],
  ['/', 'find anything'],
  ['n', 'a new one of what the page holds: a plan, a drink, a house recipe'],
  ['↑ ↓', 'step an amount or a handle; with Shift ten at once'],
  ['Esc', 'leave a field as it was'],
  ['?', 'this list'],
] as const;
</script>

<template>
  <ElDialog v-model="open" title="Keys" width="min(92vw, 440px)" append-to-body>
    <dl>
      <div v-for="[key, does] in KEYS" :key>
        <dt class="figures">{{ key }}</dt>
        <dd>{{ does }}</dd>
      </div>
    </dl>
  </ElDialog>
</template>

<style scoped>
dl > div {
  display: grid;
  grid-template-columns: 90px 1fr;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}

dt {
  font-weight: 600;
}
</style>
