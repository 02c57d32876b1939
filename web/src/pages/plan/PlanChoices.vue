<script setup lang="ts">
import {
  followingKey,
  GRIND_NAMES,
  GRINDS,
  inOneLine,
  looseDensityGPerMl,
  SEPARATION_NAMES,
  SEPARATIONS,
  waterDensityGPerMl,
  WETTING_NAMES,
  WETTINGS,
  writeMass,
  writeTemp,
  writeVolume,
  type Expected,
  type ShelfCoffee,
  type ShopUnits,
  type TiedKey,
  type Vessel,
} from '@ratio/core';
import { computed } from 'vue';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import type { Draft } from '../../stores/draft.ts';

/** The choices of a batch in the order of the work. */
const props = defineProps<{
  draft: Draft;
  coffee: ShelfCoffee;
  vessel: Vessel;
  coffees: readonly ShelfCoffee[];
  vessels: readonly Vessel[];
  units: ShopUnits;
  fridgeC: number;
  roomC: number;
  restedDays: number;
}>();
const emit = defineEmits<{
  change: [part: Partial<Draft>];
  amount: [key: TiedKey, value: number];
  pin: [key: TiedKey];
}>();

const PLACES = [
  { value: 'fridge', label: 'in the fridge', reason: 'slow and safe: 16 to 24 h' },
  {
    value: 'counter',
    label: 'on the counter',
    reason: 'faster: 12 to 18 h; check the local rules',
  },
] as const;

const piece = computed(() => props.draft.steep[0]!);
const follows = computed(() => followingKey(props.draft.amounts));
const grinds = GRIND_NAMES.map((value) => ({
  value,
  label: value[0]!.toUpperCase() + value.slice(1),
  reason: GRINDS[value].reason,
}));
const wettings = WETTING_NAMES.map((value) => ({ value, ...WETTINGS[value] }));
const separations = SEPARATION_NAMES.map((value) => ({ value, ...SEPARATIONS[value] }));

const mass = (massG: number): string => inOneLine(writeMass({ massG, units: props.units }));
const volume = (volumeMl: number): string =>
  inOneLine(writeVolume({ volumeMl, units: props.units }));
const temp = (tempC: number): string => inOneLine(writeTemp({ tempC, units: props.units }));
const loose = computed(() => looseDensityGPerMl({ form: 'ground', grind: props.draft.grind }));
const waterDensity = computed(() => waterDensityGPerMl(props.draft.waterC));
const plainMass = computed(() => (props.units === 'metric' ? 'gram' : 'ounce'));

function setDose(value: number, quantity: Expected): void {
  emit('amount', 'doseG', quantity === 'volume' ? value * loose.value : value);
}

function setWater(value: number, quantity: Expected): void {
  emit('amount', 'waterG', quantity === 'volume' ? value * waterDensity.value : value);
}

function setPlace(place: 'fridge' | 'counter'): void {
  const tempC = place === 'fridge' ? props.fridgeC : props.roomC;
  emit('change', { steep: [{ ...piece.value, place, tempC }] });
}

const setHours = (timeS: number): void =>
  emit('change', { steep: [{ ...piece.value, hours: timeS / 3600 }] });

const pinText = (key: TiedKey): string =>
  props.draft.amounts.pinned === key ? 'pinned' : follows.value === key ? 'follows' : 'pin';
</script>

<template>
  <form class="choices" aria-label="Choices" @submit.prevent>
    <ChoiceRow label="Coffee" :note="`rested ${restedDays} d`">
      <ChoiceField
        label="Coffee"
        :model-value="coffee.id"
        :options="
          coffees.map(({ id, name, pricePerKg, roast }) => ({
            value: id,
            label: name,
            reason: `${roast} roast, ${pricePerKg.toFixed(2)}/kg`,
          }))
        "
        @update:model-value="emit('change', { coffeeId: $event })"
      />
    </ChoiceRow>
    <ChoiceRow label="Grind" :note="GRINDS[draft.grind].reason">
      <ChoiceField
        label="Grind"
        :model-value="draft.grind"
        :options="grinds"
        @update:model-value="emit('change', { grind: $event })"
      />
    </ChoiceRow>
    <ChoiceRow label="Coffee in" :note="`${volume(draft.amounts.doseG / loose)} loose`">
      <template #action>
        <button
          type="button"
          class="pin"
          :aria-pressed="draft.amounts.pinned === 'doseG'"
          aria-label="Pin the coffee"
          @click="emit('pin', 'doseG')"
        >
          {{ pinText('doseG') }}
        </button>
      </template>
      <AmountField
        label="Coffee in"
        :value="draft.amounts.doseG"
        :accepts="['mass', 'volume']"
        :plain-unit="plainMass"
        :write="mass"
        :step="5"
        :min="5"
        :max="50000"
        limit-text="Between 5 g and 50 kg of coffee."
        @change="setDose"
      />
    </ChoiceRow>
    <ChoiceRow
      label="Water in"
      :note="`${volume(draft.amounts.waterG / waterDensity)} at ${temp(draft.waterC)}`"
    >
      <template #action>
        <button
          type="button"
          class="pin"
          :aria-pressed="draft.amounts.pinned === 'waterG'"
          aria-label="Pin the water"
          @click="emit('pin', 'waterG')"
        >
          {{ pinText('waterG') }}
        </button>
      </template>
      <AmountField
        label="Water in"
        :value="draft.amounts.waterG"
        :accepts="['mass', 'volume']"
        :plain-unit="plainMass"
        :write="mass"
        :step="10"
        :min="10"
        :max="500000"
        limit-text="Between 10 g and 500 kg of water."
        @change="setWater"
      />
    </ChoiceRow>
    <ChoiceRow label="Ratio, coffee to water" note="by mass">
      <template #action>
        <button
          type="button"
          class="pin"
          :aria-pressed="draft.amounts.pinned === 'ratio'"
          aria-label="Pin the ratio"
          @click="emit('pin', 'ratio')"
        >
          {{ pinText('ratio') }}
        </button>
      </template>
      <AmountField
        label="Ratio"
        :value="draft.amounts.ratio"
        :accepts="['ratio']"
        :write="(ratio) => `1 : ${ratio.toFixed(1)}`"
        :step="0.1"
        :min="0.5"
        :max="60"
        limit-text="Between 1:0.5 and 1:60."
        @change="(value) => emit('amount', 'ratio', value)"
      />
    </ChoiceRow>
    <ChoiceRow label="Vessel" :note="volume(vessel.brimMl)">
      <ChoiceField
        label="Vessel"
        :model-value="vessel.id"
        :options="
          vessels.map(({ id, name, shaken }) => ({
            value: id,
            label: name,
            reason: shaken ? 'shaken: 30 % kept free' : '15 % kept free',
          }))
        "
        @update:model-value="emit('change', { vesselId: $event })"
      />
    </ChoiceRow>
    <ChoiceRow label="Wetting" :note="WETTINGS[draft.wetting].reason">
      <ChoiceField
        label="Wetting"
        :model-value="draft.wetting"
        :options="wettings"
        @update:model-value="emit('change', { wetting: $event })"
      />
    </ChoiceRow>
    <ChoiceRow label="Steep" :note="temp(piece.tempC)">
      <div class="pair">
        <AmountField
          label="Hours of steep"
          :value="piece.hours * 3600"
          :accepts="['time']"
          plain-unit="hour"
          :write="(timeS) => `${Number((timeS / 3600).toFixed(2))}\u2009h`"
          :step="900"
          :min="900"
          :max="604800"
          limit-text="Between a quarter of an hour and 168 h."
          @change="setHours"
        />
        <ChoiceField
          label="Place"
          :model-value="piece.place"
          :options="PLACES"
          @update:model-value="setPlace"
        />
      </div>
    </ChoiceRow>
    <ChoiceRow label="Strain" :note="SEPARATIONS[draft.separation.method].reason">
      <ChoiceField
        label="Strain"
        :model-value="draft.separation.method"
        :options="separations"
        @update:model-value="
          emit('change', { separation: { ...draft.separation, method: $event } })
        "
      />
    </ChoiceRow>
  </form>
</template>

<style scoped>
.choices {
  padding: 4px 20px 20px;
}

.pair {
  display: flex;
  gap: 8px;
}

.pair > :first-child {
  flex: 0 0 84px;
}

.pair > :last-child {
  flex: 1;
}

.pin {
  border: 0;
  background: none;
  padding: 4px 0 4px 12px;
  color: var(--ink-soft);
  font-size: var(--t13);
  cursor: pointer;
}

.pin[aria-pressed='true'] {
  color: var(--action);
  font-weight: 600;
}

.choices :deep(.note) {
  max-width: 46%;
}
</style>
