<script setup lang="ts">
import { markText, type Explanation } from '@ratio/core/explanation';
import { ElDialog } from 'element-plus';

/** Where a number comes from: equation, this batch's numbers, constants with their sources, range. */
defineProps<{ explanation: Explanation | null; range: string; narrowedBy: readonly string[] }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <ElDialog
    :model-value="explanation !== null"
    :title="explanation?.title ?? ''"
    width="min(94vw, 640px)"
    append-to-body
    @close="emit('close')"
  >
    <div v-if="explanation" class="why">
      <p class="figures equation">{{ explanation.equation }}</p>
      <p class="figures">{{ explanation.filledIn }}</p>
      <p class="soft">{{ explanation.method }}</p>
      <table>
        <caption class="visually-hidden">
          Values in it
        </caption>
        <thead>
          <tr>
            <th scope="col">Symbol</th>
            <th scope="col">What</th>
            <th scope="col">Value</th>
            <th scope="col">Source</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="used in explanation.uses" :key="used.symbol">
            <td class="figures">{{ used.symbol }}</td>
            <td>{{ used.name }}</td>
            <td class="figures">{{ used.value }}</td>
            <td>
              {{ used.source }} <span class="mark">({{ markText(used.mark) }})</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="range"><strong>Range</strong> {{ range }}</p>
      <ul v-if="narrowedBy.length > 0">
        <li v-for="text in narrowedBy" :key="text">{{ text }}</li>
      </ul>
      <slot />
    </div>
  </ElDialog>
</template>

<style scoped>
.why {
  display: grid;
  gap: 12px;
}

.equation {
  font-size: var(--t18);
  font-weight: 600;
}

table {
  width: auto;
}

th,
td {
  border-bottom: 1px solid var(--hairline);
  padding: 6px 10px 6px 0;
  text-align: left;
  vertical-align: top;
}

.mark {
  color: var(--ink-soft);
  white-space: nowrap;
}
</style>
