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
import { waterDensityGPerMl } from '@ratio/core/matter';
import { computed } from 'vue';
import FieldPair from './FieldPair.vue';
import PlanAmounts from './PlanAmounts.vue';
import PlanVessel from './PlanVessel.vue';
import SteepPieces from './SteepPieces.vue';
import { measuredKind, type AmountFormat } from '../format/index.ts';
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
  amounts: {
    targets: TargetPair;
    locked: TargetKey | null;
    scooped: boolean;
    refused: { key: TargetKey; text: string } | null;
  };
  coffee: Coffee;
  coffees: readonly Coffee[];
  /** Null where the date of the roast is not known. */
  restedDays: number | null;
  model: BrewModel;
  vesselChoice: {
    vessel: Vessel;
    vessels: readonly { value: string; label: string; reason: string }[];
    wrong: string;
    dirty: boolean;
    others: readonly { id: string; name: string }[];
    fridge: string;
    filter: string;
    filterUnwashed: boolean;
  };
  rooms: { fridgeC: number; roomC: number };
  /** What the mill's dial says for each grind. */
  mill: Readonly<Record<Plan['grind'], string>>;
  format: AmountFormat;
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

const dial = computed(() => props.mill[props.plan.grind]);
const rinse = computed(() => ({
  label: 'Rinse water',
  value: props.plan.filtration.rinseG,
  kind: measuredKind(props.format, {
    step: 50,
    min: 0,
    max: 50000,
    gPerMl: waterDensityGPerMl(props.plan.waterC),
  }),
}));
const setRinse = (rinseG: number): void =>
  emit('change', { filtration: { ...props.plan.filtration, rinseG } });
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

    <PlanAmounts
      :plan
      v-bind="amounts"
      :loose-g-per-ml="model.looseDensityGPerMl[plan.grind]"
      :format
      @amount="(key, value, scooped) => emit('amount', key, value, scooped)"
      @water-c="(waterC) => emit('change', { waterC })"
      @lock="emit('lock', $event)"
    />
    <PlanVessel
      v-bind="vesselChoice"
      :format
      @choose="emit('change', { vesselId: $event })"
      @cleaned="emit('cleaned')"
      @washed="emit('washed')"
    />
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
        :fridge-c="rooms.fridgeC"
        :room-c="rooms.roomC"
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
      <FieldPair between="rinse">
        <ChoiceField
          label="Strain"
          :model-value="plan.filtration.method"
          :options="filtrations"
          @update:model-value="
            emit('change', { filtration: { ...plan.filtration, method: $event } })
          "
        />
        <template #narrow><AmountField v-bind="rinse" @change="setRinse" /></template>
      </FieldPair>
    </ChoiceRow>
  </form>
</template>

<style scoped>
.choices {
  padding: 4px 20px 12px;
}
</style>
