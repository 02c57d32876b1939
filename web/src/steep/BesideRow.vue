<script setup lang="ts">
import { whenever } from '@vueuse/core';
import type { Vessel } from '@ratio/core/brew';
import { ElButton } from 'element-plus';
import { computed, ref } from 'vue';
import type { AskedBeside, Noted } from './useBench.ts';
import type { AmountFormat } from '../format/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const BesideDialog = lazyComponent(() => import('./BesideDialog.vue'));
/** What happens to a steep beside its steps: noted as it happens, or as it was seen. */
const props = defineProps<{
  format: AmountFormat;
  /** Free vessels, and what all of it takes, mL. */
  vessels: readonly Vessel[];
  wholeMl: number;
  place: 'fridge' | 'counter';
  fridgeC: number;
  roomC: number;
}>();
const emit = defineEmits<{
  photograph: [];
  note: [noted: Noted, what: string];
  split: [of: { vesselId: string; shareFrac: number; note: string }];
}>();

const asked = ref<AskedBeside | null>(null);
const wasAsked = ref(false);
whenever(
  () => asked.value !== null,
  () => (wasAsked.value = true),
  { immediate: true },
);
/** Those that take all of it. */
const whole = computed(() => props.vessels.filter(({ brimMl }) => brimMl >= props.wholeMl));
const otherPlace = computed(() => (props.place === 'fridge' ? 'counter' : 'fridge'));
const move = (): void =>
  emit(
    'note',
    {
      kind: 'moved',
      place: otherPlace.value,
      tempC: otherPlace.value === 'fridge' ? props.fridgeC : props.roomC,
    },
    `put ${otherPlace.value === 'fridge' ? 'into the fridge' : 'on the counter'}`,
  );
</script>

<template>
  <section class="beside" aria-labelledby="beside">
    <h2 id="beside">It happened</h2>
    <p class="ways">
      <ElButton @click="emit('note', { kind: 'agitated' }, 'stirred')">Stirred</ElButton>
      <ElButton @click="asked = 'read'">Read a drop</ElButton>
      <ElButton @click="asked = 'temperature'">Temperature</ElButton>
      <ElButton @click="move">
        {{ otherPlace === 'fridge' ? 'Put into the fridge' : 'Put on the counter' }}
      </ElButton>
      <ElButton :disabled="whole.length === 0" @click="asked = 'decanted'">Other vessel</ElButton>
      <ElButton :disabled="vessels.length === 0" @click="asked = 'split'">Split</ElButton>
      <ElButton @click="asked = 'spilled'">Spilt</ElButton>
      <ElButton @click="asked = 'remarked'">Remark</ElButton>
      <ElButton @click="emit('photograph')">Photograph</ElButton>
      <ElButton @click="asked = 'abandoned'">Give it up</ElButton>
    </p>
    <BesideDialog
      v-if="wasAsked"
      v-model="asked"
      :format
      :vessels
      :whole
      :whole-ml
      @note="(noted, what) => emit('note', noted, what)"
      @split="emit('split', $event)"
    />
  </section>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 6px;
}

.ways .el-button {
  margin: 0;
  padding-inline: 12px;
  font-weight: 400;
}
</style>
