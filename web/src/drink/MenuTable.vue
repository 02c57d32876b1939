<script setup lang="ts">
import { percentFigure } from '@ratio/core/units';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import LadderAxis from './LadderAxis.vue';
import StrengthRung from './StrengthRung.vue';
import type { MenuLine } from './useMenuTable.ts';
import { countText } from '../format/index.ts';
import { HintText } from '../ui/figures/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

/** Every drink as a rung of the ladder of strengths, with what it holds, costs and brings in. */
const props = defineProps<{ lines: readonly MenuLine[]; isBatch: boolean; dense: boolean }>();
const emit = defineEmits<{ choose: [drinkId: string] }>();

/** On a phone what is left and the price stand beside the strength, the rest behind a swipe. */
const isPhone = useMediaQuery('(max-width: 560px)');
const FIRST_ON_PHONE: readonly string[] = ['drink', 'strength', 'left', 'price', 'state'];
const placeOf = ({ key }: DataColumn<MenuLine>): number =>
  FIRST_ON_PHONE.includes(key) ? FIRST_ON_PHONE.indexOf(key) : FIRST_ON_PHONE.length;
const columns = computed(() =>
  isPhone.value ? all.value.toSorted((a, b) => placeOf(a) - placeOf(b)) : all.value,
);
const all = computed<DataColumn<MenuLine>[]>(() => [
  { key: 'drink', label: 'Drink', by: ({ name }) => name, minPx: isPhone.value ? 138 : 186 },
  {
    key: 'strength',
    label: isPhone.value ? 'TDS, %' : 'Strength (TDS), %',
    text: ({ reachedFrac }) => percentFigure(reachedFrac),
    by: ({ reachedFrac }) => reachedFrac,
    isNumber: true,
    minPx: isPhone.value ? 74 : 126,
  },
  { key: 'rungs', label: 'Wanted and reached', isQuiet: true, minPx: 88 },
  {
    key: 'state',
    label: props.isBatch ? 'From this batch' : 'From this jug',
    by: ({ isShort, state }) => `${isShort ? 0 : 1} ${state}`,
    minPx: 130,
  },
  {
    key: 'caffeine',
    label: 'Caffeine, mg',
    text: ({ caffeine }) => caffeine,
    by: ({ caffeine }) => Number(caffeine),
    isNumber: true,
    minPx: 100,
  },
  {
    key: 'energy',
    label: 'kcal',
    text: ({ energy }) => energy,
    by: ({ energy }) => Number(energy),
    isNumber: true,
    minPx: 50,
  },
  {
    key: 'sugar',
    label: 'Sugar, g',
    text: ({ sugar }) => sugar,
    by: ({ sugar }) => Number(sugar),
    isNumber: true,
    minPx: 76,
  },
  { key: 'cost', label: 'Cost', by: ({ costs }) => costs, isNumber: true, on: 'screen', minPx: 62 },
  {
    key: 'price',
    label: 'Price',
    text: ({ price }) => price,
    by: ({ asks }) => asks,
    isNumber: true,
    minPx: 66,
  },
  {
    key: 'margin',
    label: 'Margin, %',
    text: ({ margin }) => margin,
    by: ({ marginFrac }) => marginFrac ?? -1,
    isNumber: true,
    minPx: 82,
    on: 'screen',
  },
  {
    key: 'left',
    label: isPhone.value ? 'Left' : props.isBatch ? 'It makes' : 'In this jug',
    text: ({ left }) => countText(left),
    by: ({ left }) => left,
    isNumber: true,
    minPx: isPhone.value ? 60 : 78,
    on: 'screen',
  },
  {
    key: 'inAll',
    label: 'In all jugs',
    text: ({ inAll }) => countText(inAll),
    by: ({ inAll }) => inAll,
    isNumber: true,
    minPx: 84,
    on: 'screen',
  },
  { key: 'contains', label: 'Contains', text: ({ allergens }) => allergens, minPx: 84 },
]);
/** What is short is open, with what would bring it back. */
const openKeys = computed(() =>
  props.lines.filter(({ ways }) => ways.length > 0).map(({ id }) => id),
);
</script>

<template>
  <div class="ladder" :class="{ dense }">
    <DataTable
      :label="`Every drink from this ${isBatch ? 'batch' : 'jug'}`"
      :rows="lines"
      :key-of="({ id }) => id"
      :columns
      :open-keys
      tappable
      @choose="emit('choose', $event.id)"
    >
      <template #drink-cell="{ row }">
        <RouterLink :to="`/pour?drink=${row.id}`">{{ row.name }}</RouterLink>
        <span v-if="row.servings > 1" class="soft"> for {{ row.servings }}</span>
      </template>
      <template #rungs-head>
        <span class="visually-hidden">Wanted and reached</span>
        <LadderAxis />
      </template>
      <template #rungs-cell="{ row }">
        <StrengthRung
          :wanted-frac="row.wantedFrac"
          :reached-frac="row.reachedFrac"
          :short="row.isShort"
        />
      </template>
      <template #state-cell="{ row }">
        <span :class="row.isShort ? 'due' : 'resting'">{{ row.state }}</span>
      </template>
      <template #cost-cell="{ row }">
        <HintText v-if="row.costWithout !== ''" :hint="row.costWithout" @click.stop>{{
          row.cost
        }}</HintText>
        <template v-else>{{ row.cost }}</template>
      </template>
      <template #more="{ row }">
        <p class="ways">
          <strong>What would reach it:</strong> {{ row.ways.join(' · ') }}.
          <RouterLink :to="`/pour?drink=${row.id}`">Change it</RouterLink>
        </p>
      </template>
      <template #below><slot /></template>
    </DataTable>
  </div>
</template>

<style scoped>
.ladder :deep(.el-table__row a) {
  color: var(--ink);
  font-size: var(--t15);
  font-weight: 600;
  text-decoration: none;
}

.ladder :deep(.el-table__row td.n:nth-child(2)) {
  font-size: var(--t18);
  font-weight: 500;
}

/* In sight however far the table is pushed. */
.ways {
  position: sticky;
  left: 8px;
  width: fit-content;
  max-width: min(70rem, 100vw - 64px);
  font-size: var(--t13);
}

@media print {
  .ladder :deep(tbody a),
  .ladder :deep(.strength) {
    font-size: 9.5pt;
  }

  .ladder :deep(.paper a) {
    color: inherit;
    text-decoration: none;
  }

  .ladder :deep(.rungs) {
    width: 180px;
  }

  /* Forty drinks on an upright page. */
  .dense :deep(th),
  .dense :deep(td) {
    padding: 0.35mm 1mm;
    font-size: 7.5pt;
    line-height: 1.15;
  }

  .dense :deep(tbody a),
  .dense :deep(.strength) {
    font-size: 8.5pt;
  }

  .dense :deep(.rungs) {
    width: 22mm;
  }
}
</style>
