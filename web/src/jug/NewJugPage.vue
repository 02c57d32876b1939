<script setup lang="ts">
import { percentFigure, type Expected } from '@ratio/core/units';
import { computed } from 'vue';
import { useNewJug } from './useNewJug.ts';
import { STRENGTH, hoursKind, partsKind, pouredKind, ratioKind } from '../format/index.ts';
import {
  ActButton,
  AmountRow,
  ChoiceRow,
  PickButtons,
  PickRow,
  TextRow,
  TimeField,
  useRefusals,
} from '../ui/fields/index.ts';
import { BigFigure } from '../ui/figures/index.ts';

/** Notes a jug that was made elsewhere: how strong, how much, when. */
const page = useNewJug();
const { form, change, known, free, shop, format } = page;
useRefusals();

const WAYS = [
  { value: 'taste', text: 'By taste' },
  { value: 'recipe', text: 'By its recipe' },
  { value: 'reading', text: 'By a reading' },
] as const;
const PLACES = [
  { value: 'fridge', label: 'in the fridge' },
  { value: 'counter', label: 'on the counter' },
] as const;
const amountKind = computed(() =>
  pouredKind(format.value, {
    step: 50,
    min: 1,
    max: 200_000,
    gPerMl: page.densityGPerMl.value,
  }),
);
/** It stays as it was seen: by volume or by mass. */
function setAmount(volumeMl: number, quantity: Expected): void {
  const isMass = quantity === 'mass';
  change({
    amount: isMass ? volumeMl * page.densityGPerMl.value : volumeMl,
    seenAs: isMass ? 'mass' : 'volume',
  });
}
const untold = computed(() => {
  if (form.value.amount === null) return 'Say how much is in it';
  return known.value ? '' : 'Say what was read';
});
</script>

<template>
  <div class="page narrow">
    <h1>A jug that was made elsewhere</h1>
    <div class="columns">
      <section aria-label="How strong it is">
        <PickButtons
          label="How its strength is known"
          :options="WAYS"
          :model-value="form.knownBy"
          @update:model-value="$event && change({ knownBy: $event })"
        />
        <AmountRow
          v-if="form.knownBy === 'taste'"
          label="It tastes right at, concentrate to water"
          note="1:1, 2:1, 1 to 2"
          name="Concentrate to water at which it tastes right"
          :value="form.rest"
          :kind="partsKind({ step: 0.25, min: 0, max: 20, limitText: 'Between 20:1 and 1:20.' })"
          @change="(rest) => change({ rest })"
        />
        <template v-else-if="form.knownBy === 'recipe'">
          <AmountRow
            label="Ratio, coffee to water"
            note="by mass"
            :value="form.ratio"
            :kind="ratioKind({ step: 0.5, min: 1, max: 60 })"
            @change="(ratio) => change({ ratio })"
          />
          <AmountRow
            label="Steeped for"
            :value="form.hours * 3600"
            :kind="hoursKind({ step: 3600, min: 900, max: 604800 })"
            @change="(timeS) => change({ hours: timeS / 3600 })"
          />
          <PickRow
            label="Where"
            :options="PLACES"
            :model-value="form.place"
            @update:model-value="change({ place: $event })"
          />
        </template>
        <AmountRow
          v-else
          label="Refractometer"
          placeholder="3.4 %"
          :value="form.readFrac"
          :kind="STRENGTH"
          @change="(readFrac) => change({ readFrac })"
        />
        <BigFigure
          v-if="known"
          class="strength"
          label="Strength (TDS)"
          size="large"
          :figure="percentFigure(known.strengthFrac)"
          unit="%"
        >
          <template v-if="known.range">
            {{ percentFigure(known.range.low) }} to {{ percentFigure(known.range.high) }}.
            {{
              form.knownBy === 'taste'
                ? 'A cup is 1.15 to 1.45 % when it tastes right. A reading narrows it.'
                : 'By the model, for a coarse grind. A reading narrows it.'
            }}
          </template>
        </BigFigure>
      </section>
      <section aria-label="What is in it">
        <AmountRow
          label="In it now, by volume or mass"
          name="How much is in it"
          placeholder="1.2 L"
          :note="
            page.volumeMl.value === null
              ? ''
              : format.mass(page.volumeMl.value * page.densityGPerMl.value)
          "
          :value="page.volumeMl.value"
          :kind="amountKind"
          @change="setAmount"
        />
        <p v-if="page.wrong.value !== ''" class="due" role="alert">{{ page.wrong.value }}</p>
        <ChoiceRow label="Made">
          <TimeField
            label="Made"
            :at-ms="form.madeMs"
            :now="shop.now"
            :zone="shop.zone"
            looks="back"
            :max="{ ms: shop.now.getTime() + 60_000, text: 'That is still to come.' }"
            :taps="form.madeMs === null ? ['yesterday 18:00'] : ['now']"
            @change="change({ madeMs: $event })"
          />
        </ChoiceRow>
        <PickRow
          v-if="free.length > 0"
          label="It stands in"
          :options="[
            ...free.map(({ id, name, markMl, brimMl }) => ({
              value: id,
              label: name,
              reason: `takes ${format.volume(markMl ?? brimMl)}`,
            })),
            { value: page.NO_VESSEL, label: 'Another jug', reason: 'none of the shop’s' },
          ]"
          :model-value="form.vesselId"
          @update:model-value="change({ vesselId: $event })"
        />
        <PickRow
          label="Coffee"
          :options="[
            { value: page.NO_COFFEE, label: 'Not known' },
            ...shop.brewable.map(({ id, name }) => ({ value: id, label: name })),
          ]"
          :model-value="form.coffeeId"
          @update:model-value="change({ coffeeId: $event })"
        />
        <TextRow
          label="Label"
          live
          :placeholder="free.find(({ id }) => id === form.vesselId)?.name ?? page.UNTITLED"
          :value="form.label"
          @change="change({ label: $event })"
        />
      </section>
    </div>
    <ActButton
      primary
      :disabled="untold !== '' || page.wrong.value !== ''"
      :doing="page.saving.value"
      @act="page.add"
      >{{ untold || 'Put it on hand' }}</ActButton
    >
    <p class="soft fine">
      A jug whose date is not known is discarded: the local food code decides how long it keeps.
    </p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 18px;
  justify-items: start;
}

.columns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px 48px;
  width: 100%;
}

.strength {
  margin-top: 14px;
}

.fine {
  font-size: var(--t13);
}

@media (max-width: 640px) {
  .page {
    padding: 14px;
  }

  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
