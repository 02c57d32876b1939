<script setup lang="ts">
import { ElButton } from 'element-plus';
import { RouterLink, useRouter } from 'vue-router';
import { useLearning } from './useLearning.ts';
import LogWays from './LogWays.vue';
import { useLearningPage } from './useLearningPage.ts';
import { useBatches } from '../events/index.ts';
import { useSession } from '../sync/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { DriftChart, FoundChart } from '../ui/charts/index.ts';
import { ChoiceField } from '../ui/fields/index.ts';
import { ToBatches } from '../ui/figures/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const TaughtTable = lazyComponent(() => import('./TaughtTable.vue'));
/** Predicted against found, and what the log teaches the model by it. */
const session = useSession();
const batches = useBatches();
const router = useRouter();
const page = useLearningPage(useLearning());
const { vessel, vessels, millSetMs } = page;
const {
  state,
  failure,
  load,
  coffee,
  coffees,
  points,
  held,
  taught,
  retained,
  loss,
  scoop,
  outliers,
} = page;
const { next, canAccept, batchCount, acceptLearned, useVersion, inUse, versions, dayOf } = page;
</script>

<template>
  <div class="page learning">
    <LogWays title="Predicted and found" />
    <p v-if="state === 'loading'" class="soft" role="status">Reading the log …</p>
    <p v-else-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <div v-else-if="points.length === 0 && coffee === '' && vessel === ''" class="empty">
      <h2>Nothing was read yet</h2>
      <p>
        Read a strained batch with a refractometer, or weigh what came out. From then on this page
        shows how close the predictions were, and how much the shop’s own coffee gives.
      </p>
      <p><ToBatches :steeping="batches.steeping.length > 0" /></p>
    </div>
    <template v-else>
      <div class="found">
        <section aria-labelledby="found">
          <h2 id="found" class="section-head">Predicted against found</h2>
          <div class="of no-print">
            <ChoiceField v-model="coffee" label="Coffee" :options="coffees" />
            <ChoiceField v-model="vessel" label="Vessel" :options="vessels" />
          </div>
          <p class="held">{{ held }}</p>
          <FoundChart :points @pick="router.push(`/log/batch/${$event}`)" />
        </section>
        <section aria-labelledby="drift">
          <h2 id="drift" class="section-head">By day</h2>
          <DriftChart v-if="points.length > 1" :points :mill-set-ms :day-of />
          <template v-if="outliers.length > 0">
            <h3>Far from all the rest, counted for less</h3>
            <ul class="outliers">
              <li v-for="one in outliers" :key="`${one.id} ${one.text}`">
                <RouterLink :to="`/log/batch/${one.id}`">{{ one.name }}</RouterLink>: {{ one.text }}
              </li>
            </ul>
          </template>
        </section>
      </div>
      <section aria-labelledby="taught">
        <h2 id="taught" class="section-head">What the log teaches</h2>
        <p>
          {{ inUse }} Below: how much each coffee gives and how fast, over what the handbook says.
          It comes from {{ batchCount }} batches; it is within the brackets 9 times in 10.
        </p>
        <TaughtTable :rows="taught" />
        <p v-for="text in retained" :key="text" class="soft">Liquid retained, {{ text }}.</p>
        <p v-if="loss !== ''" class="soft">{{ loss }}</p>
        <p v-if="scoop !== ''" class="soft">{{ scoop }}</p>
        <p v-if="next !== ''" class="next"><b>Measure next:</b> {{ next }}</p>
        <div v-if="session.can('leads')" class="do no-print">
          <ElButton type="primary" :disabled="!canAccept" @click="acceptLearned"
            >Predict by this from now on</ElButton
          >
          <LinkButton
            v-for="version in versions"
            :key="version.number"
            @click="useVersion(version.number)"
            >Back to {{ version.text }}</LinkButton
          >
          <LinkButton v-if="!inUse.startsWith('The handbook')" @click="useVersion(0)"
            >Back to the handbook</LinkButton
          >
        </div>
        <p v-else class="soft">A lead takes this into use.</p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.learning {
  display: grid;
  gap: 18px;
}

.found {
  display: grid;
  grid-template-columns: minmax(300px, 400px) minmax(0, 1fr);
  gap: 40px;
}

section {
  display: grid;
  align-content: start;
  gap: 10px;
}

.of {
  max-width: 240px;
}

.held {
  min-height: 3em;
}

h3 {
  margin: 8px 0 0;
  font-size: var(--t15);
}

.outliers {
  display: grid;
  gap: 6px;
  font-size: var(--t13);
}

.next {
  border-left: 3px solid var(--action);
  padding-left: 10px;
}

.do {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 20px;
}

@media (max-width: 900px) {
  .found {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
