<script setup lang="ts">
import AmountTable from './AmountTable.vue';

/** The plan on one sheet of paper, with room for what is found at the bench. */
defineProps<{
  title: string;
  shop: string;
  amounts: readonly { what: string; amount: string; also: string }[];
  steps: readonly { when: string; what: string }[];
  expected: readonly { what: string; amount: string }[];
  cautions: readonly string[];
}>();

const FOUND = [
  'Coffee weighed',
  'Water weighed',
  'Steep began',
  'Strained',
  'Came out',
  'Reading',
  'By',
];
</script>

<template>
  <section class="sheet" aria-hidden="true">
    <header>
      <h1>{{ title }}</h1>
      <p>{{ shop }}</p>
    </header>
    <div class="columns">
      <div>
        <h2>Measure</h2>
        <AmountTable :rows="amounts" />
        <h2>Do</h2>
        <table>
          <tbody>
            <tr v-for="step in steps" :key="step.when + step.what">
              <th scope="row">{{ step.when }}</th>
              <td>{{ step.what }}</td>
              <td class="tick">☐</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div>
        <h2>Expect</h2>
        <AmountTable :rows="expected" />
        <h2>Found</h2>
        <table>
          <tbody>
            <tr v-for="what in FOUND" :key="what">
              <th scope="row">{{ what }}</th>
              <td class="blank" />
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <ul>
      <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
    </ul>
    <p class="foot">
      Keep covered, labelled and at 5 °C (41 °F) or below. The local food code decides.
    </p>
  </section>
</template>

<style scoped>
.sheet {
  display: none;
}

@media print {
  .sheet {
    display: block;
    color: #000;
    font-size: 11pt;
  }

  header {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    border-bottom: 2px solid #000;
  }

  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10mm;
  }

  h2 {
    margin-top: 6mm;
    color: #000;
    font-size: 11pt;
  }

  .sheet :deep(table) {
    font-size: inherit;
  }

  .sheet :deep(:is(th, td)) {
    border-bottom: 0.5pt solid #777;
    padding: 1.4mm 2mm 1.4mm 0;
    font-weight: 400;
    text-align: left;
  }

  .sheet :deep(.amount) {
    font-family: var(--figures);
    font-size: 13pt;
    font-weight: 600;
  }

  .blank {
    width: 55%;
    height: 9mm;
  }

  .tick {
    width: 8mm;
    font-size: 14pt;
  }

  ul {
    margin-top: 6mm;
  }

  .foot {
    margin-top: 4mm;
  }
}
</style>
