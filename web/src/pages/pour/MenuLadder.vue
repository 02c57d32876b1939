<script setup lang="ts">
import type { Jug } from '@ratio/core';
import { scaleLinear } from 'd3-scale';
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import ChoiceField from '../../field/ChoiceField.vue';
import type { MenuRow } from '../../stores/menu.ts';

/** The menu as a ladder of strengths from one jug, and what is out of its reach. */
defineProps<{
  rows: readonly MenuRow[];
  /** Empty while a new drink is in hand. */
  chosenId: string;
  jug: Jug;
  jugs: readonly Jug[];
  /** What is in a jug, in the shop's units. */
  writeJug: (jug: Jug) => string;
}>();
const emit = defineEmits<{ choose: [drinkId: string]; jug: [jugId: string]; add: [] }>();

const x = scaleLinear([0, 0.035], [0, 100]).clamp(true);
const pct = (frac: number): string => (100 * frac).toFixed(2);

function wantedOf({ drink, solution }: MenuRow): number {
  return 'strengthFrac' in drink.target ? drink.target.strengthFrac : solution.strengthFrac;
}

function trouble({ solution }: MenuRow): string {
  switch (solution.status) {
    case 'met':
      return '';
    case 'no_room':
      return 'no room for what is asked';
    case 'too_weak':
      return solution.needsStrengthFrac === null
        ? 'out of reach in this glass'
        : `short: needs a ${pct(solution.needsStrengthFrac)} % jug`;
  }
}
</script>

<template>
  <section class="ladder" aria-label="The menu from this jug">
    <h2>From the jug</h2>
    <ChoiceField
      label="Jug"
      :model-value="jug.id"
      :options="
        jugs.map((one) => ({
          value: one.id,
          label: `${one.label}, ${pct(one.strengthFrac)} %`,
          reason: `${one.coffeeName}, ${writeJug(one)}`,
        }))
      "
      @update:model-value="emit('jug', $event)"
    />
    <p class="soft fine">{{ jug.coffeeName }} · {{ writeJug(jug) }} on hand</p>
    <ul>
      <li v-for="row in rows" :key="row.drink.id">
        <button
          type="button"
          :aria-current="row.drink.id === chosenId ? 'true' : undefined"
          :class="{ chosen: row.drink.id === chosenId }"
          @click="emit('choose', row.drink.id)"
        >
          <span class="top">
            <span>{{ row.drink.name }}</span>
            <span class="figures">{{ pct(row.solution.strengthFrac) }}</span>
          </span>
          <svg class="rung" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
            <line x1="0" x2="100" y1="5" y2="5" />
            <line class="wanted" :x1="x(wantedOf(row))" :x2="x(wantedOf(row))" y1="0" y2="10" />
            <line
              class="reached"
              :class="{ short: row.solution.status !== 'met' }"
              x1="0"
              :x2="x(row.solution.strengthFrac)"
              y1="5"
              y2="5"
            />
          </svg>
          <span v-if="trouble(row)" class="due trouble">{{ trouble(row) }}</span>
        </button>
      </li>
    </ul>
    <div class="more">
      <ElButton @click="emit('add')">New drink</ElButton>
      <RouterLink to="/pour/menu">The whole menu</RouterLink>
    </div>
  </section>
</template>

<style scoped>
.ladder {
  padding: 10px 10px 12px;
}

h2,
.fine,
.ladder > :deep(.el-select) {
  padding-inline: 10px;
}

.fine {
  padding-bottom: 8px;
  font-size: var(--t13);
}

button {
  display: block;
  width: 100%;
  min-height: 44px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  border-left: 3px solid transparent;
  background: none;
  padding: 4px 10px 3px 7px;
  text-align: left;
  cursor: pointer;
}

button.chosen {
  border-left-color: var(--action);
  background: var(--panel);
}

.top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}

.rung {
  display: block;
  width: 100%;
  height: 8px;
  margin-top: 1px;
}

.rung line {
  stroke: var(--hairline-strong);
  vector-effect: non-scaling-stroke;
}

.rung .reached {
  stroke: var(--action);
  stroke-width: 3;
}

.rung .short {
  stroke: var(--due-mark);
  stroke-dasharray: 4 3;
}

.rung .wanted {
  stroke: var(--ink);
  stroke-width: 2;
}

.more {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 10px 10px 0;
}

.trouble {
  display: block;
  font-size: var(--t13);
  font-weight: 500;
}
</style>
