<script setup lang="ts">
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import LinkButton from '../../components/fields/LinkButton.vue';
import LogWays from './LogWays.vue';
import { useComparePage } from './useComparePage.ts';

/** Two batches side by side: what was different in, what came out, what explains it. */
const { state, failure, load, names, ids, rows, explained, like } = useComparePage();
</script>

<template>
  <div class="page narrow compare">
    <LogWays title="Two batches" />
    <p v-if="state === 'loading'" class="soft" role="status">Fetching both …</p>
    <p v-else-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <template v-else>
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
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">What</span></th>
            <th v-for="(name, i) in names" :key="ids[i]" scope="col">
              <RouterLink :to="`/log/batch/${ids[i]}`">{{ name }}</RouterLink>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.title" :class="{ differs: row.differs }">
            <th scope="row">{{ row.title }}</th>
            <td>{{ row.a }}</td>
            <td>{{ row.b }}</td>
          </tr>
        </tbody>
      </table>
      <div class="do no-print">
        <ElButton v-for="(name, i) in names" :key="ids[i]" @click="like(i === 0 ? 0 : 1)"
          >Plan one like {{ name }}</ElButton
        >
      </div>
    </template>
  </div>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 18px;
}

section {
  display: grid;
  gap: 10px;
}

.parts li {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) 80px;
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

th,
td {
  border-bottom: 1px solid var(--hairline);
  padding: 7px 14px 7px 0;
  text-align: left;
}

tbody th {
  color: var(--ink-soft);
  font-weight: 400;
}

.differs td {
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

@media (max-width: 560px) {
  .parts li {
    grid-template-columns: 110px minmax(0, 1fr) 64px;
    gap: 8px;
  }
}
</style>
