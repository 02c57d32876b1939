<script setup lang="ts">
import { GRIND_NAMES } from '@ratio/core/coffee';
import type { LogSort } from '@ratio/core/log';
import { ElButton, ElCheckbox, ElInput, ElPagination } from 'element-plus';
import 'element-plus/theme-chalk/el-checkbox.css';
import 'element-plus/theme-chalk/el-pagination.css';
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import LogWays from './LogWays.vue';
import { useLogColumns } from './useLogColumns.ts';
import { useLogPage } from './useLogPage.ts';
import { useShop } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { ChoiceField, DateField } from '../ui/fields/index.ts';
import { FoldAway, WrongAddress } from '../ui/figures/index.ts';
import { LazyDataTable as DataTable } from '../ui/tables/index.ts';

/** Every batch as a line: found by words, coffee, grind and date. */
const shop = useShop();
const session = useSession();
const router = useRouter();
const log = useLogPage();
const { query, wrong, typed, change, lines, total, pages, state, failure, load, coffees } = log;

const SORTS: readonly { value: LogSort; label: string }[] = [
  { value: 'date', label: 'by date' },
  { value: 'coffee', label: 'by coffee' },
  { value: 'strength', label: 'by strength' },
  { value: 'grind', label: 'by grind' },
  { value: 'vessel', label: 'by vessel' },
];
/** What stands first, falling and rising. */
const FIRST: Readonly<Record<LogSort, { desc: string; asc: string }>> = {
  date: { desc: 'newest first', asc: 'oldest first' },
  strength: { desc: 'strongest first', asc: 'weakest first' },
  coffee: { desc: 'Z to A', asc: 'A to Z' },
  grind: { desc: 'Z to A', asc: 'A to Z' },
  vessel: { desc: 'Z to A', asc: 'A to Z' },
};
const GRINDS = [
  { value: '' as const, label: 'every grind' },
  ...GRIND_NAMES.map((value) => ({ value, label: value })),
];
/** Two that are picked stand side by side; null while nobody compares. */
const picked = ref<readonly string[] | null>(null);
function pick(id: string): void {
  const before = picked.value ?? [];
  picked.value = before.includes(id)
    ? before.filter((one) => one !== id)
    : [...before, id].slice(-2);
}
const columns = useLogColumns(() => picked.value !== null);
const { coffee, grind, from, to } = query.value;
/** Where less than all is asked for, it shows by what. */
const isNarrowed = ref([coffee, grind, from, to].some((asked) => asked !== ''));
const dates = computed(() => [
  { key: 'from' as const, label: 'From', date: query.value.from || null },
  { key: 'to' as const, label: 'To', date: query.value.to || null },
]);
</script>

<template>
  <div class="page log">
    <LogWays title="The log" />
    <p class="out no-print">
      <RouterLink v-if="session.can('leads')" to="/log/import">Take an old log in</RouterLink>
      <a v-if="session.can('leads')" href="/api/export/batches.csv" download>As CSV</a>
    </p>
    <div class="seek no-print" role="search">
      <ElInput
        v-model="typed"
        clearable
        aria-label="Words to find"
        placeholder="coffee, vessel, note, who"
      />
      <FoldAway v-model:open="isNarrowed" class="narrow" title="Narrow and sort">
        <div class="by">
          <ChoiceField
            :model-value="query.coffee"
            label="Coffee"
            :options="coffees"
            @update:model-value="change({ coffee: $event })"
          />
          <ChoiceField
            :model-value="query.grind"
            label="Grind"
            :options="GRINDS"
            @update:model-value="change({ grind: $event })"
          />
          <DateField
            v-for="one in dates"
            :key="one.key"
            :label="one.label"
            :placeholder="one.label.toLowerCase()"
            :date="one.date"
            :now="shop.now"
            :zone="shop.zone"
            @change="change({ [one.key]: $event })"
          />
          <ChoiceField
            :model-value="query.sort"
            label="Order"
            :options="SORTS"
            @update:model-value="change({ sort: $event })"
          />
          <LinkButton @click="change({ order: query.order === 'asc' ? 'desc' : 'asc' })">{{
            FIRST[query.sort][query.order]
          }}</LinkButton>
          <LinkButton
            v-if="query.from !== '' || query.to !== ''"
            @click="change({ from: '', to: '' })"
            >every day</LinkButton
          >
        </div>
      </FoldAway>
    </div>
    <WrongAddress :wrong @leave="change({})" />
    <p v-if="state === 'failed'" class="due" role="alert">
      {{ failure }} <LinkButton @click="load">Try again</LinkButton>
    </p>
    <template v-else-if="lines.length > 0">
      <p class="soft count" role="status">
        {{ total }} batch{{ total === 1 ? '' : 'es' }}
        <LinkButton v-if="picked === null" class="no-print" @click="picked = []"
          >Compare two</LinkButton
        >
        <ElButton
          v-else-if="picked.length === 2"
          type="primary"
          class="no-print"
          @click="router.push(`/log/compare?a=${picked![0]}&b=${picked![1]}`)"
          >Compare these two</ElButton
        >
        <span v-else>Pick {{ picked.length === 0 ? 'two' : 'another one' }} to compare.</span>
      </p>
      <DataTable
        label="Batches"
        :rows="lines"
        :key-of="({ id }) => id"
        :columns
        :row-class="({ isOutside }) => (isOutside ? 'outside' : '')"
      >
        <template #date-cell="{ row }"
          ><RouterLink :to="`/log/batch/${row.id}`">{{ row.date }}</RouterLink></template
        >
        <template #pick-cell="{ row }">
          <ElCheckbox
            :model-value="picked?.includes(row.id) ?? false"
            :aria-label="`Compare ${row.coffee}, ${row.date}`"
            @change="pick(row.id)"
          />
        </template>
        <template #found-cell="{ row }">
          <b>{{ row.found }}</b>
          <span class="off" :class="{ due: row.isOutside }">{{ row.off }}</span>
        </template>
        <template #below>
          <ElPagination
            v-if="pages > 1"
            class="no-print"
            layout="prev, pager, next"
            :current-page="query.page"
            :page-count="pages"
            :pager-count="7"
            @update:current-page="change({ page: $event })"
          />
        </template>
      </DataTable>
    </template>
    <div v-else-if="state === 'ready'" class="empty">
      <h2>
        {{
          query.text || query.coffee || query.grind || query.from || query.to
            ? 'Nothing is found'
            : 'No batch yet'
        }}
      </h2>
      <p>Every batch that is started stands here, with what was predicted and what came out.</p>
      <p>
        <LinkButton v-if="query.text" @click="typed = ''">Show every batch</LinkButton>
        <RouterLink v-else to="/plan">Plan a batch</RouterLink>
      </p>
    </div>
  </div>
</template>

<style scoped>
.seek {
  display: grid;
  grid-template-columns: minmax(160px, 2fr) repeat(5, minmax(110px, 1fr)) auto auto;
  align-items: center;
  gap: 8px 12px;
  padding: 10px 0;
}

.narrow,
.by {
  display: contents;
}

/* One row of fields that look alike. */
.seek :deep(:is(.chosen, .el-input__wrapper, .el-select__wrapper)) {
  min-height: var(--touch);
  border: 1px solid var(--hairline-strong);
  border-radius: 4px;
  padding: 0 10px;
  background: transparent;
  box-shadow: none;
  font-size: var(--t15);
  font-weight: 400;
}

.seek :deep(:is(.is-focus, .is-focused)) {
  border-color: var(--action);
}

.seek :deep(:is(.el-input__inner, .el-select__selected-item)) {
  font-size: var(--t15);
  font-weight: 400;
}

.seek .is-link {
  justify-self: start;
}

.out {
  display: flex;
  gap: 18px;
  margin-top: 6px;
  font-size: var(--t13);
}

.count {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 48px;
}

.off {
  display: inline-block;
  min-width: 4.6em;
  font-size: var(--t13);
}

.page :deep(.outside td) {
  background: var(--paper);
}

@media (max-width: 1000px) {
  .seek {
    grid-template-columns: 1fr 1fr;
  }

  .seek > :first-child {
    grid-column: 1 / -1;
  }
}

@media (max-width: 640px) {
  .narrow {
    display: block;
    grid-column: 1 / -1;
  }

  .by {
    display: grid;
    grid-template-columns: 1fr 1fr;
    align-items: center;
    gap: 8px 12px;
  }
}
</style>
