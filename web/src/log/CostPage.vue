<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import LogWays from './LogWays.vue';
import { useCostPage } from './useCostPage.ts';
import { useAmountFormat } from '../shop/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

/** What the coffee costs by the week, what is thrown away, and what another way would be worth. */
const { state, failure, load, lines, changes, about } = useCostPage();
type Line = (typeof lines.value)[number];
const format = useAmountFormat();
const columns = computed<readonly DataColumn<Line>[]>(() => [
  { key: 'week', label: 'Week', text: ({ week }) => week, minPx: 140 },
  { key: 'batches', label: 'Batches', text: ({ batches }) => batches, isNumber: true, minPx: 76 },
  { key: 'coffee', label: 'Coffee in', text: ({ coffee }) => coffee, isNumber: true, minPx: 96 },
  { key: 'brew', label: 'Brew out', text: ({ brew }) => brew, isNumber: true, minPx: 96 },
  { key: 'cost', label: 'Coffee cost', text: ({ cost }) => cost, isNumber: true, minPx: 100 },
  {
    key: 'price',
    label: `A ${format.value.pricedMass} of brew`,
    text: ({ price }) => price,
    isNumber: true,
    minPx: 110,
  },
  {
    key: 'retained',
    label: 'Brew per coffee',
    text: ({ retained }) => retained,
    isNumber: true,
    minPx: 126,
  },
  { key: 'thrown', label: 'Thrown away', text: ({ thrown }) => thrown, isNumber: true, minPx: 100 },
]);
</script>

<template>
  <div class="page cost">
    <LogWays title="Cost" />
    <p v-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <div v-else-if="state === 'ready' && lines.length === 0" class="empty">
      <h2>No batch was strained yet</h2>
      <p>Once one is strained, its coffee, its brew and what is thrown away are added up here.</p>
      <p><RouterLink to="/plan">Plan a batch</RouterLink></p>
    </div>
    <template v-else-if="state === 'ready'">
      <section v-if="changes.length > 0" aria-labelledby="worth">
        <h2 id="worth" class="section-head">What another way would be worth</h2>
        <p class="soft">{{ about }}.</p>
        <ul>
          <li v-for="one in changes" :key="one.key">
            <b>{{ one.title }}</b>
            <span>{{ one.worth }}</span>
            <span class="soft">{{ one.strength }}</span>
          </li>
        </ul>
      </section>

      <section aria-labelledby="weeks">
        <h2 id="weeks" class="section-head">By week</h2>
        <p class="soft">
          By today’s price of each coffee. As a table for a spreadsheet:
          <a href="/api/export/batches.csv" download>batches</a>,
          <a href="/api/export/entries.csv" download>jugs’ rows</a>.
        </p>
        <DataTable label="Weeks" :rows="lines" :key-of="({ date }) => date" :columns />
      </section>
    </template>
  </div>
</template>

<style scoped>
.cost,
section {
  display: grid;
  gap: 14px;
}

li {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) minmax(180px, 1fr) 2fr;
  gap: 16px;
  border-bottom: 1px solid var(--hairline);
  padding: 8px 0;
}

@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
