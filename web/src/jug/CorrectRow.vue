<script setup lang="ts">
import { correctableOf, type JugEntry } from '@ratio/core/jug';
import type { Expected } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { computed, ref } from 'vue';
import { STRENGTH, pouredKind, type AmountFormat } from '../format/index.ts';
import { ActButton, AmountRow, TextRow, useRefusals } from '../ui/fields/index.ts';

/** What an entry of a ledger really was, and why: the entry stays beside it. */
const props = defineProps<{
  entry: JugEntry;
  /** Of what is in the jug, g/mL. */
  gPerMl: number;
  doing: boolean;
  format: AmountFormat;
}>();
const emit = defineEmits<{
  correct: [entered: { massG?: number; volumeMl?: number; strengthFrac?: number; reason: string }];
  leave: [];
}>();
useRefusals();

const parts = computed(() => correctableOf(props.entry.kind));
const amount = ref<{ massG: number } | { volumeMl: number } | null>(null);
const strengthFrac = ref<number | null>(null);
const reason = ref('');
const shownMl = computed(() => {
  if (amount.value === null) return null;
  return 'massG' in amount.value ? amount.value.massG / props.gPerMl : amount.value.volumeMl;
});
/** It stays as it was seen: by volume or by mass. */
function setAmount(volumeMl: number, quantity: Expected): void {
  amount.value = quantity === 'mass' ? { massG: volumeMl * props.gPerMl } : { volumeMl };
}
const untold = computed(() => amount.value === null && strengthFrac.value === null);
const act = (): void =>
  emit('correct', {
    ...(amount.value ?? {}),
    ...(strengthFrac.value === null ? {} : { strengthFrac: strengthFrac.value }),
    reason: reason.value,
  });
</script>

<template>
  <form class="correct" aria-label="Correct this entry" @submit.prevent>
    <AmountRow
      v-if="parts.includes('amount')"
      :label="`It was, ${format.pouredOrWeighed}`"
      name="What the amount really was"
      :placeholder="format.mass(Math.abs(entry.countedG ?? entry.massG))"
      :value="shownMl"
      :kind="pouredKind(format, { step: 10, min: 0, max: 200000, gPerMl })"
      @change="setAmount"
    />
    <AmountRow
      v-if="parts.includes('strength')"
      label="Strength"
      name="What the strength really was"
      :placeholder="entry.strengthFrac === null ? '3.4 %' : format.percent(entry.strengthFrac)"
      :value="strengthFrac"
      :kind="STRENGTH"
      @change="(frac) => (strengthFrac = frac)"
    />
    <TextRow
      label="Because"
      name="Why it is corrected"
      live
      placeholder="misread the scale"
      :value="reason"
      @change="reason = $event"
    />
    <div class="do">
      <ActButton :disabled="untold || reason === ''" :doing @act="act">{{
        untold ? 'Say what it was' : reason === '' ? 'Say why' : 'Correct it'
      }}</ActButton>
      <ElButton text @click="emit('leave')">Leave it</ElButton>
    </div>
  </form>
</template>

<style scoped>
.correct {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  align-items: end;
  gap: 8px 20px;
  padding: 6px 0 12px;
}

.do {
  display: flex;
  gap: 8px;
}

.do :deep(.el-button) {
  margin: 0;
}
</style>
