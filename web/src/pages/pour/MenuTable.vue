<script setup lang="ts">
import { countText } from '../../format/countText.ts';
import { percentFigure } from '@ratio/core/units';
import { RouterLink } from 'vue-router';
import LadderAxis from './LadderAxis.vue';
import StrengthRung from './StrengthRung.vue';
import type { MenuLine } from './useMenuTable.ts';

/** Every drink as a rung of the ladder of strengths, with what it holds, costs and brings in. */
defineProps<{ lines: readonly MenuLine[]; isBatch: boolean; dense: boolean }>();
const emit = defineEmits<{ choose: [drinkId: string] }>();
</script>

<template>
  <div class="scroll">
    <table :class="{ dense }">
      <caption class="visually-hidden">
        Every drink from this
        {{
          isBatch ? 'batch' : 'jug'
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">Drink</th>
          <th scope="col" class="n">Strength (TDS), %</th>
          <th scope="col" class="rungs">
            <span class="visually-hidden">Wanted and reached</span>
            <LadderAxis />
          </th>
          <th scope="col">{{ isBatch ? 'From this batch' : 'From this jug' }}</th>
          <th scope="col" class="n">Caffeine, mg</th>
          <th scope="col" class="n">kcal</th>
          <th scope="col" class="n">Sugar, g</th>
          <th scope="col" class="n money">Cost</th>
          <th scope="col" class="n">Price</th>
          <th scope="col" class="n money">Margin</th>
          <th scope="col" class="n no-print">
            {{ isBatch ? 'It makes' : 'In this jug' }}
          </th>
          <th scope="col" class="n no-print">In all jugs</th>
          <th scope="col">Contains</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in lines" :key="row.id" @click="emit('choose', row.id)">
          <th scope="row">
            <RouterLink :to="`/pour?drink=${row.id}`">{{ row.name }}</RouterLink>
            <span v-if="row.servings > 1" class="soft"> for {{ row.servings }}</span>
          </th>
          <td class="n big">{{ percentFigure(row.reachedFrac) }}</td>
          <td class="rungs">
            <StrengthRung
              :wanted-frac="row.wantedFrac"
              :reached-frac="row.reachedFrac"
              :short="row.isShort"
            />
          </td>
          <td :class="row.isShort ? 'due' : 'resting'">{{ row.state }}</td>
          <td class="n">{{ row.caffeine }}</td>
          <td class="n">{{ row.energy }}</td>
          <td class="n">{{ row.sugar }}</td>
          <td class="n money" :title="row.costWithout">{{ row.cost }}</td>
          <td class="n">{{ row.price }}</td>
          <td class="n money">{{ row.margin }}</td>
          <td class="n no-print">{{ countText(row.left) }}</td>
          <td class="n no-print">{{ countText(row.inAll) }}</td>
          <td>{{ row.allergens }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
th,
td {
  border-bottom: 1px solid var(--hairline);
  padding: 0 8px;
  height: 40px;
  text-align: left;
}

thead th {
  border-bottom-color: var(--ink);
  color: var(--ink-soft);
  vertical-align: bottom;
  height: auto;
  padding-bottom: 4px;
}

thead .n {
  font-family: var(--words);
}

tbody tr {
  cursor: pointer;
}

tbody tr:hover {
  background: var(--panel);
}

tbody th a {
  color: var(--ink);
  font-size: var(--t15);
  text-decoration: none;
}

.n {
  font-family: var(--figures);
  text-align: right;
  white-space: nowrap;
}

.big {
  font-size: var(--t18);
  font-weight: 500;
}

.rungs {
  width: 180px;
}

@media screen {
  .rungs {
    min-width: 150px;
  }
}

@media print {
  th,
  td {
    height: auto;
    padding: 1.2mm 1.5mm;
    font-size: 8.5pt;
  }

  tbody th a,
  .big {
    font-size: 9.5pt;
  }

  .money {
    display: none;
  }

  /* Forty drinks on an upright page. */
  .dense th,
  .dense td {
    padding: 0.35mm 1mm;
    font-size: 7.5pt;
    line-height: 1.15;
  }

  .dense tbody th a,
  .dense .big {
    font-size: 8.5pt;
  }

  .dense .rungs {
    width: 22mm;
  }
}
</style>
