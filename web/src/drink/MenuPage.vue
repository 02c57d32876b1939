<script setup lang="ts">
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { useDrinks } from './drinks.ts';
import IceToday from './IceToday.vue';
import { useMenuFrom } from './useMenuFrom.ts';
import { useMenuTable } from './useMenuTable.ts';
import { useJugs } from '../events/index.ts';
import { dayName, inUnits, jugOption, listText } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { ChoiceField } from '../ui/fields/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const MenuTable = lazyComponent(() => import('./MenuTable.vue'));
/** The whole menu as a ladder of strengths from one jug or batch: what it reaches, holds and costs. */
const shop = useShop();
const { sources, source, rows, atRisk, take } = useMenuFrom();
const jugs = useJugs();
const drinks = useDrinks();
const format = useAmountFormat();
const router = useRouter();
const { lines, cautions } = useMenuTable(rows);

/** From here on a menu prints upright. */
const LONG = 16;
const isLong = computed(() => lines.value.length > LONG);
/** What is poured from, how strong, and how much of it there is. */
const sourceText = computed(() => {
  const { id, coffeeName, strengthFrac, lowFrac, onHandMl } = source.value;
  const { percent, volume } = format.value;
  const amount =
    jugs.isAssumed && id === jugs.chosen.id
      ? `counted from ${volume(onHandMl)}`
      : `${volume(onHandMl)} ${lowFrac === null ? 'on hand' : 'expected'}`;
  return listText([coffeeName, percent(strengthFrac), amount]);
});
const print = (): void => window.print();
</script>

<template>
  <div class="page menu" :class="{ long: isLong }">
    <header>
      <h1>The menu from {{ source.title }}</h1>
      <p class="soft">
        {{ shop.document?.name }} · {{ sourceText }} ·
        {{ dayName({ at: shop.now, zone: shop.zone })
        }}{{ drinks.iceTodayC === null ? '' : ` · all ice at ${format.temp(drinks.iceTodayC)}` }}
      </p>
      <p v-if="source.lowFrac !== null" class="soft">
        It steeps still. At the low end of its range, {{ format.percent(source.lowFrac) }},
        {{
          atRisk.length > 0 ? `these are out of reach: ${atRisk.join(', ')}` : 'all of it holds'
        }}.
      </p>
      <div class="tools no-print">
        <ChoiceField
          label="From"
          :model-value="source.id"
          :options="
            sources.map((one) =>
              jugOption(
                one,
                `${format.volume(one.onHandMl)}${one.lowFrac === null ? '' : ', still steeping'}`,
                format,
              ),
            )
          "
          @update:model-value="take"
        />
        <IceToday :temp-c="drinks.iceTodayC" :format @change="drinks.iceTodayC = $event" />
        <ElButton @click="print">Print the menu</ElButton>
        <RouterLink to="/pour">Back to the glass</RouterLink>
      </div>
    </header>
    <MenuTable
      :lines
      :is-batch="source.lowFrac !== null"
      :dense="isLong"
      @choose="(id) => router.push(`/pour?drink=${id}`)"
    >
      <section v-if="cautions.length > 0" class="cautions" aria-labelledby="cautions">
        <h2 id="cautions">Cautions</h2>
        <ul>
          <li v-for="caution in cautions" :key="caution.text">
            <strong>{{ caution.drinks.join(', ') }}:</strong>
            {{ inUnits(caution.text, format) }}
          </li>
        </ul>
        <p class="soft">
          Caffeine, energy and sugar are for each serving. Costs with a + leave out what has no
          price on the shelf. Check the packages for allergens; the local food code decides.
        </p>
      </section>
    </MenuTable>
  </div>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
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

.tools > a {
  white-space: nowrap;
}

.tools > :deep(.el-select) {
  width: 196px;
}

.tools :deep(.el-select__selected-item) {
  font-size: var(--t15);
}

.cautions {
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
  @page wide {
    size: A4 landscape;
    margin: 10mm;
  }

  :global(body:has(.menu)) {
    page: wide;
  }

  @page upright {
    size: A4 portrait;
    margin: 8mm;
  }

  :global(body:has(.menu.long)) {
    page: upright;
  }

  .long h1 {
    font-size: 14pt;
  }

  .long header,
  .long header p {
    padding: 0;
    font-size: 8pt;
  }

  .page {
    padding: 0;
  }

  .cautions {
    font-size: 7.5pt;
    line-height: 1.25;
  }

  .long .cautions {
    padding-top: 4px;
    font-size: 6.5pt;
    line-height: 1.2;
  }
}
</style>
