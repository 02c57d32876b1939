<script setup lang="ts">
import { BLIND_KINDS, leastRight, powerFrac, type BlindKind } from '@ratio/core/tasting';
import { ElButton, ElInputNumber } from 'element-plus';
import 'element-plus/theme-chalk/el-input-number.css';
import { computed, ref, watch } from 'vue';
import { KIND_NAMES } from './kindNames.ts';
import { ChoiceField } from '../ui/fields/index.ts';

/** Two things to compare, how, and by how many. */
const props = defineProps<{ tasted: readonly { value: string; label: string }[] }>();
const emit = defineEmits<{ begin: [kind: BlindKind, a: string, b: string, tasters: number] }>();

const kind = ref<BlindKind>('triangle');
const a = ref(props.tasted[0]!.value);
const b = ref(props.tasted[1]!.value);
// A jug may be emptied meanwhile: who begins says what is poured instead.
watch(
  () => props.tasted,
  (tasted) => {
    for (const one of [a, b]) if (!tasted.some(({ value }) => value === one.value)) one.value = '';
  },
);
const refusal = computed(() => {
  if (a.value === '' || b.value === '') return 'It is not on hand any more: take another';
  return a.value === b.value ? 'Take two different ones' : '';
});
const tasters = ref(12);
const kinds = BLIND_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }));
/** What so many answers can show, before anybody has poured. */
const text = computed(() => {
  const least = leastRight(kind.value, tasters.value);
  if (least === null) return 'So few answers cannot show anything: take more.';
  const missed = Math.round(100 * (1 - powerFrac(kind.value, tasters.value)));
  const what =
    kind.value === 'preference'
      ? 'on one side show a preference'
      : 'right answers show a difference';
  return `${least} ${what}. A difference that 4 people in 10 can tell is missed ${missed} times in 100.`;
});
</script>

<template>
  <div class="begin">
    <ChoiceField v-model="kind" label="How it is compared" :options="kinds" />
    <ChoiceField v-model="a" label="The one" :options="tasted" />
    <ChoiceField v-model="b" label="The other" :options="tasted" />
    <label class="number">
      Answers
      <ElInputNumber v-model="tasters" :min="2" :max="200" aria-label="How many answers" />
    </label>
    <p class="soft">{{ text }}</p>
    <ElButton
      type="primary"
      :disabled="refusal !== ''"
      @click="emit('begin', kind, a, b, tasters)"
      >{{ refusal || 'Begin' }}</ElButton
    >
  </div>
</template>

<style scoped>
.begin {
  display: grid;
  justify-items: start;
  gap: 10px;
}

.number {
  display: flex;
  align-items: center;
  gap: 12px;
}
</style>
