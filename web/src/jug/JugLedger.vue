<script setup lang="ts">
import { correctableOf, type JugEntry } from '@ratio/core/jug';
import { computed, ref } from 'vue';
import CorrectRow from './CorrectRow.vue';
import { authorOf, clockTime, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { DataTable, type DataColumn } from '../ui/tables/index.ts';

/** What was done to a jug, the latest first. Nothing is ever overwritten. */
const props = defineProps<{
  entries: readonly JugEntry[];
  zone: string;
  /** Of what is in the jug, g/mL. */
  gPerMl: number;
  /** Whether whoever stands here may correct what was done. */
  mayCorrect: boolean;
  doing: boolean;
  format: AmountFormat;
}>();
type Entered = { massG?: number; volumeMl?: number; strengthFrac?: number; reason: string };
const emit = defineEmits<{
  undo: [entry: JugEntry];
  correct: [entry: JugEntry, entered: Entered];
}>();
const correctingId = ref<string | null>(null);
function correct(entry: JugEntry, entered: Entered): void {
  emit('correct', entry, entered);
  correctingId.value = null;
}
const canBeCorrected = ({ kind, undone }: JugEntry): boolean =>
  !undone && correctableOf(kind).length > 0;

/** What can be taken back: not what it was filled with, nor one half of another jug's blend. */
const canBeUndone = ({ kind, undone }: JugEntry): boolean =>
  !undone && !['filled', 'undone', 'blended-out'].includes(kind);

const KINDS: Readonly<Record<JugEntry['kind'], string>> = {
  filled: 'filled',
  poured: 'drawn off',
  read: 'read',
  watered: 'water added',
  counted: 'counted',
  discarded: 'discarded',
  'blended-in': 'blended in',
  'blended-out': 'drawn off for a blend',
  undone: 'undone',
  corrected: 'corrected to',
};
const signed = ({ kind, massG, countedG }: JugEntry, write: (massG: number) => string): string => {
  if (kind === 'corrected') return countedG === null ? '' : write(countedG);
  return massG === 0 ? '' : `${massG > 0 ? '+' : '−'}${write(Math.abs(massG))}`;
};
const what = ({ kind, undone, corrected }: JugEntry): string =>
  `${KINDS[kind]}${undone ? ', undone' : corrected ? ', corrected' : ''}`;

const columns = computed<DataColumn<JugEntry>[]>(() => [
  {
    key: 'when',
    label: 'When',
    text: ({ at }) => clockTime({ at: new Date(at), zone: props.zone }),
    by: ({ at }) => at,
    minPx: 96,
  },
  { key: 'what', label: 'What', text: what, by: what, minPx: 120 },
  {
    key: 'amount',
    label: 'Amount',
    text: (entry) => signed(entry, props.format.mass),
    by: ({ massG }) => massG,
    isNumber: true,
    minPx: 96,
  },
  {
    key: 'strength',
    label: 'Strength from then on',
    text: ({ strengthFrac }) => (strengthFrac === null ? '' : props.format.percent(strengthFrac)),
    by: ({ strengthFrac }) => strengthFrac ?? 0,
    isNumber: true,
    minPx: 104,
  },
  { key: 'note', label: 'Note', text: ({ note }) => note, minPx: 96 },
  { key: 'who', label: 'Who', text: authorOf, minPx: 84 },
  { key: 'ways', label: 'Take back or correct', isQuiet: true, minPx: 156, on: 'screen' },
]);
</script>

<template>
  <section aria-labelledby="ledger">
    <h2 id="ledger">Ledger</h2>
    <DataTable
      label="Ledger"
      :rows="entries.slice(0, 40)"
      :key-of="({ id }) => id"
      :columns
      :open-keys="correctingId === null ? [] : [correctingId]"
      :row-class="({ undone, corrected }) => (undone ? 'undone' : corrected ? 'corrected' : '')"
    >
      <template #ways-cell="{ row }">
        <LinkButton
          v-if="canBeUndone(row)"
          :aria-label="`Take back: ${KINDS[row.kind]} ${signed(row, format.mass)}`"
          @click="emit('undo', row)"
          >Take back</LinkButton
        >
        <LinkButton
          v-if="mayCorrect && canBeCorrected(row)"
          :aria-label="`Correct: ${KINDS[row.kind]} ${signed(row, format.mass)}`"
          @click="correctingId = row.id"
          >Correct</LinkButton
        >
      </template>
      <template #more="{ row }">
        <CorrectRow
          :entry="row"
          :g-per-ml
          :doing
          :format
          @correct="correct(row, $event)"
          @leave="correctingId = null"
        />
      </template>
    </DataTable>
  </section>
</template>

<style scoped>
section :deep(.corrected td) {
  color: var(--past);
}

section :deep(.undone td) {
  color: var(--past);
  text-decoration: line-through;
}
</style>
