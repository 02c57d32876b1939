<script setup lang="ts">
import type { Vessel } from '@ratio/core/brew';
import { ElButton, ElDialog } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import { computed, ref, watch } from 'vue';
import type { AskedBeside, Noted } from './useBench.ts';
import { measuredKind, percentKind, tempKind, type AmountFormat } from '../format/index.ts';
import { AmountRow, PickRow, TextRow } from '../ui/fields/index.ts';

/** What is asked about something that happened to a steep, one question at a time. */
const props = defineProps<{
  format: AmountFormat;
  /** Free vessels, those of them that take all of it, and how much that is, mL. */
  vessels: readonly Vessel[];
  whole: readonly Vessel[];
  wholeMl: number;
}>();
const emit = defineEmits<{
  note: [noted: Noted, what: string];
  split: [of: { vesselId: string; shareFrac: number; note: string }];
}>();
/** What happened; null while nothing is asked. */
const asked = defineModel<AskedBeside | null>({ required: true });

const TITLES: Readonly<Record<AskedBeside, string>> = {
  read: 'A drop was read',
  temperature: 'How warm it is inside',
  decanted: 'Into another vessel',
  split: 'Split it over two vessels',
  spilled: 'Some of it was spilt',
  abandoned: 'Give this batch up',
  remarked: 'A remark',
};
const isOpen = computed({
  get: () => asked.value !== null,
  set: (is: boolean) => void (is || (asked.value = null)),
});
const frac = ref<number | null>(null);
const tempC = ref<number | null>(null);
const massG = ref<number | null>(null);
const text = ref('');
const vesselId = ref('');
watch(
  asked,
  (what) => {
    if (what === null) return;
    frac.value = what === 'split' ? 0.5 : null;
    [tempC.value, massG.value, text.value] = [null, null, ''];
    vesselId.value = (what === 'split' ? props.vessels : props.whole)[0]?.id ?? '';
  },
  { immediate: true },
);
const isSplit = computed(
  () => vesselId.value !== '' && frac.value !== null && text.value.trim() !== '',
);
const noted = computed<Noted | null>(() => {
  const note = text.value.trim();
  switch (asked.value) {
    case 'read':
      return frac.value === null ? null : { kind: 'read', strengthFrac: frac.value };
    case 'temperature':
      return tempC.value === null ? null : { kind: 'temperature', tempC: tempC.value };
    case 'spilled':
      return massG.value === null ? null : { kind: 'spilled', massG: massG.value };
    case 'decanted':
      return vesselId.value === '' || note === ''
        ? null
        : { kind: 'decanted', vesselId: vesselId.value, note };
    case 'abandoned':
      return note === '' ? null : { kind: 'abandoned', note };
    case 'remarked':
      return note === '' ? null : { kind: 'remarked', note };
    default:
      return null;
  }
});
function keep(): void {
  if (asked.value === 'split' && isSplit.value)
    emit('split', {
      vesselId: vesselId.value,
      shareFrac: frac.value!,
      note: text.value.trim(),
    });
  else if (asked.value !== null && noted.value !== null)
    emit('note', noted.value, TITLES[asked.value]);
  else return;
  asked.value = null;
}
</script>

<template>
  <ElDialog
    v-model="isOpen"
    :title="asked ? TITLES[asked] : ''"
    width="min(92vw, 420px)"
    append-to-body
  >
    <form v-if="asked" class="fields" @submit.prevent="keep">
      <AmountRow
        v-if="asked === 'read'"
        label="Strength of the drop"
        placeholder="3.4 %"
        :value="frac"
        :kind="percentKind({ step: 0.0001, min: 0.001, max: 0.3 })"
        @change="(value) => (frac = value)"
      />
      <AmountRow
        v-if="asked === 'split'"
        label="Share that goes over"
        :value="frac"
        :kind="percentKind({ step: 0.05, min: 0.05, max: 0.95, decimals: 0 })"
        @change="(value) => (frac = value)"
      />
      <AmountRow
        v-if="asked === 'temperature'"
        label="Temperature of the slurry"
        :placeholder="format.temp(4)"
        :value="tempC"
        :kind="tempKind(format, { step: 0.5, min: 0, max: 100 })"
        @change="(value) => (tempC = value)"
      />
      <AmountRow
        v-if="asked === 'spilled'"
        label="How much was spilt"
        :placeholder="format.mass(300)"
        :value="massG"
        :kind="measuredKind(format, { step: 50, min: 1, max: wholeMl, gPerMl: 1 })"
        @change="(value) => (massG = value)"
      />
      <PickRow
        v-if="asked === 'decanted' || asked === 'split'"
        v-model="vesselId"
        label="Vessel"
        :options="
          (asked === 'split' ? vessels : whole).map(({ id, name }) => ({ value: id, label: name }))
        "
      />
      <TextRow
        v-if="!['read', 'temperature', 'spilled'].includes(asked)"
        :label="asked === 'remarked' ? 'Remark' : 'Why'"
        :placeholder="asked === 'remarked' ? 'what you saw' : 'it is kept with the batch'"
        live
        :value="text"
        @change="(next) => (text = next)"
      />
      <p v-if="asked === 'abandoned'" class="soft">
        The steep ends and the vessel is free. What was noted stays. This can be taken back.
      </p>
      <ElButton
        type="primary"
        native-type="submit"
        :disabled="asked === 'split' ? !isSplit : noted === null"
      >
        {{ asked === 'abandoned' ? 'Give it up' : asked === 'split' ? 'Split it' : 'Note it' }}
      </ElButton>
    </form>
  </ElDialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}
</style>
