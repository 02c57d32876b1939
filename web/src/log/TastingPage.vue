<script setup lang="ts">
import { SCALE_NAMES, SCALES, type Scale } from '@ratio/core/tasting';
import { ref } from 'vue';
import BlindBegin from './BlindBegin.vue';
import BlindServing from './BlindServing.vue';
import LogWays from './LogWays.vue';
import { useTastingPage } from './useTastingPage.ts';
import { useBatches } from '../events/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { ActButton, ChoiceField, PickButtons, TextRow } from '../ui/fields/index.ts';
import { ToBatches } from '../ui/figures/index.ts';

/** How it tasted: quick scores, and comparisons in which nobody knows which is which. */
const { tasted, ofId, of, keep, rows, test, openId, begin, answer, at, question, verdict, tests } =
  useTastingPage();

const batches = useBatches();
const scores = ref<Partial<Record<Scale, number>>>({});
const taster = ref('');
const note = ref('');
const served = ref<'cold' | 'hot' | null>('cold');
const diluted = ref<'as' | 'diluted' | null>('as');
const FIVE = [1, 2, 3, 4, 5].map((value) => ({ value, text: String(value) }));
async function keepIt(): Promise<void> {
  await keep({
    scores: scores.value,
    taster: taster.value.trim(),
    note: note.value.trim(),
    served: served.value ?? 'cold',
    diluted: diluted.value === 'diluted',
  });
  [scores.value, note.value] = [{}, ''];
}
const said = (row: (typeof rows.value)[number]): string =>
  SCALE_NAMES.flatMap((name) =>
    row.said.scores[name] === undefined
      ? []
      : [`${SCALES[name].name.toLowerCase()} ${row.said.scores[name]}`],
  ).join(', ');
</script>

<template>
  <div class="page tasting">
    <LogWays title="Tasting" />
    <BlindServing
      v-if="test"
      :key="`${test.id} ${at}`"
      :test
      :at
      :question
      :verdict
      @answer="(picked, who) => answer(at, picked, who)"
      @leave="openId = null"
    />
    <div v-else class="two">
      <section aria-labelledby="score">
        <h2 id="score" class="section-head">Quick scores</h2>
        <template v-if="of">
          <ChoiceField
            :model-value="of.value"
            label="What is tasted"
            :options="tasted"
            @update:model-value="ofId = $event"
          />
          <div v-for="name in SCALE_NAMES" :key="name" class="scale">
            <span>{{ SCALES[name].name }}</span>
            <span class="soft end">{{ SCALES[name].low }}</span>
            <PickButtons
              :model-value="scores[name] ?? null"
              :label="SCALES[name].name"
              :options="FIVE"
              small
              @update:model-value="scores = { ...scores, [name]: $event ?? undefined }"
            />
            <span class="soft">{{ SCALES[name].high }}</span>
          </div>
          <div class="how">
            <PickButtons
              v-model="served"
              label="Served"
              small
              :options="[
                { value: 'cold', text: 'cold' },
                { value: 'hot', text: 'hot' },
              ]"
            />
            <PickButtons
              v-model="diluted"
              label="Diluted"
              small
              :options="[
                { value: 'as', text: 'as it is' },
                { value: 'diluted', text: 'diluted' },
              ]"
            />
          </div>
          <TextRow
            label="Who tasted"
            placeholder="a name"
            :value="taster"
            live
            @change="taster = $event"
          />
          <TextRow
            label="A note"
            placeholder="what it is like"
            :value="note"
            live
            @change="note = $event"
          />
          <ActButton primary :disabled="Object.keys(scores).length === 0" @act="keepIt"
            >Keep these scores</ActButton
          >
          <ul class="said">
            <li v-for="row in rows" :key="row.id">
              <b>{{ row.taster || 'somebody' }}</b> {{ said(row) }}
              <span class="soft">{{ row.note }}</span>
            </li>
          </ul>
        </template>
        <p v-else class="soft">
          There is nothing on hand to taste, and no batch yet.
          <ToBatches :steeping="batches.steeping.length > 0" />
        </p>
      </section>
      <section aria-labelledby="blind">
        <h2 id="blind" class="section-head">Blind comparison</h2>
        <BlindBegin v-if="tasted.length > 1" :tasted @begin="begin" />
        <p v-else class="soft">It takes two jugs or batches.</p>
        <ul class="tests">
          <li v-for="one in tests" :key="one.id">
            <LinkButton @click="openId = one.id">{{ one.text }}</LinkButton>
            <span class="soft">{{ one.kind }}, {{ one.done }} of {{ one.all }} answered</span>
            <p v-if="one.verdict !== ''">{{ one.verdict }}</p>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 48px;
  margin-top: 16px;
}

section {
  display: grid;
  align-content: start;
  gap: 10px;
}

.scale {
  display: grid;
  grid-template-columns: 90px 70px auto 1fr;
  align-items: center;
  gap: 12px;
}

.end {
  text-align: right;
}

.scale .soft {
  font-size: var(--t13);
}

.how {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}

.said,
.tests {
  display: grid;
  gap: 8px;
  font-size: var(--t13);
}

.tests :deep(.el-button) {
  padding: 0;
  min-height: 32px;
}

@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
