<script setup lang="ts">
import type { Vessel } from '@ratio/core/brew';
import type { Expected } from '@ratio/core/units';
import { ElButton, ElPopconfirm } from 'element-plus';
import 'element-plus/theme-chalk/el-popper.css';
import 'element-plus/theme-chalk/el-popover.css';
import 'element-plus/theme-chalk/el-popconfirm.css';
import { computed } from 'vue';
import { OTHER_JUG, type Fill, type StrainEntered, type StrainExpected } from './fills.ts';
import { percentKind, pouredKind, type AmountFormat } from '../format/index.ts';
import { LeaveOutButton } from '../ui/buttons/index.ts';
import { ActButton, AmountField, ChoiceField, TimeField, useRefusals } from '../ui/fields/index.ts';

/** Straining a batch as it happened: when, what came out into which jugs, and a reading where there is one. */
const props = defineProps<{
  entered: StrainEntered;
  startedAt: string;
  now: Date;
  zone: string;
  /** Jugs of the shop that are empty. */
  free: readonly Vessel[];
  expected: StrainExpected;
  /** Why what is entered of each jug cannot be; empty where it can. */
  whyNot: readonly string[];
  format: AmountFormat;
  busy: boolean;
  due: boolean;
  /** Whether the button that does it stands elsewhere. */
  buttonElsewhere?: boolean;
}>();
const emit = defineEmits<{
  change: [entered: { strengthFrac?: number; strainedMs?: number | null }];
  fill: [i: number, part: Partial<Fill>];
  add: [];
  drop: [i: number];
  strain: [];
}>();
const { firstRefused } = useRefusals();

const jugOptions = (chosen: string) => [
  ...props.free
    .filter(
      ({ id }) => id === chosen || !props.entered.fills.some(({ vesselId }) => vesselId === id),
    )
    .map(({ id, name, markMl, brimMl }) => ({
      value: id,
      label: name,
      reason: `takes ${props.format.volume(markMl ?? brimMl)}`,
    })),
  { value: OTHER_JUG, label: 'Another jug', reason: 'none of the shop’s' },
];
const amountKind = computed(() =>
  pouredKind(props.format, {
    step: 10,
    min: 1,
    max: props.expected.mostG / props.expected.densityGPerMl,
    gPerMl: props.expected.densityGPerMl,
    limitText: 'No more than what went in, and not nothing.',
  }),
);
/** It stays as it was seen: by volume or by mass. */
function setAmount(i: number, volumeMl: number, quantity: Expected): void {
  const isMass = quantity === 'mass';
  emit('fill', i, {
    amount: isMass ? volumeMl * props.expected.densityGPerMl : volumeMl,
    seenAs: isMass ? 'mass' : 'volume',
  });
}
const mlOf = ({ amount, seenAs }: Fill): number | null =>
  amount === null || seenAs === 'volume' ? amount : amount / props.expected.densityGPerMl;
const untold = computed(() => props.entered.fills.some(({ amount }) => amount === null));
const asked = computed(() => firstRefused.value ?? (untold.value ? 'Came out' : null));
const asPredicted = (): void =>
  emit('fill', 0, { amount: Math.round(props.expected.brewMl), seenAs: 'volume' });
const startMs = computed(() => Date.parse(props.startedAt));
</script>

<template>
  <form class="strain" @submit.prevent>
    <div class="when">
      <span class="label">Strained</span>
      <TimeField
        label="Strained"
        :at-ms="entered.strainedMs"
        :now
        :zone
        looks="back"
        :min="{ ms: startMs, text: 'It cannot be strained before it began.' }"
        :max="{ ms: now.getTime() + 60_000, text: 'That is still to come.' }"
        :taps="entered.strainedMs === null ? ['30 min ago', '1 h ago'] : ['now']"
        @change="emit('change', { strainedMs: $event })"
      />
    </div>
    <div class="fills">
      <div v-for="(fill, i) in entered.fills" :key="fill.jugId" class="fill">
        <div>
          <span class="label">Into</span>
          <ChoiceField
            :label="entered.fills.length === 1 ? 'Into which jug' : `Jug ${i + 1} of the strain`"
            :options="jugOptions(fill.vesselId)"
            :model-value="fill.vesselId"
            @update:model-value="emit('fill', i, { vesselId: $event })"
          />
          <ElButton v-if="i === entered.fills.length - 1" link type="primary" @click="emit('add')"
            >Into one more jug</ElButton
          >
        </div>
        <div>
          <span class="label">Came out, {{ format.pouredOrWeighed }}</span>
          <AmountField
            :label="entered.fills.length === 1 ? 'Came out' : `Came out into jug ${i + 1}`"
            :placeholder="i === 0 ? `about ${format.volume(expected.brewMl)}` : 'the rest'"
            :value="mlOf(fill)"
            :kind="amountKind"
            :refused="whyNot[i] ?? ''"
            @change="(value, quantity) => setAmount(i, value, quantity)"
          />
          <span v-if="fill.amount !== null" class="soft fine">{{
            format.mass((mlOf(fill) ?? 0) * expected.densityGPerMl)
          }}</span>
          <ElButton
            v-else-if="i === 0 && entered.fills.length === 1"
            link
            type="primary"
            @click="asPredicted"
            >just as predicted</ElButton
          >
        </div>
        <LeaveOutButton
          v-if="entered.fills.length > 1"
          :label="`Leave out jug ${i + 1}`"
          @click="emit('drop', i)"
        />
      </div>
    </div>
    <div class="reading">
      <span class="label">Reading, where there is one</span>
      <AmountField
        label="Refractometer reading"
        :placeholder="`predicted ${format.percent(expected.strengthFrac)}`"
        :value="entered.strengthFrac"
        :kind="percentKind({ step: 0.0001, min: 0.001, max: 0.3 })"
        @change="(value) => emit('change', { strengthFrac: value })"
      />
    </div>
    <div v-if="!buttonElsewhere" class="do">
      <ElPopconfirm
        v-if="expected.isFarOff && asked === null"
        :title="`${expected.timingText} Strain it so?`"
        confirm-button-text="Yes, that is how it was"
        cancel-button-text="No"
        width="280"
        @confirm="emit('strain')"
      >
        <template #reference>
          <ElButton :type="due ? 'primary' : 'default'" :loading="busy">Strain it</ElButton>
        </template>
      </ElPopconfirm>
      <ActButton
        v-else
        :disabled="asked !== null"
        :primary="due"
        :doing="busy"
        @act="emit('strain')"
        >{{ untold ? 'Say what came out' : `Strain ${format.volume(expected.wholeMl)}` }}</ActButton
      >
      <p v-if="expected.timingText !== ''" class="due fine" role="status">
        {{ expected.timingText }}
      </p>
    </div>
  </form>
</template>

<style scoped>
.strain {
  display: grid;
  grid-template-columns: 184px minmax(300px, 1fr) 180px 176px;
  align-items: start;
  gap: 12px 24px;
  border-top: 1px solid var(--hairline);
  padding-top: 10px;
}

.reading > :last-child,
.fill > div > .bare {
  border-bottom: 1px solid var(--hairline-strong);
}

.fill {
  display: grid;
  grid-template-columns: 1fr 1.1fr 36px;
  gap: 16px;
}

.fill + .fill {
  margin-top: 8px;
}

.fine {
  font-size: var(--t13);
}

.do {
  display: grid;
  justify-items: start;
  gap: 6px;
  padding-top: 10px;
}

.strain :deep(.el-button.is-link) {
  min-height: 32px;
  padding: 0;
  font-size: var(--t13);
}

@media (max-width: 1080px) {
  .strain {
    grid-template-columns: 1fr 1fr;
  }

  .fills {
    grid-column: 1 / -1;
    grid-row: 2;
  }

  /* What came out stands below the reading. */
  .fill {
    grid-template-columns: calc(50% - 12px) 1fr 36px;
    gap: 16px 24px;
  }
}

@media (max-width: 520px) {
  .strain {
    grid-template-columns: 1fr;
  }

  .fill {
    grid-template-columns: 1fr 1fr 36px;
    gap: 8px;
  }
}
</style>
