<script setup lang="ts">
import type { Plan } from '@ratio/core/batch';
import {
  FILTRATION_METHODS,
  FILTRATIONS,
  WETTING_NAMES,
  WETTINGS,
  type BrewModel,
  type TargetPair,
  type TargetKey,
  type Vessel,
} from '@ratio/core/brew';
import { GRIND_NAMES, GRINDS, type Coffee } from '@ratio/core/coffee';
import { CONSTANTS } from '@ratio/core/constants';
import { waterDensityGPerMl } from '@ratio/core/matter';
import { type Expected } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import SteepPieces from './SteepPieces.vue';
import { measuredKind, ratioKind, tempKind, type AmountFormat } from '../format/index.ts';
import { LockButton } from '../ui/buttons/index.ts';
import {
  AmountField,
  ChoiceField,
  ChoiceRow,
  HoursListField,
  PickRow,
} from '../ui/fields/index.ts';

/** The choices of a batch in the order of the work. */
const props = defineProps<{
  plan: Plan;
  targets: TargetPair;
  locked: TargetKey | null;
  scooped: boolean;
  /** What the shop's scoop holds, mL. */
  scoopMl: number;
  /** Why an amount could not be set, and which. */
  refused: { key: TargetKey; text: string } | null;
  coffee: Coffee;
  model: BrewModel;
  vessel: Vessel;
  coffees: readonly Coffee[];
  vessels: readonly { value: string; label: string; reason: string }[];
  /** Why the vessel cannot be started in; empty where it can. */
  vesselWrong: string;
  /** Whether it is that nobody said that it was cleaned. */
  vesselDirty: boolean;
  otherVessels: readonly { id: string; name: string }[];
  /** More in the fridge than it takes; empty where there is room. */
  fridge: string;
  /** Too few clean bags or inserts; empty where there are enough. */
  filter: string;
  /** Whether it is that nobody said that one was washed. */
  filterUnwashed: boolean;
  format: AmountFormat;
  fridgeC: number;
  roomC: number;
  /** Null where the date of the roast is not known. */
  restedDays: number | null;
  /** What the mill's dial says for each grind. */
  mill: Readonly<Record<Plan['grind'], string>>;
}>();
const emit = defineEmits<{
  change: [part: Partial<Plan>];
  cleaned: [];
  washed: [];
  amount: [key: TargetKey, value: number, scooped?: boolean];
  lock: [key: TargetKey];
}>();

const grinds = GRIND_NAMES.map((value) => ({
  value,
  label: value[0]!.toUpperCase() + value.slice(1),
  reason: GRINDS[value].reason,
}));
const BEDS = [
  { value: 'loose', label: 'Loose', reason: 'water passes between them' },
  {
    value: 'held',
    label: 'Held together',
    reason: 'a bag that hangs still, a plunger left down: slower',
  },
] as const;
const wettings = WETTING_NAMES.map((value) => ({ value, ...WETTINGS[value] }));
const filtrations = FILTRATION_METHODS.map((value) => ({ value, ...FILTRATIONS[value] }));

const loose = computed(() => props.model.looseDensityGPerMl[props.plan.grind]);
const dial = computed(() => props.mill[props.plan.grind]);
const waterDensity = computed(() => waterDensityGPerMl(props.plan.waterC));
const ratio = computed(() => props.plan.waterG / props.plan.doseG);
const lockOf = (key: TargetKey) => ({
  locked: props.locked === key,
  set: props.targets.some((target) => target.key === key),
});
const refusal = (key: TargetKey): string => (props.refused?.key === key ? props.refused.text : '');
const doseNote = computed(() => {
  const scoop = props.format.volume(props.plan.doseG / loose.value);
  return props.scooped
    ? `scooped, ${scoop}: ±${100 * CONSTANTS.looseDensitySpreadFrac.value} %`
    : `${scoop} loose`;
});

const rinse = computed(() => ({
  label: 'Rinse water',
  value: props.plan.filtration.rinseG,
  kind: measuredKind(props.format, { step: 50, min: 0, max: 50000, gPerMl: waterDensity.value }),
}));
const setRinse = (rinseG: number): void =>
  emit('change', { filtration: { ...props.plan.filtration, rinseG } });

function setDose(value: number, quantity: Expected): void {
  const isScoop = quantity === 'volume';
  emit('amount', 'doseG', value, isScoop);
}
</script>

<template>
  <form class="choices" aria-label="Choices" @submit.prevent>
    <PickRow
      label="Coffee"
      :note="
        restedDays === null
          ? `${coffee.roast} roast`
          : `${coffee.roast} roast, rested ${restedDays} d`
      "
      :model-value="coffee.id"
      :options="
        coffees.map(({ id, name, pricePerKg, roast }) => ({
          value: id,
          label: name,
          reason:
            pricePerKg === null
              ? `${roast} roast`
              : `${roast} roast, ${format.pricePerMass(pricePerKg)}`,
        }))
      "
      @update:model-value="emit('change', { coffeeId: $event })"
    />
    <PickRow
      label="Grind"
      :note="dial ? `mill ${dial}; ${GRINDS[plan.grind].reason}` : GRINDS[plan.grind].reason"
      :model-value="plan.grind"
      :options="grinds"
      @update:model-value="emit('change', { grind: $event })"
    />

    <ChoiceRow label="Coffee in" :note="doseNote">
      <AmountField
        label="Coffee in"
        :value="plan.doseG"
        :kind="measuredKind(format, { step: 5, min: 5, max: 50000, gPerMl: loose })"
        :refused="refusal('doseG')"
        @change="setDose"
      />
      <template #action>
        <LockButton what="coffee" v-bind="lockOf('doseG')" @lock="emit('lock', 'doseG')" />
      </template>
    </ChoiceRow>
    <ChoiceRow
      label="Water in"
      :note="`${format.volume(plan.waterG / waterDensity)}${plan.waterC >= 28 ? ', warm start: faster' : ''}`"
    >
      <div class="pair">
        <AmountField
          label="Water in"
          :value="plan.waterG"
          :kind="measuredKind(format, { step: 10, min: 10, max: 500000, gPerMl: waterDensity })"
          :refused="refusal('waterG')"
          @change="(value) => emit('amount', 'waterG', value)"
        />
        <span class="soft at">at</span>
        <AmountField
          label="Water temperature"
          class="temp"
          :value="plan.waterC"
          :kind="tempKind(format, { step: 1, min: 0, max: 95 })"
          @change="(waterC) => emit('change', { waterC })"
        />
      </div>
      <template #action>
        <LockButton what="water" v-bind="lockOf('waterG')" @lock="emit('lock', 'waterG')" />
      </template>
    </ChoiceRow>

    <ChoiceRow label="Ratio, coffee to water" note="by mass">
      <AmountField
        label="Ratio"
        :value="ratio"
        :kind="ratioKind({ step: 0.1, min: 0.5, max: 100 })"
        :refused="refusal('ratio')"
        @change="(value) => emit('amount', 'ratio', value)"
      />
      <template #action>
        <LockButton what="ratio" v-bind="lockOf('ratio')" @lock="emit('lock', 'ratio')" />
      </template>
    </ChoiceRow>
    <PickRow
      label="Vessel"
      :note="`${format.volume(vessel.brimMl)}, ${100 * (vessel.shaken ? CONSTANTS.shakenHeadspaceFrac : CONSTANTS.headspaceFrac).value} % kept free`"
      :model-value="vessel.id"
      :options="vessels"
      @update:model-value="emit('change', { vesselId: $event })"
    />
    <div v-if="vesselWrong !== ''" class="in-use" role="alert">
      <p class="due">{{ vesselWrong }}</p>
      <ElButton v-if="vesselDirty" link type="primary" @click="emit('cleaned')"
        >It is clean</ElButton
      >
      <ElButton
        v-for="{ id, name } in otherVessels"
        :key="id"
        link
        type="primary"
        @click="emit('change', { vesselId: id })"
        >{{ name }}</ElButton
      >
    </div>
    <p v-if="fridge !== ''" class="due in-use" role="status">{{ fridge }}</p>
    <div v-if="filter !== ''" class="in-use" role="status">
      <p class="due">{{ filter }}</p>
      <ElButton v-if="filterUnwashed" link type="primary" @click="emit('washed')"
        >It is washed</ElButton
      >
    </div>
    <PickRow
      label="Wetting"
      :note="WETTINGS[plan.wetting].reason"
      :model-value="plan.wetting"
      :options="wettings"
      @update:model-value="emit('change', { wetting: $event })"
    />
    <ChoiceRow
      label="Steep"
      :note="plan.steep.length > 1 ? 'one place after another' : format.temp(plan.steep[0]!.tempC)"
    >
      <SteepPieces
        :pieces="plan.steep"
        :fridge-c
        :room-c
        @change="emit('change', { steep: $event })"
      />
    </ChoiceRow>

    <PickRow
      label="Grounds"
      note="how they lie in the water"
      :model-value="plan.bed"
      :options="BEDS"
      @update:model-value="emit('change', { bed: $event })"
    />
    <ChoiceRow label="Stir" note="once or twice; more makes it cloudy">
      <HoursListField
        label="Stir at"
        :hours="plan.agitationHours"
        placeholder="not at all"
        may-be-empty
        @change="emit('change', { agitationHours: $event })"
      />
    </ChoiceRow>
    <ChoiceRow label="Strain" :note="FILTRATIONS[plan.filtration.method].reason">
      <div class="pair">
        <ChoiceField
          label="Strain"
          :model-value="plan.filtration.method"
          :options="filtrations"
          @update:model-value="
            emit('change', { filtration: { ...plan.filtration, method: $event } })
          "
        />
        <span class="soft at">rinse</span>
        <AmountField class="temp" v-bind="rinse" @change="setRinse" />
      </div>
    </ChoiceRow>
  </form>
</template>

<style scoped>
.choices {
  padding: 4px 20px 12px;
}

.in-use {
  padding: 4px 0;
  font-size: var(--t13);
}

.in-use :deep(.el-button) {
  min-height: 32px;
  margin: 0 14px 0 0;
  padding: 0;
  font-size: var(--t13);
}

.pair {
  display: flex;
  align-items: center;
  gap: 8px;
}

.pair > :first-child {
  flex: 1 1 0;
  min-width: 0;
}

.at {
  font-size: var(--t13);
}

.temp {
  flex: 0 0 64px;
}

.temp :deep(.el-input__inner) {
  font-size: var(--t18);
}
</style>
