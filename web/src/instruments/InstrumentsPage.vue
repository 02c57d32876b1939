<script setup lang="ts">
import { CONSTANTS } from '@ratio/core/constants';
import { vesselNameOf } from '@ratio/core/batch';
import { INSTRUMENT_KINDS, type Instrument } from '@ratio/core/instruments';
import { amountText } from '@ratio/core/units';
import { ElCollapse, ElCollapseItem } from 'element-plus';
import 'element-plus/theme-chalk/el-collapse.css';
import 'element-plus/theme-chalk/el-collapse-item.css';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useInstrumentFeed } from './instrumentFeed.ts';
import { useInstruments } from './instruments.ts';
import InstrumentCard from './InstrumentCard.vue';
import { useInstrumentEdits } from './useInstrumentEdits.ts';
import { useSerialPort } from './useSerialPort.ts';
import { useBatches } from '../events/index.ts';
import { clockTime, listText } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { ask, sentenceOf, useNotice, useSession } from '../sync/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { ProbesChart } from '../ui/charts/index.ts';

const shop = useShop();
const session = useSession();
const notice = useNotice();
const batches = useBatches();
const instruments = useInstruments();
const edits = useInstrumentEdits();
const serial = useSerialPort();
const format = useAmountFormat();
useInstrumentFeed().watchHere();

interface History {
  readonly instrumentId: string;
  readonly samples: { readonly atMs: number; readonly tempC: number }[];
}
const history = shallowRef<readonly History[]>([]);
async function load(): Promise<void> {
  await instruments.load();
  history.value = await ask<History[]>('/api/instruments/history');
}
onMounted(() => void load().catch(() => undefined));

const open = ref('');
async function add(kind: Instrument['kind']): Promise<void> {
  open.value = await edits.add(kind);
}
const STATES = {
  connecting: 'not there yet',
  speaks: 'speaks',
  silent: 'says nothing',
  gone: 'gone',
} as const;
const shown = computed(() =>
  instruments.all.map((instrument) => {
    const state = instruments.states.get(instrument.id) ?? null;
    const sample = state?.state === 'speaks' ? state.sample : null;
    const figure =
      sample?.massG != null
        ? // What lies within the noise of nothing is nothing.
          format.value.mass(Math.abs(sample.massG) < 0.5 ? 0 : sample.massG)
        : sample?.tempC != null
          ? amountText({ figure: format.value.degrees(sample.tempC).toFixed(1), unit: unit.value })
          : sample?.brix != null
            ? amountText({ figure: sample.brix.toFixed(2), unit: '°Bx' })
            : '–';
    return {
      instrument,
      sample,
      figure,
      word: sample && !sample.isSteady ? 'moves' : STATES[state?.state ?? 'connecting'],
      isWell: state?.state === 'speaks',
      detail: listText(
        [
          state?.state === 'speaks' ? '' : (state?.detail ?? ''),
          state && state.malformed > 0 ? `${state.malformed} lines that nobody understands` : '',
          instrument.calibration
            ? `calibrated ${clockTime({ at: new Date(instrument.calibration.at), zone: shop.zone })}`
            : '',
          instrument.driver.by === 'simulated' ? 'a stand-in' : '',
        ],
        ' · ',
      ),
    };
  }),
);
const unit = computed(() => (format.value.units === 'metric' ? '°C' : '°F'));
const steeping = computed(() =>
  batches.steeping.map((batch) => ({
    id: batch.id,
    text: `${vesselNameOf(batch)}: ${batch.coffeeName}`,
  })),
);
const series = computed(() =>
  history.value.flatMap(({ instrumentId, samples }) => {
    const name = instruments.all.find(({ id }) => id === instrumentId)?.name;
    return name === undefined || samples.length === 0 ? [] : [{ name, samples }];
  }),
);
async function act(id: string, request: Parameters<typeof instruments.act>[1]): Promise<void> {
  try {
    await instruments.act(id, request);
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
  }
}
const stamp = (): { at: string; author: string } => ({
  at: new Date(shop.readMs()).toISOString(),
  author: session.session?.name ?? 'unsigned',
});
</script>

<template>
  <div class="page">
    <header>
      <h1>Instruments</h1>
      <p class="soft">
        Their readings go into the steps of a batch. A device that sends lines over the network or a
        serial port needs no program of its own; the documents describe the lines.
      </p>
    </header>
    <ElCollapse v-if="shown.length > 0" v-model="open" accordion>
      <ElCollapseItem v-for="one in shown" :key="one.instrument.id" :name="one.instrument.id">
        <template #title>
          <span class="line">
            <span class="what">
              <strong>{{ one.instrument.name }}</strong>
              <span class="soft">{{ one.detail }}</span>
            </span>
            <span :class="one.isWell ? 'resting' : 'due'">{{ one.word }}</span>
            <span class="figures now">{{ one.figure }}</span>
          </span>
        </template>
        <InstrumentCard
          v-if="open === one.instrument.id && session.can('leads')"
          :instrument="one.instrument"
          :sample="one.sample"
          :format
          :brix-to-strength="shop.document?.brixToStrength ?? CONSTANTS.brixToStrength.value"
          :stamp
          :batches="steeping"
          :has-serial="serial.hasSerial"
          :is-open-here="serial.openFor.value === one.instrument.id"
          @change="(part, what) => edits.change(one.instrument, part, what)"
          @act="act(one.instrument.id, $event)"
          @port="serial.open(one.instrument.id, $event)"
          @close="serial.close"
          @take-away="edits.takeAway(one.instrument)"
        />
      </ElCollapseItem>
    </ElCollapse>
    <div v-else class="empty">
      <h2>No instrument yet</h2>
      <p>
        Without one, readings are typed in. A stand-in shows how it works with a scale, a
        refractometer or a probe.
      </p>
    </div>
    <p v-if="serial.failure.value !== ''" class="due" role="alert">
      The port could not be read: {{ serial.failure.value }}
    </p>
    <p v-if="session.can('leads')" class="adds">
      Add a
      <LinkButton v-for="kind in INSTRUMENT_KINDS" :key="kind" @click="add(kind)">{{
        kind
      }}</LinkButton>
    </p>
    <ProbesChart
      v-if="series.length > 0"
      :series
      :now-ms="shop.now.getTime()"
      :clock-at="(atMs) => clockTime({ at: new Date(atMs), zone: shop.zone })"
      :degrees="format.degrees"
      :unit
    />
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 18px;
}

.page :deep(.el-collapse-item__header) {
  height: auto;
  min-height: 68px;
}

.page :deep(.el-collapse-item__title) {
  flex: 1;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(9ch, 190px);
  gap: 4px 20px;
  align-items: baseline;
  padding-right: 16px;
  line-height: 1.2;
  text-align: left;
}

.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}

.what strong {
  font-size: var(--t18);
}

.now {
  font-size: var(--t40);
  font-weight: 500;
  letter-spacing: -0.03em;
  text-align: right;
}

.adds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
}

@media (max-width: 560px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .what {
    grid-column: 1 / -1;
  }

  .now {
    font-size: var(--t24);
  }
}
</style>
