<script setup lang="ts">
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import LogWays from './LogWays.vue';
import { SIDES, useComparePage } from './useComparePage.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { DataTable } from '../ui/tables/index.ts';

/** Two batches side by side: what was different in, what came out, what explains it. */
const page = useComparePage();
const { isAsked, state, failure, load, names, ids, rows, columns, explained, like } = page;
</script>

<template>
  <div class="page compare">
    <LogWays title="Two batches" />
    <div v-if="!isAsked" class="empty">
      <h2>Two batches are picked in the log</h2>
      <p>
        Tap “Compare two” there, then one box each. <RouterLink to="/log">Open the log</RouterLink>
      </p>
    </div>
    <p v-else-if="state === 'loading'" class="soft" role="status">Fetching both …</p>
    <p v-else-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <div v-else class="beside">
      <div class="reasons">
        <section v-if="explained" aria-labelledby="why">
          <h2 id="why" class="section-head">What makes the difference in strength</h2>
          <p>
            {{ names[1] }} was <b v-if="explained.found">found {{ explained.found }}</b
            ><template v-else>not read on both sides</template>, and predicted
            <b>{{ explained.predicted }}</b> against {{ names[0] }}.
          </p>
          <ul class="parts">
            <li
              v-for="part in explained.parts"
              :key="part.key"
              :class="{ left: part.key === 'left' }"
            >
              <span>{{ part.name }}</span>
              <svg viewBox="-100 0 200 14" preserveAspectRatio="none" aria-hidden="true">
                <line x1="0" x2="0" y1="0" y2="14" />
                <rect
                  :x="Math.min(0, (98 * part.byFrac) / explained.most)"
                  y="2"
                  :width="Math.abs((98 * part.byFrac) / explained.most)"
                  height="10"
                />
              </svg>
              <b class="figures">{{ part.text }}</b>
            </li>
          </ul>
          <p v-if="explained.parts.length === 0" class="soft">Nothing in them differs.</p>
        </section>
        <p v-else class="soft">
          What made the difference appears once both are strained, and read or weighed.
        </p>
        <div class="do no-print">
          <ElButton v-for="(name, i) in names" :key="ids[i]" @click="like(i === 0 ? 0 : 1)"
            >Plan one like {{ name }}</ElButton
          >
        </div>
      </div>
      <DataTable
        label="The two, side by side"
        :rows
        :key-of="({ title }) => title"
        :columns
        :row-class="({ differs }) => (differs ? 'differs' : '')"
      >
        <template v-for="(id, i) in ids" :key="id" #[`${SIDES[i]}-head`]>
          <RouterLink :to="`/log/batch/${id}`">{{ names[i] }}</RouterLink>
        </template>
      </DataTable>
    </div>
  </div>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 18px;
}

.beside {
  display: grid;
  grid-template-columns: minmax(0, 4fr) minmax(0, 5fr);
  align-items: start;
  gap: 18px 56px;
  max-width: 1320px;
}

.reasons {
  display: grid;
  gap: 24px;
}

section {
  display: grid;
  gap: 10px;
}

.parts li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) 72px;
  align-items: center;
  gap: 16px;
}

.parts svg {
  width: 100%;
  height: 16px;
}

.parts rect {
  fill: var(--ink);
}

.parts .left rect {
  fill: none;
  stroke: var(--due-mark);
  stroke-width: 1.5;
}

.parts line {
  stroke: var(--hairline-strong);
}

.parts b {
  text-align: right;
}

.compare :deep(td:first-child) {
  color: var(--ink-soft);
}

.compare :deep(.differs td:not(:first-child)) {
  font-weight: 600;
}

.do {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.do .el-button {
  margin: 0;
}

@media (max-width: 1000px), print {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 560px) {
  .parts li {
    grid-template-columns: 110px minmax(0, 1fr) 64px;
    gap: 8px;
  }
}
</style>
