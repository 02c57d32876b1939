<script setup lang="ts">
import { calibrationOf, type Instrument, type Sample } from '@ratio/core/instruments';
import { ElButton, ElInput } from 'element-plus';
import { computed, ref } from 'vue';
import DropReading from './DropReading.vue';
import { massKind, numberKind, tempKind, type AmountFormat } from '../format/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { AmountRow, ChoiceField, ChoiceRow, PickButtons, TextRow } from '../ui/fields/index.ts';

/** One instrument: what speaks for it, where it hangs, and setting it by something known. */
const props = defineProps<{
  instrument: Instrument;
  sample: Sample | null;
  format: AmountFormat;
  /** Coffee strength, %, of a degree Brix. */
  brixToStrength: number;
  /** What steeps now, for a probe that hangs in it. */
  batches: readonly { id: string; text: string }[];
  /** When and under which name it is set now. */
  stamp: () => { at: string; author: string };
  /** Whether this browser reaches serial ports; whether this one is open here. */
  hasSerial: boolean;
  isOpenHere: boolean;
}>();
const emit = defineEmits<{
  change: [change: Partial<Instrument>, what: string];
  act: [request: { act: 'tare' } | { act: 'try'; massG?: number; brix?: number }];
  port: [baudRate: number];
  close: [];
  takeAway: [];
}>();

type By = Instrument['driver']['by'];
const WAYS: readonly { value: By; text: string }[] = [
  { value: 'simulated', text: 'a stand-in' },
  { value: 'tcp', text: 'the network' },
  { value: 'serial', text: 'a tablet’s port' },
];
/** The usual speed of a bench scale's port (common practice). */
const BAUD = 9600;

const places = computed(() => [
  { value: 'fridge', label: 'the fridge' },
  { value: 'counter', label: 'the counter' },
  ...props.batches.map(({ id, text }) => ({ value: `in ${id}`, label: text })),
]);
const hangsIn = computed({
  get: () => {
    const { place, batchId } = props.instrument;
    return batchId === null ? (place ?? '') : `in ${batchId}`;
  },
  set: (next: string) => {
    const batchId = next.startsWith('in ') ? next.slice(3) : null;
    const place = batchId === null ? (next as 'fridge' | 'counter') : null;
    emit('change', { batchId, place }, 'where it hangs');
  },
});
const address = ref<string | null>(null);
const shownAddress = computed(() => {
  const { driver } = props.instrument;
  return address.value ?? (driver.by === 'tcp' ? `${driver.host}:${driver.portNumber}` : '');
});
const parsed = computed(() => {
  const match = /^([\w.-]+|\[[\da-f:]+\]):(\d{1,5})$/i.exec(shownAddress.value.trim());
  const portNumber = Number(match?.[2]);
  return match && portNumber > 0 && portNumber < 65_536
    ? { host: match[1]!.replaceAll(/[[\]]/g, ''), portNumber }
    : null;
});
const asked = ref<By | null>(null);
const by = computed(() => asked.value ?? props.instrument.driver.by);
function setDriver(next: By): void {
  asked.value = next;
  if (next === 'simulated') emit('change', { driver: { by: next, seed: 1 } }, 'a stand-in');
  if (next === 'serial') emit('change', { driver: { by: next } }, 'at a tablet’s port');
}
function setAddress(): void {
  if (!parsed.value) return;
  emit('change', { driver: { by: 'tcp', ...parsed.value } }, 'its address');
  address.value = null;
  asked.value = null;
}

const known = ref<number | null>(null);
/** What it shows without its calibration. */
const raw = computed(() => {
  const { sample, instrument } = props;
  if (!sample) return null;
  const { proportion, plusG, plusC, plusBrix } = instrument.calibration ?? {
    proportion: 1,
    plusG: 0,
    plusC: 0,
    plusBrix: 0,
  };
  if (sample.massG !== null) return (sample.massG - plusG) / proportion;
  if (sample.tempC !== null) return (sample.tempC - plusC) / proportion;
  return sample.brix === null ? null : (sample.brix - plusBrix) / proportion;
});
const found = computed(() =>
  known.value === null || raw.value === null
    ? null
    : calibrationOf({ kind: props.instrument.kind, shown: raw.value, known: known.value }),
);
const KNOWN = {
  scale: { label: 'A known mass lies on it', hint: '1000 g' },
  refractometer: { label: 'A known solution is on it, °Bx', hint: '0 for water' },
  probe: { label: 'It hangs in', hint: '0 °C in ice water' },
} as const;
const knownKind = computed(() => {
  const { kind } = props.instrument;
  if (kind === 'scale') return massKind(props.format, { step: 10, min: 1, max: 60_000 });
  if (kind === 'probe') return tempKind(props.format, { step: 0.1, min: -20, max: 100 });
  return numberKind({ step: 0.1, min: 0, max: 40, decimals: 1 });
});
function calibrate(): void {
  if (!found.value) return;
  emit('change', { calibration: { ...found.value, ...props.stamp() } }, 'calibrated');
  known.value = null;
}
const TRIES = [500, 1000, 0];
</script>

<template>
  <div class="card">
    <div class="field-grid">
      <TextRow
        label="Name"
        needed
        :value="instrument.name"
        @change="emit('change', { name: $event }, 'renamed')"
      />
      <ChoiceRow label="Reached by">
        <PickButtons
          :model-value="by"
          label="Reached by"
          :options="WAYS"
          @update:model-value="$event && setDriver($event)"
        />
      </ChoiceRow>
      <ChoiceRow v-if="instrument.kind === 'probe'" label="Hangs in">
        <ChoiceField v-model="hangsIn" label="Hangs in" :options="places" />
      </ChoiceRow>
      <ChoiceRow v-if="by === 'tcp'" label="Address on the shop’s network">
        <div class="bare">
          <ElInput
            :model-value="shownAddress"
            aria-label="Address on the shop’s network"
            placeholder="192.168.0.40:4001"
            autocomplete="off"
            @update:model-value="address = $event"
            @keydown.enter="setAddress"
            @blur="setAddress"
          />
          <p v-if="shownAddress !== '' && !parsed" class="due fine" role="alert">
            A name or an address, a colon and a port: 192.168.0.40:4001.
          </p>
        </div>
      </ChoiceRow>
      <AmountRow
        :label="KNOWN[instrument.kind].label"
        :placeholder="KNOWN[instrument.kind].hint"
        :value="known"
        :kind="knownKind"
        @change="(value) => (known = value)"
      />
    </div>
    <DropReading v-if="instrument.kind === 'refractometer'" :sample :brix-to-strength :format />
    <p class="ways">
      <ElButton :disabled="!found" @click="calibrate">
        {{
          known !== null && raw !== null && !found
            ? 'Too far off: something else is wrong'
            : 'Calibrate it by that'
        }}
      </ElButton>
      <ElButton
        v-if="instrument.calibration"
        @click="emit('change', { calibration: null }, 'as it was made')"
        >Without calibration</ElButton
      >
      <ElButton v-if="instrument.kind === 'scale'" @click="emit('act', { act: 'tare' })"
        >Tare</ElButton
      >
      <template v-if="by === 'serial'">
        <ElButton v-if="isOpenHere" @click="emit('close')">Close its port</ElButton>
        <ElButton v-else-if="hasSerial" @click="emit('port', BAUD)">Open its port here</ElButton>
        <span v-else class="soft"
          >This browser cannot use a serial port. Chromium can, on the machine itself or over
          HTTPS.</span
        >
      </template>
      <template v-if="by === 'simulated' && instrument.kind === 'scale'">
        <span class="soft">Try it with</span>
        <LinkButton
          v-for="massG in TRIES"
          :key="massG"
          @click="emit('act', { act: 'try', massG })"
          >{{ massG === 0 ? 'nothing' : format.mass(massG) }}</LinkButton
        >
      </template>
      <template v-if="by === 'simulated' && instrument.kind === 'refractometer'">
        <span class="soft">Try it with</span>
        <LinkButton @click="emit('act', { act: 'try', brix: 4.1 })"
          >a drop of concentrate</LinkButton
        >
        <LinkButton @click="emit('act', { act: 'try', brix: 9.8 })">a milk drink</LinkButton>
        <LinkButton @click="emit('act', { act: 'try', brix: 0 })">water</LinkButton>
      </template>
      <LinkButton class="away" @click="emit('takeAway')">Take it away</LinkButton>
    </p>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: 14px;
}

.field-grid {
  grid-template-columns: repeat(auto-fill, minmax(min(340px, 100%), 1fr));
}

.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.ways .el-button {
  margin: 0;
}

.ways .away {
  margin-left: auto;
}

.fine {
  font-size: var(--t13);
}
</style>
