<script setup lang="ts">
import { MOST_SAMPLES } from '@ratio/core/batch';
import { GRIND_NAMES } from '@ratio/core/coffee';
import { ElButton, ElCheckbox, ElCheckboxGroup } from 'element-plus';
import 'element-plus/theme-chalk/el-checkbox.css';
import { RouterLink } from 'vue-router';
import { useSampleSets } from './useSampleSets.ts';
import { ChoiceRow, HoursListField, ListField, PickRow } from '../ui/fields/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const SampleTable = lazyComponent(() => import('./SampleTable.vue'));
const { shop, samples, coffee, jar, jarId, ratios, grinds, hours, count, jars, busy, ...page } =
  useSampleSets();
const { mass, strainAt, startedText, pickGrinds, start, score, take, takeNew } = page;
const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <header>
      <h1>Small jars first</h1>
      <p class="soft">
        Some coffees taste wrong cold. Steep a few small jars of {{ coffee?.name }} side by side
        before a whole batch; the winner scales back up.
        <RouterLink to="/plan">Back to the plan</RouterLink>
      </p>
    </header>
    <form class="choose no-print" aria-label="What varies" @submit.prevent>
      <PickRow
        label="Jar"
        :note="jar?.shaken ? '30 % kept free' : '15 % kept free'"
        :model-value="jar?.id ?? ''"
        :options="shop.steepers.map(({ id, name }) => ({ value: id, label: name }))"
        @update:model-value="jarId = $event"
      />
      <ChoiceRow label="Ratios"
        ><ListField
          label="Ratios"
          :values="ratios"
          accepts="ratio"
          :write="(ratio) => `1:${ratio}`"
          :min="1"
          :max="60"
          limit-text="Between 1:1 and 1:60."
          @change="ratios = $event"
      /></ChoiceRow>
      <ChoiceRow label="Hours"
        ><HoursListField label="Hours" :hours placeholder="18 h" @change="hours = $event"
      /></ChoiceRow>
      <ChoiceRow label="Grinds">
        <ElCheckboxGroup
          class="grinds"
          aria-label="Grinds"
          :min="1"
          :model-value="grinds"
          @update:model-value="pickGrinds"
        >
          <ElCheckbox v-for="grind in GRIND_NAMES" :key="grind" :value="grind">
            {{ grind }}
          </ElCheckbox>
        </ElCheckboxGroup>
      </ChoiceRow>
    </form>
    <section v-if="jars.length > 0" aria-label="The set">
      <p class="go no-print">
        <ElButton type="primary" :loading="busy" @click="start">Start them together</ElButton>
        <ElButton @click="print">Print the bench sheet</ElButton>
      </p>
      <SampleTable
        :jars
        :write-mass="mass"
        :strain-at="strainAt(null)"
        :scored="false"
        @take="takeNew"
      />
    </section>
    <div v-else-if="!jar" class="empty">
      <h2>No jar is on the shelf yet</h2>
      <p>Each sample is made to fit one: how much it holds is all that has to be known.</p>
      <p><RouterLink to="/shelf">Add a vessel to the shelf</RouterLink></p>
    </div>
    <p v-else class="due" role="status">
      {{ count }} jars: between one and {{ MOST_SAMPLES }} can be tasted side by side. Take fewer
      ratios, grinds or hours.
    </p>
    <section
      v-for="set in samples.sets"
      :key="set.id"
      class="kept no-print"
      :aria-label="`Set of ${set.coffeeName}`"
    >
      <h2 class="name">
        {{ set.coffeeName }}, {{ set.jars.length }} in {{ set.jarName }}
        <span class="soft">{{ startedText(set.startedAt) }}</span>
      </h2>
      <SampleTable
        :jars="set.jars"
        :write-mass="mass"
        :strain-at="strainAt(set.startedAt)"
        scored
        @score="(number, value) => score(set, number, value)"
        @take="take(set, $event)"
      />
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
}

.choose {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px 28px;
}

.choose > :last-child {
  grid-column: 1 / -1;
}

.grinds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.go {
  padding-bottom: 14px;
}

.kept {
  --ground: var(--panel);
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 14px 20px;
}

.name {
  color: var(--ink);
  font-size: var(--t18);
}

@media (max-width: 700px) {
  .choose {
    grid-template-columns: 1fr;
  }
}
</style>
