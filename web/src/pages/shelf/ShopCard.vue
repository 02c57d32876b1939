<script setup lang="ts">
import { FILTRATION_METHODS, FILTRATIONS, WETTING_NAMES, WETTINGS } from '@ratio/core/brew';
import { GRIND_NAMES, GRINDS } from '@ratio/core/coffee';
import { FILTER_KINDS, type Shop } from '@ratio/core/shop';
import { computed } from 'vue';
import {
  hoursKind,
  largeVolumeKind,
  massKind,
  ratioKind,
  tempKind,
  volumeKind,
} from '../../components/fields/amountKind.ts';
import type { AmountFormat } from '../../format/amountFormat.ts';
import AmountField from '../../components/fields/AmountField.vue';
import AmountRow from '../../components/fields/AmountRow.vue';
import TextRow from '../../components/fields/TextRow.vue';
import PickRow from '../../components/fields/PickRow.vue';
import ClockField from '../../components/fields/ClockField.vue';
import ChoiceRow from '../../components/fields/ChoiceRow.vue';
import TextField from '../../components/fields/TextField.vue';

/** The shop: its rooms, its hours, its mill, and what a new plan begins with. */
const props = defineProps<{ shop: Shop; format: AmountFormat }>();
const emit = defineEmits<{ change: [change: Partial<Shop>, what: string] }>();

const PLACES = [
  { value: 'fridge', label: 'in the fridge', reason: 'slow and safe' },
  { value: 'counter', label: 'on the counter', reason: 'faster; local rules' },
] as const;
const TEMPS = [
  { key: 'roomC', label: 'Room' },
  { key: 'fridgeC', label: 'Fridge' },
  { key: 'waterC', label: 'Water from the tap' },
] as const;
const HOURS = [
  { key: 'openHours', label: 'Opens' },
  { key: 'closeHours', label: 'Closes' },
  { key: 'crewFromHours', label: 'Crew from' },
  { key: 'crewToHours', label: 'Crew until' },
] as const;
const GRIND_OPTIONS = GRIND_NAMES.map((value) => ({
  value,
  label: value,
  reason: GRINDS[value].reason,
}));
const WETTING_OPTIONS = WETTING_NAMES.map((value) => ({ value, ...WETTINGS[value] }));
const METHOD_OPTIONS = FILTRATION_METHODS.map((value) => ({ value, ...FILTRATIONS[value] }));
const PICKS = [
  { key: 'grind', label: 'Grind', name: 'Default grind', options: GRIND_OPTIONS },
  { key: 'place', label: 'Place', name: 'Default place', options: PLACES },
  { key: 'wetting', label: 'Wetting', name: 'Default wetting', options: WETTING_OPTIONS },
  { key: 'method', label: 'Strain', name: 'Default straining', options: METHOD_OPTIONS },
] as const;
const defaults = computed(() => props.shop.defaults);
const setDefault = (change: Partial<Shop['defaults']>): void =>
  emit('change', { defaults: { ...props.shop.defaults, ...change } }, 'Default changed');

function setFilter(i: number, change: Partial<Shop['filters'][number]>): void {
  const filters = props.shop.filters.map((filter, k) =>
    k === i ? { ...filter, ...change } : filter,
  );
  emit('change', { filters }, 'Filter changed');
}
const addFilter = (kind: Shop['filters'][number]['kind']): void =>
  emit(
    'change',
    { filters: [...props.shop.filters, { name: `New ${kind}`, kind, takesG: 500 }] },
    'Filter added',
  );
</script>

<template>
  <section class="shop" aria-labelledby="shop">
    <h2 id="shop" class="section-head">The shop</h2>
    <div class="field-grid">
      <TextRow
        label="Name"
        name="Shop’s name"
        needed
        :value="shop.name"
        @change="emit('change', { name: $event }, 'Shop renamed')"
      />
      <AmountRow
        v-for="{ key, label } in TEMPS"
        :key
        :label
        lazy
        :value="shop[key]"
        :kind="
          tempKind(format, {
            step: 1,
            min: 0,
            max: key === 'fridgeC' ? 15 : 50,
            limitText: 'Not a temperature for this.',
          })
        "
        @change="(value) => emit('change', { [key]: value }, `${label} temperature changed`)"
      />
      <AmountRow
        label="The fridge takes"
        name="Litres of steeping vessels that the fridge takes"
        lazy
        placeholder="not said"
        :value="shop.fridgeL === null ? null : 1000 * shop.fridgeL"
        :kind="largeVolumeKind(format, { step: 1000, min: 1000, max: 10000000 })"
        @change="(volumeMl) => emit('change', { fridgeL: volumeMl / 1000 }, 'room in the fridge')"
      />
      <ChoiceRow v-for="{ key, label } in HOURS" :key :label>
        <ClockField
          :label
          :hours="shop[key]"
          @change="(hours) => emit('change', { [key]: hours }, 'Hours changed')"
        />
      </ChoiceRow>
    </div>
    <h2 class="section-head">Defaults for a new plan</h2>
    <div class="field-grid">
      <PickRow
        v-for="{ key, label, name, options } in PICKS"
        :key
        :label
        :name
        :model-value="defaults[key]"
        :options
        @update:model-value="setDefault({ [key]: $event })"
      />
      <AmountRow
        label="Ratio"
        name="Default ratio"
        lazy
        :value="defaults.ratio"
        :kind="ratioKind({ step: 0.5, min: 0.5, max: 60 })"
        @change="(ratio) => setDefault({ ratio })"
      />
      <AmountRow
        label="Steep"
        name="Default hours"
        lazy
        :value="defaults.hours * 3600"
        :kind="hoursKind({ step: 1800, min: 3600, max: 604800 })"
        @change="(s) => setDefault({ hours: s / 3600 })"
      />
    </div>
    <h2 class="section-head">The mill’s dial for each grind</h2>
    <div class="field-grid">
      <TextRow
        label="Mill"
        name="Mill’s name"
        :value="shop.mill.name"
        @change="emit('change', { mill: { ...shop.mill, name: $event } }, 'Mill renamed')"
      />
      <TextRow
        v-for="grind in GRIND_NAMES"
        :key="grind"
        :label="grind"
        :name="`Dial for ${grind}`"
        :value="shop.mill.settings[grind]"
        @change="
          emit(
            'change',
            { mill: { ...shop.mill, settings: { ...shop.mill.settings, [grind]: $event } } },
            `Dial for ${grind} changed`,
          )
        "
      />
    </div>
    <h2 class="section-head">Scoop and filters</h2>
    <div class="field-grid">
      <AmountRow
        label="The scoop holds"
        lazy
        :value="shop.scoopMl"
        :kind="volumeKind(format, { step: 5, min: 1, max: 2000 })"
        @change="(scoopMl) => emit('change', { scoopMl }, 'Scoop changed')"
      />
      <ChoiceRow v-for="(filter, i) in shop.filters" :key="i" :label="`${filter.kind}, takes`">
        <div class="filter">
          <TextField
            label="Filter’s name"
            needed
            :value="filter.name"
            @change="setFilter(i, { name: $event })"
          />
          <AmountField
            lazy
            :label="`${filter.name} takes`"
            :value="filter.takesG"
            :kind="massKind(format, { step: 50, min: 5, max: 50000 })"
            @change="(takesG) => setFilter(i, { takesG })"
          />
        </div>
      </ChoiceRow>
    </div>
    <p>
      Add a
      <button
        v-for="kind in FILTER_KINDS"
        :key="kind"
        type="button"
        class="text-button"
        @click="addFilter(kind)"
      >
        {{ kind }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 10px;
}

.section-head {
  margin-top: 10px;
}

.filter :deep(.el-input__inner) {
  font-size: var(--t15);
}

.filter {
  display: grid;
}
</style>
