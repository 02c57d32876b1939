<script setup lang="ts">
import type { Vessel } from '@ratio/core/brew';
import { ElButton, ElDialog, ElUpload } from 'element-plus';
import 'element-plus/theme-chalk/el-overlay.css';
import 'element-plus/theme-chalk/el-dialog.css';
import 'element-plus/theme-chalk/el-upload.css';
import { computed, ref } from 'vue';
import { measuredKind, percentKind, tempKind } from '../../components/fields/amountKind.ts';
import AmountField from '../../components/fields/AmountField.vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import TextField from '../../components/fields/TextField.vue';
import type { AmountFormat } from '../../format/amountFormat.ts';
import type { Noted } from './useBench.ts';

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
  photo: [file: File];
  note: [noted: Noted, what: string];
  split: [of: { vesselId: string; shareFrac: number; note: string }];
}>();

type Open = 'read' | 'temperature' | 'decanted' | 'split' | 'spilled' | 'abandoned' | 'remarked';
const TITLES: Readonly<Record<Open, string>> = {
  read: 'A drop was read',
  temperature: 'How warm it is inside',
  decanted: 'Into another vessel',
  split: 'Split it over two vessels',
  spilled: 'Some of it was spilt',
  abandoned: 'Give this batch up',
  remarked: 'A remark',
};
const open = ref<Open | null>(null);
const isOpen = computed({
  get: () => open.value !== null,
  set: (is: boolean) => void (is || (open.value = null)),
});
const frac = ref<number | null>(null);
const tempC = ref<number | null>(null);
const massG = ref<number | null>(null);
const text = ref('');
const vesselId = ref('');
function show(what: Open): void {
  [frac.value, tempC.value, text.value] = [what === 'split' ? 0.5 : null, null, ''];
  massG.value = null;
  vesselId.value = (what === 'split' ? props.vessels : whole.value)[0]?.id ?? '';
  open.value = what;
}
/** Those that take all of it. */
const whole = computed(() => props.vessels.filter(({ brimMl }) => brimMl >= props.wholeMl));
const isSplit = computed(
  () => vesselId.value !== '' && frac.value !== null && text.value.trim() !== '',
);
const otherPlace = computed(() => (props.place === 'fridge' ? 'counter' : 'fridge'));
const noted = computed<Noted | null>(() => {
  const note = text.value.trim();
  switch (open.value) {
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
  if (open.value === 'split' && isSplit.value) {
    emit('split', {
      vesselId: vesselId.value,
      shareFrac: frac.value!,
      note: text.value.trim(),
    });
    open.value = null;
    return;
  }
  if (noted.value === null || open.value === null) return;
  emit('note', noted.value, TITLES[open.value]);
  open.value = null;
}
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
      <ElButton @click="show('read')">Read a drop</ElButton>
      <ElButton @click="show('temperature')">Temperature</ElButton>
      <ElButton @click="move">
        {{ otherPlace === 'fridge' ? 'Put into the fridge' : 'Put on the counter' }}
      </ElButton>
      <ElButton :disabled="whole.length === 0" @click="show('decanted')">Other vessel</ElButton>
      <ElButton :disabled="vessels.length === 0" @click="show('split')">Split</ElButton>
      <ElButton @click="show('spilled')">Spilt</ElButton>
      <ElButton @click="show('remarked')">Remark</ElButton>
      <ElUpload
        class="photo"
        accept="image/*"
        :auto-upload="false"
        :show-file-list="false"
        @change="(file) => file.raw && emit('photo', file.raw)"
      >
        <!-- The upload is the button itself; this only looks like the others. -->
        <span class="el-button">Photograph</span>
      </ElUpload>
      <ElButton @click="show('abandoned')">Give it up</ElButton>
    </p>
    <ElDialog
      v-model="isOpen"
      :title="open ? TITLES[open] : ''"
      width="min(92vw, 420px)"
      append-to-body
    >
      <form v-if="open" class="fields" @submit.prevent="keep">
        <AmountField
          v-if="open === 'read'"
          label="Strength of the drop"
          placeholder="3.4 %"
          size="middle"
          :value="frac"
          :kind="percentKind({ step: 0.0001, min: 0.001, max: 0.3 })"
          @change="(value) => (frac = value)"
        />
        <AmountField
          v-if="open === 'split'"
          label="Share that goes over"
          size="middle"
          :value="frac"
          :kind="percentKind({ step: 0.05, min: 0.05, max: 0.95, decimals: 0 })"
          @change="(value) => (frac = value)"
        />
        <AmountField
          v-if="open === 'temperature'"
          label="Temperature of the slurry"
          :placeholder="format.temp(4)"
          size="middle"
          :value="tempC"
          :kind="tempKind(format, { step: 0.5, min: 0, max: 100 })"
          @change="(value) => (tempC = value)"
        />
        <AmountField
          v-if="open === 'spilled'"
          label="How much was spilt"
          :placeholder="format.mass(300)"
          size="middle"
          :value="massG"
          :kind="measuredKind(format, { step: 50, min: 1, max: wholeMl, gPerMl: 1 })"
          @change="(value) => (massG = value)"
        />
        <ChoiceField
          v-if="open === 'decanted' || open === 'split'"
          v-model="vesselId"
          label="Vessel"
          :options="
            (open === 'split' ? vessels : whole).map(({ id, name }) => ({ value: id, label: name }))
          "
        />
        <TextField
          v-if="!['read', 'temperature', 'spilled'].includes(open)"
          :label="open === 'remarked' ? 'Remark' : 'Why'"
          :placeholder="open === 'remarked' ? 'what you saw' : 'why: it is kept with the batch'"
          live
          :value="text"
          @change="(next) => (text = next)"
        />
        <p v-if="open === 'abandoned'" class="soft">
          The steep ends and the vessel is free. What was noted stays. This can be taken back.
        </p>
        <ElButton
          type="primary"
          native-type="submit"
          :disabled="open === 'split' ? !isSplit : noted === null"
        >
          {{ open === 'abandoned' ? 'Give it up' : open === 'split' ? 'Split it' : 'Note it' }}
        </ElButton>
      </form>
    </ElDialog>
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

.fields {
  display: grid;
  gap: 14px;
}
</style>
