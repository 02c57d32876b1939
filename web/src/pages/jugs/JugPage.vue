<script setup lang="ts">
import { coffeeOf, storedCoffeeMl } from '@ratio/core';
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { clockTime, dayName } from '../../clock/formatClock.ts';
import JugDrawing from '../../drawing/JugDrawing.vue';
import { cssColour } from '../../drawing/colour.ts';
import AmountField from '../../field/AmountField.vue';
import ChoiceField from '../../field/ChoiceField.vue';
import ChoiceRow from '../../field/ChoiceRow.vue';
import BigFigure from '../../figure/BigFigure.vue';
import { onHandMl } from '../../stores/jugs.ts';
import { useWords } from '../../stores/useWords.ts';
import BalanceCard from './BalanceCard.vue';
import JugLedger from './JugLedger.vue';
import { useJug } from './useJug.ts';

/** One jug: read it, thin it, blend it, stretch it, each as a balance before it is done. */
const bench = useJug();
const { jug, entries, others, shelf, jugs } = bench;
const words = useWords();
const { pct, mass, volume } = words;

const readFrac = ref(0);
const thinFrac = ref(0);
const blendFrac = ref(0);
const stretchG = ref(0);
const otherId = ref('');
watch(
  () => [jug.value?.id, jug.value?.strengthFrac, jug.value?.onHandG],
  () => {
    if (!jug.value) return;
    const { strengthFrac, onHandG } = jug.value;
    readFrac.value = strengthFrac;
    // The usual concentrate of the house to begin with; whoever works here says otherwise.
    thinFrac.value = Math.round(strengthFrac * 0.9 * 1e4) / 1e4;
    stretchG.value = Math.round((onHandG * 1.15) / 10) * 10;
    const other = others.value.find(({ id }) => id === otherId.value) ?? others.value[0];
    otherId.value = other?.id ?? '';
    if (other) blendFrac.value = Math.round(((strengthFrac + other.strengthFrac) / 2) * 1e4) / 1e4;
  },
  { immediate: true },
);
const other = computed(() => others.value.find(({ id }) => id === otherId.value) ?? null);
function chooseOther(id: string): void {
  otherId.value = id;
  const found = others.value.find((one) => one.id === id);
  if (found && jug.value)
    blendFrac.value = Math.round(((jug.value.strengthFrac + found.strengthFrac) / 2) * 1e4) / 1e4;
}

const thin = computed(() => bench.thinTo(thinFrac.value));
const blend = computed(() => (other.value ? bench.blendWith(other.value, blendFrac.value) : null));
const stretch = computed(() => bench.stretchTo(stretchG.value));
const menuText = (afterFrac: number, afterG: number): string => {
  const now = bench.menuAt(jug.value?.strengthFrac ?? 0, jug.value?.onHandG ?? 0);
  const then = bench.menuAt(afterFrac, afterG);
  const lost = then.short.filter((name) => !now.short.includes(name));
  const gained = now.short.filter((name) => !then.short.includes(name));
  const [first] = then.counts;
  const before = now.counts[0];
  const count = first && before ? ` ${first.name}: ${before.count} → ${first.count}.` : '';
  if (lost.length > 0) return `Out of reach then: ${lost.join(', ')}.${count}`;
  if (gained.length > 0) return `In reach again: ${gained.join(', ')}.${count}`;
  return `The menu stays in reach as it is.${count}`;
};
const m = computed(() => jug.value?.onHandG ?? 0);
const c = computed(() => jug.value?.strengthFrac ?? 0);
const level = computed(() => (jug.value ? volume(onHandMl(jug.value)) : ''));
const room = computed(() =>
  jug.value ? Math.max(0, jug.value.capacityMl - onHandMl(jug.value)) : 0,
);
const afterMl = (massG: number, strengthFrac: number): string =>
  volume(storedCoffeeMl({ massG, strengthFrac }));
</script>

<template>
  <div v-if="jug" class="page">
    <header>
      <JugDrawing
        :capacity-ml="jug.capacityMl"
        :on-hand-ml="onHandMl(jug)"
        :colour="cssColour(coffeeOf({ massG: 1, strengthFrac: jug.strengthFrac }))"
        :text="`${level} in ${jug.label}`"
      />
      <div>
        <h1>{{ jug.label }}</h1>
        <p class="soft">
          {{ jug.coffeeName }}, made
          {{ clockTime({ at: new Date(jug.madeAt), zone: shelf.zone }) }}, use by
          {{ dayName({ at: new Date(jug.useBy), zone: shelf.zone }) }}
        </p>
        <p>
          <RouterLink to="/pour" @click="jugs.choose(jug.id)">Pour from it</RouterLink> ·
          <RouterLink :to="`/label?jug=${jug.id}`">Its label</RouterLink> ·
          <RouterLink to="/jugs">All jugs</RouterLink>
        </p>
      </div>
      <BigFigure
        :label="
          jug.readBy === 'refractometer'
            ? 'Strength, read'
            : jug.readBy === 'balance'
              ? 'Strength, by the balance'
              : 'Strength, predicted'
        "
        size="middle"
        :figure="(100 * jug.strengthFrac).toFixed(2)"
        unit="%"
      />
      <BigFigure
        label="On hand"
        size="middle"
        :figure="level.split('\u2009')[0]!"
        :unit="level.split('\u2009')[1]!"
      >
        {{ mass(m) }}, room for {{ volume(room) }} more
      </BigFigure>
    </header>
    <div class="cards">
      <BalanceCard
        title="Read it"
        reason="Black coffee, stirred, at room temperature. A refractometer counts milk and sugar too."
        :balance="null"
        :worked="`${pct(c)} → ${pct(readFrac)}, caffeine with it`"
        :menu="menuText(readFrac, m)"
        action="Note this reading"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'read', strengthFrac: readFrac, note: '' },
            `${jug.label}: read ${pct(readFrac)}.`,
          )
        "
      >
        <ChoiceRow label="Refractometer">
          <AmountField
            label="Reading of the jug"
            :value="readFrac"
            :accepts="['percent']"
            :write="pct"
            :step="0.0005"
            :min="0.001"
            :max="0.2"
            limit-text="Between 0.1 % and 20 %."
            @change="readFrac = $event"
          />
        </ChoiceRow>
      </BalanceCard>
      <BalanceCard
        title="Bring it down to a strength"
        reason="Water, cold and filtered: the solids stay, so m (c / c* − 1)."
        :balance="thin"
        :worked="`${mass(m)} (${pct(c)} / ${pct(thinFrac)} − 1) = ${mass(thin.addG)} of water, ${afterMl(thin.afterG, thin.afterFrac)} in all`"
        :menu="menuText(thin.afterFrac, thin.afterG)"
        :action="`Add ${mass(thin.addG)} of water`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'watered', massG: thin.addG, note: `down to ${pct(thinFrac)}` },
            `${jug.label}: ${mass(thin.addG)} of water added.`,
          )
        "
      >
        <ChoiceRow label="Strength wanted">
          <AmountField
            label="Strength wanted in the jug"
            :value="thinFrac"
            :accepts="['percent']"
            :write="pct"
            :step="0.0005"
            :min="0.001"
            :max="0.2"
            limit-text="Between 0.1 % and 20 %."
            @change="thinFrac = $event"
          />
        </ChoiceRow>
      </BalanceCard>
      <BalanceCard
        v-if="other && blend"
        title="Blend it with another jug"
        reason="Up or down, between the two: m (c* − c) / (c₂ − c*). The older one’s date then holds for both."
        :balance="blend"
        :worked="`${mass(m)} (${pct(blendFrac)} − ${pct(c)}) / (${pct(other.strengthFrac)} − ${pct(blendFrac)}) = ${mass(blend.addG)} of ${other.label}, ${afterMl(blend.afterG, blend.afterFrac)} in all`"
        :menu="menuText(blend.afterFrac, blend.afterG)"
        :action="`Add ${mass(blend.addG)} of ${other.label}`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            {
              kind: 'blended',
              fromJugId: other.id,
              massG: blend.addG,
              note: `${other.label} into ${jug.label}`,
            },
            `${mass(blend.addG)} of ${other.label} into ${jug.label}.`,
          )
        "
      >
        <ChoiceRow label="With">
          <ChoiceField
            label="Blend with"
            :model-value="otherId"
            :options="
              others.map((one) => ({
                value: one.id,
                label: `${one.label}, ${pct(one.strengthFrac)}`,
                reason: `${one.coffeeName}, ${volume(onHandMl(one))}`,
              }))
            "
            @update:model-value="chooseOther"
          />
        </ChoiceRow>
        <ChoiceRow label="To a strength of">
          <AmountField
            label="Strength of the blend"
            :value="blendFrac"
            :accepts="['percent']"
            :write="pct"
            :step="0.0005"
            :min="0.001"
            :max="0.2"
            limit-text="Between 0.1 % and 20 %."
            @change="blendFrac = $event"
          />
        </ChoiceRow>
      </BalanceCard>
      <BalanceCard
        title="Stretch it for a rush"
        reason="Water to an amount. Drinks poured by hand come out weaker; those to a strength take more of it."
        :balance="stretch"
        :worked="`${mass(m)} · ${pct(c)} / ${mass(stretchG)} = ${pct(stretch.afterFrac)}, with ${mass(stretch.addG)} of water`"
        :menu="menuText(stretch.afterFrac, stretch.afterG)"
        :action="`Add ${mass(stretch.addG)} of water`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'watered', massG: stretch.addG, note: `stretched to ${mass(stretchG)}` },
            `${jug.label}: stretched to ${mass(stretchG)}.`,
          )
        "
      >
        <ChoiceRow label="To">
          <AmountField
            label="Amount wanted in the jug"
            :value="stretchG"
            :accepts="['mass']"
            :plain-unit="words.plainMass.value"
            :write="mass"
            :step="50"
            :min="1"
            :max="200000"
            limit-text="Up to 200 kg."
            @change="stretchG = $event"
          />
        </ChoiceRow>
      </BalanceCard>
    </div>
    <JugLedger :entries="entries" :zone="shelf.zone" :write-mass="mass" :write-pct="pct" />
  </div>
  <div v-else class="page empty">
    <h1>There is no such jug</h1>
    <p>It may have been emptied. <RouterLink to="/jugs">See what is on hand</RouterLink></p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 16px;
  max-width: 1240px;
  padding: 18px 24px;
}

header {
  display: grid;
  grid-template-columns: 92px 1fr auto auto;
  align-items: start;
  gap: 8px 36px;
}

.cards {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px;
}

@media (max-width: 860px) {
  header {
    grid-template-columns: 92px 1fr;
  }

  .cards {
    grid-template-columns: 1fr;
  }
}
</style>
