<script setup lang="ts">
import { OLD_COLUMN_NAMES, OLD_COLUMNS, type OldUnits } from '@ratio/core/log';
import { ElButton, ElProgress } from 'element-plus';
import 'element-plus/theme-chalk/el-progress.css';
import { computed } from 'vue';
import { useOldLogReader } from './useOldLogReader.ts';
import LogWays from './LogWays.vue';
import { useImportPage } from './useImportPage.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useOneFile } from '../ui/browser/index.ts';
import { ChoiceField, ChoiceRow } from '../ui/fields/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const OldLogPreview = lazyComponent(() => import('./OldLogPreview.vue'));

/** An old log out of a spreadsheet: columns, units, a look at it, and what cannot be read. */
const shop = useShop();
const format = useAmountFormat();
const page = useImportPage(useOldLogReader());
const { headings, fileName, match, units, problem, isOpen, isMatched, isReading, summary } = page;
const { isRunning, done, takeIn, stop, setColumn } = page;
const choose = useOneFile('.csv,.txt,.tsv,text/csv', (file) => void page.open(file));
const columns = computed(() => [
  { value: '-1', label: 'not in it' },
  ...headings.value.map((heading, i) => ({
    value: String(i),
    label: heading || `column ${i + 1}`,
  })),
]);
const MASSES = [
  { value: 'gram' as const, label: 'grams' },
  { value: 'kilogram' as const, label: 'kilograms' },
  { value: 'ounce' as const, label: 'ounces' },
];
const WATERS = [
  { value: 'gram' as const, label: 'grams' },
  { value: 'litre' as const, label: 'litres' },
  { value: 'fluidOunce' as const, label: 'fluid ounces' },
  { value: 'quart' as const, label: 'quarts' },
];
const set = (part: Partial<OldUnits>): void => void (units.value = { ...units.value, ...part });
</script>

<template>
  <div class="page narrow import">
    <LogWays title="Take an old log in" />
    <p>
      A table with a heading and a row for each batch, saved as CSV: when it began, the coffee,
      coffee and water in, the hours; strength, brew and notes where there are any.
    </p>
    <p><ElButton :disabled="isRunning" @click="choose">Choose a file</ElButton> {{ fileName }}</p>
    <p v-if="problem !== ''" class="due" role="alert">{{ problem }}</p>
    <p v-if="isReading" class="soft" role="status">Reading its rows …</p>
    <template v-if="isOpen">
      <section aria-labelledby="columns">
        <h2 id="columns" class="section-head">Its columns</h2>
        <div class="field-grid">
          <ChoiceRow
            v-for="name in OLD_COLUMN_NAMES"
            :key="name"
            :label="`${OLD_COLUMNS[name].name}${OLD_COLUMNS[name].needed ? ', needed' : ''}`"
          >
            <ChoiceField
              :model-value="String(match[name])"
              :label="OLD_COLUMNS[name].name"
              :options="columns"
              @update:model-value="setColumn(name, Number($event))"
            />
          </ChoiceRow>
          <ChoiceRow label="Coffee without a unit">
            <ChoiceField
              :model-value="units.mass"
              label="Coffee without a unit"
              :options="MASSES"
              @update:model-value="set({ mass: $event })"
            />
          </ChoiceRow>
          <ChoiceRow label="Water without a unit">
            <ChoiceField
              :model-value="units.water"
              label="Water without a unit"
              :options="WATERS"
              @update:model-value="set({ water: $event })"
            />
          </ChoiceRow>
        </div>
      </section>
      <section v-if="isMatched" aria-labelledby="look">
        <h2 id="look" class="section-head">As it will stand in the log</h2>
        <OldLogPreview :batches="summary.preview" :zone="shop.zone" :format />
        <template v-if="summary.bad > 0">
          <p class="due" role="alert">
            {{ summary.bad }} row{{ summary.bad === 1 ? '' : 's' }} cannot be read. Mend
            {{ summary.bad === 1 ? 'it' : 'them' }} in the file and choose it again, or leave
            {{ summary.bad === 1 ? 'it' : 'them' }} out.
          </p>
          <ul class="problems">
            <li v-for="one in summary.problems" :key="`${one.row} ${one.column}`">
              <b>Row {{ one.row }}</b
              >, {{ OLD_COLUMNS[one.column].name.toLowerCase() }}: {{ one.message }}
            </li>
          </ul>
          <p v-if="summary.moreProblems > 0" class="soft">And {{ summary.moreProblems }} more.</p>
        </template>
        <template v-if="isRunning">
          <ElProgress
            aria-label="How much is taken in"
            :percentage="Math.round((100 * done) / Math.max(1, summary.good))"
          />
          <ElButton @click="stop">Stop, and take nothing in</ElButton>
        </template>
        <p v-else>
          <ElButton type="primary" :disabled="isReading || summary.good === 0" @click="takeIn"
            >Take {{ summary.good }} batch{{ summary.good === 1 ? '' : 'es' }} in{{
              summary.bad > 0 ? `, leave ${summary.bad} out` : ''
            }}</ElButton
          >
        </p>
      </section>
      <p v-else class="soft">Say which column each of the needed ones is.</p>
    </template>
  </div>
</template>

<style scoped>
.import,
section {
  display: grid;
  gap: 14px;
}

.problems {
  display: grid;
  gap: 4px;
  font-size: var(--t13);
}
</style>
