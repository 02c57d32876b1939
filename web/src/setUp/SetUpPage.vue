<script setup lang="ts">
import { ROASTS } from '@ratio/core/coffee';
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import { QUESTIONS, useSetUp } from './useSetUp.ts';
import { hoursKind, largeVolumeKind, pricePerMassKind, ratioKind } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { LeaveOutButton } from '../ui/buttons/index.ts';
import {
  ActButton,
  AmountRow,
  ChoiceRow,
  ClockField,
  PickRow,
  TextRow,
  useRefusals,
} from '../ui/fields/index.ts';

/** Five questions, one at a time; each can be left out, and it comes back to where it stopped. */
const page = useSetUp();
const { at, coffee, vessel, details, drinks } = page;
const format = useAmountFormat();
useRefusals();

const HEADS = [
  'Which coffee?',
  'What does it steep in?',
  'How do you usually steep?',
  'When are you open, and who is in?',
  'What do you pour?',
] as const;
const roasts = ROASTS.map((value) => ({ value, label: value }));
const PLACES = [
  { value: 'fridge', label: 'in the fridge' },
  { value: 'counter', label: 'on the counter' },
] as const;
const HOURS = [
  { key: 'openHours', label: 'Opens' },
  { key: 'closeHours', label: 'Closes' },
  { key: 'crewFromHours', label: 'Somebody in from' },
  { key: 'crewToHours', label: 'until' },
] as const;
const question = computed(() => QUESTIONS[at.value] ?? 'coffee');
/** What is still to be said; empty where nothing is. */
const untold = computed(() => {
  if (question.value === 'coffee' && coffee.value.name.trim() === '') return 'Say its name';
  if (question.value !== 'vessel') return '';
  if (vessel.value.name.trim() === '') return 'Say what it is called';
  return vessel.value.brimMl === null ? 'Say what it holds' : '';
});
async function answer(): Promise<void> {
  if (question.value === 'coffee') await page.saveCoffee();
  else if (question.value === 'vessel') await page.saveVessel();
  else if (question.value === 'menu') await page.keepMenu();
  else await page.next();
}
</script>

<template>
  <div v-if="details" class="page">
    <p class="label">{{ at + 1 }} of {{ QUESTIONS.length }}</p>
    <h1>{{ HEADS[at] }}</h1>
    <form class="asked" @submit.prevent>
      <template v-if="question === 'coffee'">
        <TextRow
          label="Name"
          name="Name of the coffee"
          live
          placeholder="as it stands on the bag"
          :value="coffee.name"
          @change="coffee = { ...coffee, name: $event }"
        />
        <PickRow
          label="Roast"
          :options="roasts"
          :model-value="coffee.roast"
          @update:model-value="coffee = { ...coffee, roast: $event }"
        />
        <AmountRow
          :label="`Price a ${format.pricedMass}`"
          placeholder="not known"
          :value="coffee.pricePerKg"
          :kind="pricePerMassKind(format, { max: 1000 })"
          @change="(pricePerKg) => (coffee = { ...coffee, pricePerKg })"
        />
      </template>
      <template v-else-if="question === 'vessel'">
        <TextRow
          label="Name"
          name="Name of the vessel"
          live
          placeholder="Tall jar"
          :value="vessel.name"
          @change="vessel = { ...vessel, name: $event }"
        />
        <AmountRow
          label="Holds to the brim"
          placeholder="6 L"
          :value="vessel.brimMl"
          :kind="largeVolumeKind(format, { step: 100, min: 100, max: 200000 })"
          @change="(brimMl) => (vessel = { ...vessel, brimMl })"
        />
      </template>
      <template v-else-if="question === 'steep'">
        <PickRow
          label="Where"
          :options="PLACES"
          :model-value="details.defaults.place"
          @update:model-value="page.saveShop({ defaults: { ...details.defaults, place: $event } })"
        />
        <AmountRow
          label="For"
          name="Hours of a usual steep"
          lazy
          :value="details.defaults.hours * 3600"
          :kind="hoursKind({ step: 3600, min: 900, max: 604800 })"
          @change="
            (timeS) => page.saveShop({ defaults: { ...details!.defaults, hours: timeS / 3600 } })
          "
        />
        <AmountRow
          label="Ratio, coffee to water"
          lazy
          :value="details.defaults.ratio"
          :kind="ratioKind({ step: 0.5, min: 0.5, max: 60 })"
          @change="(ratio) => page.saveShop({ defaults: { ...details!.defaults, ratio } })"
        />
      </template>
      <template v-else-if="question === 'hours'">
        <ChoiceRow v-for="{ key, label } in HOURS" :key :label>
          <ClockField
            :label
            :hours="details[key]"
            @change="(hours) => page.saveShop({ [key]: hours })"
          />
        </ChoiceRow>
      </template>
      <ul v-else>
        <li v-for="drink in drinks.usual" :key="drink.id">
          <span>{{ drink.name }}, {{ format.volume(drink.cupMl) }}</span>
          <LeaveOutButton :label="`Leave out ${drink.name}`" @click="drinks.remove(drink)" />
        </li>
      </ul>
    </form>
    <div class="do">
      <ActButton primary :disabled="untold !== ''" :doing="page.doing.value" @act="answer">{{
        untold || (question === 'menu' ? `Keep these ${drinks.usual.length}` : 'Next')
      }}</ActButton>
      <ElButton @click="page.next()">Leave it out</ElButton>
      <ElButton text @click="page.leave">Go on another time</ElButton>
    </div>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 12px;
  max-width: 560px;
  margin: 0 auto;
  padding: 32px 24px;
}

.asked {
  display: grid;
  gap: 4px;
}

li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--hairline);
}

.do {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 12px;
}

.do :deep(.el-button) {
  margin: 0;
}
</style>
