<script setup lang="ts">
import type { JugEntry } from '@ratio/core/jug';
import { ElButton } from 'element-plus';
import { clockTime } from '../../format/formatClock.ts';

/** What was done to a jug, the latest first. Nothing is ever overwritten. */
defineProps<{
  entries: readonly JugEntry[];
  zone: string;
  writeMass: (massG: number) => string;
  writePercent: (frac: number) => string;
}>();
const emit = defineEmits<{ undo: [entry: JugEntry] }>();

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
};
const signed = (massG: number, write: (massG: number) => string): string =>
  massG === 0 ? '' : `${massG > 0 ? '+' : '−'}${write(Math.abs(massG))}`;
</script>

<template>
  <section aria-labelledby="ledger">
    <h2 id="ledger">Ledger</h2>
    <table>
      <thead class="visually-hidden">
        <tr>
          <th scope="col">When</th>
          <th scope="col">What</th>
          <th scope="col">Amount</th>
          <th scope="col">Strength from then on</th>
          <th scope="col">Note</th>
          <th scope="col">Take back</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in entries.slice(0, 40)" :key="entry.id" :class="{ undone: entry.undone }">
          <td class="figures">{{ clockTime({ at: new Date(entry.at), zone }) }}</td>
          <td>{{ KINDS[entry.kind] }}<template v-if="entry.undone">, undone</template></td>
          <td class="figures amount">{{ signed(entry.massG, writeMass) }}</td>
          <td class="figures">
            {{ entry.strengthFrac === null ? '' : writePercent(entry.strengthFrac) }}
          </td>
          <td class="soft">{{ entry.note }}</td>
          <td>
            <ElButton
              v-if="canBeUndone(entry)"
              link
              class="text-button"
              :aria-label="`Take back: ${KINDS[entry.kind]} ${signed(entry.massG, writeMass)}`"
              @click="emit('undo', entry)"
              >Take back</ElButton
            >
          </td>
        </tr>
      </tbody>
    </table>
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

.undone td {
  color: var(--past);
  text-decoration: line-through;
}
</style>
