<script setup lang="ts">
import { correctableOf, type JugEntry } from '@ratio/core/jug';
import { ElButton } from 'element-plus';
import { ref } from 'vue';
import type { AmountFormat } from '../../format/amountFormat.ts';
import { clockTime } from '../../format/formatClock.ts';
import CorrectRow from './CorrectRow.vue';

/** What was done to a jug, the latest first. Nothing is ever overwritten. */
defineProps<{
  entries: readonly JugEntry[];
  zone: string;
  /** Of what is in the jug, g/mL. */
  gPerMl: number;
  /** Whether whoever stands here may correct what was done. */
  mayCorrect: boolean;
  doing: boolean;
  format: AmountFormat;
}>();
type Told = { massG?: number; volumeMl?: number; strengthFrac?: number; reason: string };
const emit = defineEmits<{ undo: [entry: JugEntry]; correct: [entry: JugEntry, told: Told] }>();
const correctingId = ref<string | null>(null);
function correct(entry: JugEntry, told: Told): void {
  emit('correct', entry, told);
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
</script>

<template>
  <section aria-labelledby="ledger">
    <h2 id="ledger">Ledger</h2>
    <div class="sideways">
      <table>
        <thead class="visually-hidden">
          <tr>
            <th scope="col">When</th>
            <th scope="col">What</th>
            <th scope="col">Amount</th>
            <th scope="col">Strength from then on</th>
            <th scope="col">Note</th>
            <th scope="col">Who</th>
            <th scope="col">Take back or correct</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="entry in entries.slice(0, 40)" :key="entry.id">
            <tr :class="{ undone: entry.undone, corrected: entry.corrected }">
              <td class="figures">{{ clockTime({ at: new Date(entry.at), zone }) }}</td>
              <td>
                {{ KINDS[entry.kind] }}<template v-if="entry.undone">, undone</template
                ><template v-else-if="entry.corrected">, corrected</template>
              </td>
              <td class="figures amount">{{ signed(entry, format.mass) }}</td>
              <td class="figures">
                {{ entry.strengthFrac === null ? '' : format.percent(entry.strengthFrac) }}
              </td>
              <td class="soft">{{ entry.note }}</td>
              <td class="soft">{{ entry.author === 'unsigned' ? '' : entry.author }}</td>
              <td>
                <ElButton
                  v-if="canBeUndone(entry)"
                  link
                  class="text-button"
                  :aria-label="`Take back: ${KINDS[entry.kind]} ${signed(entry, format.mass)}`"
                  @click="emit('undo', entry)"
                  >Take back</ElButton
                >
                <ElButton
                  v-if="mayCorrect && canBeCorrected(entry)"
                  link
                  class="text-button"
                  :aria-label="`Correct: ${KINDS[entry.kind]} ${signed(entry, format.mass)}`"
                  @click="correctingId = entry.id"
                  >Correct</ElButton
                >
              </td>
            </tr>
            <tr v-if="correctingId === entry.id">
              <td colspan="7">
                <CorrectRow
                  :entry
                  :g-per-ml
                  :doing
                  :format
                  @correct="correct(entry, $event)"
                  @leave="correctingId = null"
                />
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
td {
  border-bottom: 1px solid var(--hairline);
  padding: 5px 14px 5px 0;
}

.amount {
  text-align: right;
}

.corrected td {
  color: var(--past);
}

.undone td {
  color: var(--past);
  text-decoration: line-through;
}
</style>
