<script setup lang="ts">
import { MOST_SAMPLES, planOfSample, sampleSet, type SampleSet } from '@ratio/core/batch';
import { GRIND_NAMES, type Grind } from '@ratio/core/coffee';
import { amountText, writeMass } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { storeToRefs } from 'pinia';
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import { clockTime } from '../../format/formatClock.ts';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import ChoiceRow from '../../components/fields/ChoiceRow.vue';
import HoursListField from '../../components/fields/HoursListField.vue';
import ListField from '../../components/fields/ListField.vue';
import { useDraft } from '../../stores/draft.ts';
import { useNotice } from '../../stores/notice.ts';
import { useSamples } from '../../stores/samples.ts';
import { useSettings } from '../../stores/settings.ts';
import { useShop } from '../../stores/shop.ts';
import { useStored } from '../../composables/useStored.ts';
import SampleTable from './SampleTable.vue';

const HOUR_MS = 3_600_000;

const shelf = useShop();
const drafts = useDraft();
const samples = useSamples();
const settings = useSettings();
const notice = useNotice();
const router = useRouter();
const { plan, coffee, model } = storeToRefs(drafts);
const busy = ref(false);
void samples
  .load()
  .catch((error: unknown) => notice.say({ tone: 'wrong', text: sentenceOf(error) }));

const jarId = useStored<string>('ratio.samples.jar', '');
const ratios = useStored<number[]>('ratio.samples.ratios', [5, 7]);
const grinds = useStored<Grind[]>('ratio.samples.grinds', ['coarse', 'medium']);
const hours = useStored<number[]>('ratio.samples.hours', [18]);

const jar = computed(
  () => shelf.vessels.find(({ id }) => id === jarId.value) ?? shelf.vessels.at(-1) ?? null,
);
const count = computed(() => ratios.value.length * grinds.value.length * hours.value.length);
const jars = computed<SampleSet['jars']>(() => {
  if (!model.value || !jar.value || count.value < 1 || count.value > MOST_SAMPLES) return [];
  const made = sampleSet({
    plan: plan.value,
    model: model.value,
    jar: jar.value,
    ratios: ratios.value,
    grinds: grinds.value,
    hours: hours.value,
  });
  return made.map((sample) => ({ ...sample, score: null, note: '' }));
});
const mass = (massG: number): string =>
  massG < 500 && settings.units === 'metric'
    ? `${massG.toFixed(1)}\u2009g`
    : amountText(writeMass({ massG, units: settings.units }));
const strainAt = (startedAt: string | null) => (after: number) =>
  startedAt === null
    ? `after ${after} h`
    : clockTime({ at: new Date(Date.parse(startedAt) + after * HOUR_MS), zone: shelf.zone });
const toggle = (grind: Grind): void => {
  const on = grinds.value.includes(grind);
  const next = on ? grinds.value.filter((one) => one !== grind) : [...grinds.value, grind];
  if (next.length > 0) grinds.value = next;
};

async function keep(set: SampleSet, done: string): Promise<void> {
  busy.value = true;
  try {
    await samples.save(set);
    notice.say({ tone: 'done', text: done });
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
    await samples.load().catch(() => undefined);
  } finally {
    busy.value = false;
  }
}

const start = (): Promise<void> =>
  keep(
    {
      id: newId(),
      version: 0,
      plan: plan.value,
      jarId: jar.value!.id,
      jarName: jar.value!.name,
      coffeeName: coffee.value!.name,
      jars: jars.value,
      startedAt: shelf.now.toISOString(),
    },
    `${jars.value.length} jars are steeping.`,
  );

const score = (set: SampleSet, number: number, value: number | null): Promise<void> =>
  keep(
    {
      ...set,
      jars: set.jars.map((one) => (one.number === number ? { ...one, score: value } : one)),
    },
    `Jar ${number}: ${value === null ? 'not tasted' : `${value} of 5`}.`,
  );

async function take(from: Pick<SampleSet, 'plan' | 'jars'>, number: number): Promise<void> {
  const sample = from.jars.find((one) => one.number === number);
  if (!sample) return;
  drafts.takePlan(planOfSample({ plan: from.plan, sample }));
  await router.push('/plan');
}
const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <header>
      <h1>Small jars first</h1>
      <p class="soft">
        Some coffees taste wrong cold. Steep a few small jars of {{ coffee?.name }} side by side
        before a whole batch; the winner scales back up.
        <RouterLink to="/plan">Back to the plan</RouterLink>
      </p>
    </header>
    <form class="choose no-print" aria-label="What varies" @submit.prevent>
      <ChoiceRow label="Jar" :note="jar?.shaken ? '30 % kept free' : '15 % kept free'">
        <ChoiceField
          label="Jar"
          :model-value="jar?.id ?? ''"
          :options="shelf.vessels.map(({ id, name }) => ({ value: id, label: name }))"
          @update:model-value="jarId = $event"
        />
      </ChoiceRow>
      <ChoiceRow label="Ratios"
        ><ListField
          label="Ratios"
          :values="ratios"
          accepts="ratio"
          :write="(ratio) => `1:${ratio}`"
          :min="1"
          :max="60"
          limit-text="Between 1:1 and 1:60."
          @change="ratios = $event"
      /></ChoiceRow>
      <ChoiceRow label="Hours"
        ><HoursListField label="Hours" :hours="hours" placeholder="18 h" @change="hours = $event"
      /></ChoiceRow>
      <ChoiceRow label="Grinds">
        <div class="grinds">
          <label v-for="grind in GRIND_NAMES" :key="grind">
            <input type="checkbox" :checked="grinds.includes(grind)" @change="toggle(grind)" />
            {{ grind }}
          </label>
        </div>
      </ChoiceRow>
    </form>
    <section v-if="jars.length > 0" aria-label="The set">
      <SampleTable
        :jars="jars"
        :write-mass="mass"
        :strain-at="strainAt(null)"
        :scored="false"
        @take="take({ plan, jars }, $event)"
      />
      <p class="go no-print">
        <ElButton type="primary" :loading="busy" @click="start">Start them together</ElButton>
        <ElButton @click="print">Print the bench sheet</ElButton>
      </p>
    </section>
    <p v-else class="due" role="status">
      {{ count }} jars: between one and {{ MOST_SAMPLES }} can be tasted side by side. Take fewer
      ratios, grinds or hours.
    </p>
    <section
      v-for="set in samples.sets"
      :key="set.id"
      class="kept no-print"
      :aria-label="`Set of ${set.coffeeName}`"
    >
      <h2 class="name">
        {{ set.coffeeName }}, {{ set.jars.length }} in {{ set.jarName }}
        <span class="soft">{{
          set.startedAt
            ? `since ${clockTime({ at: new Date(set.startedAt), zone: shelf.zone })}`
            : ''
        }}</span>
      </h2>
      <SampleTable
        :jars="set.jars"
        :write-mass="mass"
        :strain-at="strainAt(set.startedAt)"
        scored
        @score="(number, value) => score(set, number, value)"
        @take="take(set, $event)"
      />
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 20px;
  max-width: 1160px;
  padding: 24px;
}

.choose {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px 28px;
}

.choose > :last-child {
  grid-column: 1 / -1;
}

.grinds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.grinds label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 36px;
}

.go {
  padding-top: 14px;
}

.kept {
  border: 1px solid var(--hairline);
  background: var(--panel);
  padding: 14px 20px;
}

.name {
  color: var(--ink);
  font-size: var(--t18);
}

@media (max-width: 700px) {
  .choose {
    grid-template-columns: 1fr;
  }
}
</style>
