<script setup lang="ts">
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import ChoiceField from '../../field/ChoiceField.vue';
import { useMenu, type MenuRow } from '../../stores/menu.ts';
import { useShop } from '../../stores/shop.ts';
import { useWords } from '../../stores/useWords.ts';
import { dayName } from '../../clock/formatClock.ts';
import IceToday from './IceToday.vue';
import LadderAxis from './LadderAxis.vue';
import StrengthRung from './StrengthRung.vue';
import { useMenuFrom } from './useMenuFrom.ts';

/** The whole menu as a ladder of strengths from one jug or batch: what it reaches, holds and costs. */
const shelf = useShop();
const { sources, source, rows: solved, atRisk, take } = useMenuFrom();
const menu = useMenu();
const words = useWords();
const router = useRouter();
const { money, volume } = words;

const rows = computed(() =>
  solved.value.map((row) => {
    const { drink, solution, cost } = row;
    const each = (amount: number) => amount / drink.shares;
    return {
      ...row,
      id: drink.id,
      strength: (100 * solution.strengthFrac).toFixed(2),
      state: stateOf(row),
      short: solution.status !== 'met',
      caffeine: each(solution.caffeineMg).toFixed(0),
      energy: each(solution.energyKcal).toFixed(0),
      sugar: each(solution.sugarG).toFixed(0),
      costText: cost.unknown.length > 0 ? `${money(cost.price)} +` : money(cost.price),
      costTitle: cost.unknown.length > 0 ? `without ${cost.unknown.join(', ')}` : '',
      margin: row.marginFrac === null ? '–' : `${(100 * row.marginFrac).toFixed(0)} %`,
      all: menu.leftInAll.get(drink.id) ?? 0,
      notes: row.cautions.filter(({ code }) => code !== 'contains_allergens'),
    };
  }),
);
/** Each thing to heed once, with the drinks that it is about. */
const cautions = computed(() => {
  const byText = new Map<string, string[]>();
  for (const { notes, drink } of rows.value)
    for (const { code, text } of notes) {
      if (['too_weak', 'no_room', 'ice_over_target'].includes(code)) continue;
      byText.set(text, [...(byText.get(text) ?? []), drink.name]);
    }
  return [...byText].map(([text, drinks]) => ({ text, drinks: drinks.join(', ') }));
});

function stateOf({ solution }: MenuRow): string {
  if (solution.status === 'met') return 'met';
  if (solution.status === 'no_room') return 'no room';
  const needs = solution.needsStrengthFrac;
  return needs === null ? 'out of reach' : `short, needs ${(100 * needs).toFixed(2)} %`;
}
const wantedOf = ({ drink, solution }: MenuRow): number =>
  'strengthFrac' in drink.target ? drink.target.strengthFrac : solution.strengthFrac;
const print = (): void => window.print();
</script>

<template>
  <div v-if="source" class="page menu">
    <header>
      <h1>The menu from {{ source.title }}</h1>
      <p class="soft">
        {{ shelf.shop?.name }} · {{ source.coffeeName }}, {{ words.pct(source.strengthFrac) }},
        {{ volume(source.onHandMl) }} {{ source.lowFrac === null ? 'on hand' : 'expected' }} ·
        {{ dayName({ at: shelf.now, zone: shelf.zone })
        }}{{ menu.iceTodayC === null ? '' : ` · all ice at ${words.temp(menu.iceTodayC)}` }}
      </p>
      <p v-if="source.lowFrac !== null" class="soft">
        It steeps still. At the low end of its range, {{ words.pct(source.lowFrac) }},
        {{
          atRisk.length > 0 ? `these are out of reach: ${atRisk.join(', ')}` : 'all of it holds'
        }}.
      </p>
      <div class="tools no-print">
        <ChoiceField
          label="From"
          :model-value="source.id"
          :options="
            sources.map((one) => ({
              value: one.id,
              label: `${one.label}, ${words.pct(one.strengthFrac)}`,
              reason: `${one.coffeeName}, ${volume(one.onHandMl)}${one.lowFrac === null ? '' : ', still steeping'}`,
            }))
          "
          @update:model-value="take"
        />
        <IceToday />
        <ElButton @click="print">Print the menu</ElButton>
        <RouterLink to="/pour">Back to the glass</RouterLink>
      </div>
    </header>
    <div class="scroll">
      <table>
        <caption class="visually-hidden">
          Every drink from this jug
        </caption>
        <thead>
          <tr>
            <th scope="col">Drink</th>
            <th scope="col" class="n">Strength, %</th>
            <th scope="col" class="rungs">
              <span class="visually-hidden">Wanted and reached</span>
              <LadderAxis />
            </th>
            <th scope="col">{{ source.lowFrac === null ? 'From this jug' : 'From this batch' }}</th>
            <th scope="col" class="n">Caffeine, mg</th>
            <th scope="col" class="n">kcal</th>
            <th scope="col" class="n">Sugar, g</th>
            <th scope="col" class="n money">Cost</th>
            <th scope="col" class="n">Price</th>
            <th scope="col" class="n money">Left of it</th>
            <th scope="col" class="n no-print">
              {{ source.lowFrac === null ? 'In this jug' : 'It makes' }}
            </th>
            <th scope="col" class="n no-print">In all jugs</th>
            <th scope="col">Contains</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id" @click="router.push(`/pour?drink=${row.id}`)">
            <th scope="row">
              <RouterLink :to="`/pour?drink=${row.id}`">{{ row.drink.name }}</RouterLink>
              <span v-if="row.drink.shares > 1" class="soft"> for {{ row.drink.shares }}</span>
            </th>
            <td class="n big">{{ row.strength }}</td>
            <td class="rungs">
              <StrengthRung
                :wanted-frac="wantedOf(row)"
                :reached-frac="row.solution.strengthFrac"
                :short="row.short"
              />
            </td>
            <td :class="row.short ? 'due' : 'resting'">{{ row.state }}</td>
            <td class="n">{{ row.caffeine }}</td>
            <td class="n">{{ row.energy }}</td>
            <td class="n">{{ row.sugar }}</td>
            <td class="n money" :title="row.costTitle">{{ row.costText }}</td>
            <td class="n">{{ money(row.drink.price) }}</td>
            <td class="n money">{{ row.margin }}</td>
            <td class="n no-print">{{ row.left }}</td>
            <td class="n no-print">{{ row.all }}</td>
            <td>{{ row.allergens.join(', ') || '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <section v-if="cautions.length > 0" class="heed" aria-labelledby="heed">
      <h2 id="heed">To heed</h2>
      <ul>
        <li v-for="caution in cautions" :key="caution.text">
          <strong>{{ caution.drinks }}:</strong> {{ caution.text }}
        </li>
      </ul>
      <p class="soft">
        Caffeine, energy and sugar are for each share. Costs with a + leave out what has no price on
        the shelf. Check the packages for allergens; the local food code decides.
      </p>
    </section>
  </div>
  <div v-else class="page empty">
    <h1>No concentrate is on hand</h1>
    <p>The menu is reckoned from a jug. Strain a batch into one first.</p>
    <p><RouterLink to="/steep">See what is steeping</RouterLink></p>
  </div>
</template>

<style scoped>
.page {
  padding: 20px 24px;
}

header {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: end;
  gap: 0 24px;
  padding-bottom: 10px;
}

.tools {
  display: flex;
  grid-row: 1 / span 2;
  grid-column: 2;
  align-items: center;
  gap: 14px;
}

.tools > :deep(.el-select) {
  width: 215px;
}

.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--t13);
}

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

.heed {
  max-width: 74rem;
  padding-top: 14px;
  font-size: var(--t13);
}

@media (max-width: 900px) {
  header {
    grid-template-columns: 1fr;
  }

  .tools {
    grid-row: auto;
    grid-column: 1;
    flex-wrap: wrap;
  }
}

@media print {
  @page {
    size: A4 landscape;
    margin: 10mm;
  }

  .page {
    padding: 0;
  }

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

  .heed {
    font-size: 7.5pt;
    line-height: 1.25;
  }

  .due,
  .resting {
    color: #000;
  }

  .money {
    display: none;
  }
}
</style>
