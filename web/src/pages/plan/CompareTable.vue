<script setup lang="ts">
import LeaveOutButton from '../../components/fields/LeaveOutButton.vue';
import type { Variant } from './useVariants.ts';

/** Variants compared with the draft, only what differs in bold. */
defineProps<{
  rows: readonly { label: string; cells: readonly string[] }[];
  variants: readonly Variant[];
}>();
const emit = defineEmits<{ drop: [i: number]; take: [i: number] }>();
</script>

<template>
  <table>
    <caption>
      Compared
    </caption>
    <thead>
      <tr>
        <th scope="col"><span class="visually-hidden">What</span></th>
        <th scope="col">Draft</th>
        <th v-for="(variant, i) in variants" :key="variant.id" scope="col">
          {{ 'ABC'[i] }}
          <button
            type="button"
            :aria-label="`Take ${'ABC'[i]} as the draft`"
            @click="emit('take', i)"
          >
            take
          </button>
          <LeaveOutButton :label="`Unpin ${'ABC'[i]}`" @click="emit('drop', i)" />
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.label">
        <th scope="row">{{ row.label }}</th>
        <td
          v-for="(cell, i) in row.cells"
          :key="i"
          :class="{ differs: i > 0 && cell !== row.cells[0] }"
        >
          {{ cell }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  margin-top: 8px;
}

caption {
  padding-bottom: 4px;
  font-weight: 600;
  text-align: left;
}

th,
td {
  border-bottom: 1px solid var(--hairline);
  padding: 4px 8px 4px 0;
  text-align: left;
}

th[scope='row'] {
  color: var(--ink-soft);
  font-weight: 500;
}

.differs {
  font-weight: 700;
}

button {
  border: 0;
  background: none;
  padding: 4px 6px;
  color: var(--action);
  cursor: pointer;
}
</style>
