<script setup lang="ts">
import { ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';

/** The keys that the pages know. */
const open = defineModel<boolean>({ required: true });

const KEYS = [
  {
    where: 'On every page',
    keys: [
      ['0', 'the day'],
      ['1 2 3 4', 'Plan, Steep, Jugs, Pour'],
      ['/', 'find anything'],
      ['?', 'this list'],
    ],
  },
  {
    where: 'At the day',
    keys: [
      ['← →', 'the day before, the day after'],
      ['t', 'today'],
    ],
  },
  {
    where: 'n begins a new one',
    keys: [
      ['Pour', 'a drink'],
      ['Shelf', 'a bag that arrived'],
      ['Ingredients', 'a package'],
      ['House recipes', 'a house recipe'],
      ['elsewhere', 'a plan'],
    ],
  },
  {
    where: 'In a field, on a handle',
    keys: [
      ['↑ ↓', 'step it; with Shift ten at once'],
      ['Esc', 'leave it as it was'],
    ],
  },
] as const;
</script>

<template>
  <ElDialog v-model="open" title="Keys" width="min(92vw, 440px)" append-to-body>
    <section v-for="{ where, keys } in KEYS" :key="where">
      <h3>{{ where }}</h3>
      <dl>
        <div v-for="[key, does] in keys" :key>
          <dt>{{ key }}</dt>
          <dd>{{ does }}</dd>
        </div>
      </dl>
    </section>
  </ElDialog>
</template>

<style scoped>
h3 {
  padding-top: 12px;
  color: var(--ink-soft);
  font-size: var(--t13);
}

dl > div {
  display: grid;
  grid-template-columns: 130px 1fr;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}

dt {
  font-weight: 600;
}
</style>
