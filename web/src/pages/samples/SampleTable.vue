<script setup lang="ts">
import { percentText } from '@ratio/core/units';
import { SCORES, type SampleSet } from '@ratio/core/batch';

/** The jars of a set: what goes in, what to expect, how it was liked. */
defineProps<{
  jars: SampleSet['jars'];
  writeMass: (massG: number) => string;
  /** When each strains, by hours; empty before the start. */
  strainAt: (hours: number) => string;
  scored: boolean;
}>();
const emit = defineEmits<{
  score: [number: number, score: number | null];
  take: [number: number];
}>();
const valueOf = (event: Event): number | null =>
  Number((event.target as HTMLSelectElement).value) || null;
</script>

<template>
  <div class="sideways" tabindex="0" role="region" aria-label="Jars of the set">
    <table>
      <caption class="visually-hidden">
        Jars of the set
      </caption>
      <thead>
        <tr>
          <th scope="col">Jar</th>
          <th scope="col">Grind</th>
          <th scope="col">Ratio</th>
          <th scope="col">Hours</th>
          <th scope="col" class="right">Coffee</th>
          <th scope="col" class="right">Water</th>
          <th scope="col" class="right">Expect</th>
          <th scope="col">{{ scored ? 'Liked' : 'Strain' }}</th>
          <th scope="col"><span class="visually-hidden">Scale up</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="jar in jars" :key="jar.number" :class="{ best: jar.score === 5 }">
          <th scope="row" class="figures number">{{ jar.number }}</th>
          <td>{{ jar.grind }}</td>
          <td class="figures">1:{{ jar.ratio }}</td>
          <td class="figures">{{ jar.hours }}</td>
          <td class="figures right">{{ writeMass(jar.doseG) }}</td>
          <td class="figures right">{{ writeMass(jar.waterG) }}</td>
          <td class="figures right">{{ percentText(jar.strengthFrac) }}</td>
          <td>
            <template v-if="scored">
              <select
                :aria-label="`How jar ${jar.number} was liked`"
                :value="jar.score ?? ''"
                @change="emit('score', jar.number, valueOf($event))"
              >
                <option value="">not tasted</option>
                <option v-for="score in SCORES" :key="score" :value="score">
                  {{ score }} of 5
                </option>
              </select>
            </template>
            <template v-else>{{ strainAt(jar.hours) }}</template>
          </td>
          <td class="no-print">
            <button
              type="button"
              class="text-button"
              :aria-label="`Make jar ${jar.number} the plan`"
              @click="emit('take', jar.number)"
            >
              make it the plan
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
table {
  font-size: inherit;
}

th,
td {
  border-bottom: 1px solid var(--hairline);
  padding: 8px 20px 8px 0;
  text-align: left;
}

thead th {
  color: var(--ink-soft);
  font-size: var(--t13);
}

.right {
  text-align: right;
}

.number {
  font-size: var(--t24);
  font-weight: 500;
}

.best {
  background: var(--resting-wash);
}

select {
  min-height: 36px;
  border: 1px solid var(--hairline-strong);
  border-radius: 4px;
  background: var(--panel);
}
</style>
