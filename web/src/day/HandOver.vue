<script setup lang="ts">
import type { CheckList } from '@ratio/core/day';
import { ElCheckbox } from 'element-plus';
import 'element-plus/theme-chalk/el-checkbox.css';
import { ref } from 'vue';
import { volumeKind, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { ActButton, AmountField, TextField } from '../ui/fields/index.ts';

/** What a shift goes through when it opens and closes: its lists, and jugs counted. */
defineProps<{
  lists: readonly {
    list: CheckList;
    name: string;
    done: number;
    items: readonly { item: string; rowId: string | null; by: string }[];
  }[];
  counts: readonly { id: string; label: string; ml: number }[];
  format: AmountFormat;
}>();
const emit = defineEmits<{
  check: [list: CheckList, item: string, rowId: string | null];
  count: [id: string, volumeMl: number, reason: string];
}>();

const countingId = ref<string | null>(null);
const countedMl = ref<number | null>(null);
const reason = ref('');
function open(id: string): void {
  countingId.value = countingId.value === id ? null : id;
  [countedMl.value, reason.value] = [null, ''];
}
function count(id: string): void {
  if (countedMl.value === null) return;
  emit('count', id, countedMl.value, reason.value.trim());
  countingId.value = null;
}
/** A scale and a reading of a mark differ by this much. */
const AGREES_ML = 50;
const differs = (ml: number): boolean =>
  countedMl.value !== null && Math.abs(countedMl.value - ml) > AGREES_ML;
</script>

<template>
  <section v-for="list in lists" :key="list.list" :aria-label="`${list.name} list`">
    <h2>
      {{ list.name }} <span class="figures">{{ list.done }}/{{ list.items.length }}</span>
    </h2>
    <ul class="checks">
      <li v-for="one in list.items" :key="one.item">
        <ElCheckbox
          :model-value="one.rowId !== null"
          @change="emit('check', list.list, one.item, one.rowId)"
          >{{ one.item }}</ElCheckbox
        >
        <span class="soft fine">{{ one.by }}</span>
      </li>
    </ul>
  </section>
  <section v-if="counts.length > 0" aria-labelledby="count-jugs" class="no-print">
    <h2 id="count-jugs">Count the jugs</h2>
    <ul>
      <li v-for="jug in counts" :key="jug.id" class="count">
        <span>{{ jug.label }}</span>
        <span class="figures">{{ format.volume(jug.ml) }}</span>
        <LinkButton @click="open(jug.id)">{{
          countingId === jug.id ? 'not now' : 'count'
        }}</LinkButton>
        <div v-if="countingId === jug.id" class="counting">
          <AmountField
            label="What is in it"
            lazy
            :kind="volumeKind(format, { step: 50, min: 0, max: 60_000 })"
            :value="countedMl"
            placeholder="1.2 L"
            @change="countedMl = $event"
          />
          <TextField
            v-if="differs(jug.ml)"
            label="Why it differs"
            placeholder="poured and not noted, spilt"
            :value="reason"
            live
            @change="reason = $event"
          />
          <ActButton
            primary
            :disabled="countedMl === null || (differs(jug.ml) && reason.trim() === '')"
            @act="count(jug.id)"
            >Counted</ActButton
          >
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
}

.fine {
  font-size: var(--t13);
}

.checks li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}

.checks :deep(.el-checkbox) {
  min-height: 36px;
  height: auto;
  margin: 0;
  white-space: normal;
}

.count {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 10px;
  font-size: var(--t13);
}

.counting {
  display: grid;
  grid-column: 1 / -1;
  gap: 8px;
  padding: 4px 0 12px;
}

h2 .figures {
  margin-left: 6px;
  font-weight: 400;
}
@media print {
  .checks :deep(.el-checkbox) {
    min-height: 0;
    height: 4.5mm;
    font-size: inherit;
  }
}
</style>
