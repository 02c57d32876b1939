<script setup lang="ts">
import { storedCoffeeMl, waterDensityGPerMl } from '@ratio/core/matter';
import type { Expected } from '@ratio/core/units';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { jugOption } from '../../format/jugOption.ts';
import { STRENGTH, massKind, pouredKind } from '../../components/fields/amountKind.ts';
import AmountRow from '../../components/fields/AmountRow.vue';
import PickButtons from '../../components/fields/PickButtons.vue';
import TextRow from '../../components/fields/TextRow.vue';
import PickRow from '../../components/fields/PickRow.vue';
import { onHandMl } from '../../stores/jugs.ts';
import { useSession } from '../../stores/session.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import BalanceCard from './BalanceCard.vue';
import JugHead from './JugHead.vue';
import JugLedger from './JugLedger.vue';
import { useJugBench } from './useJugBench.ts';

/** One jug: read it, thin it, blend it, stretch it, each as a balance before it is done. */
const bench = useJugBench();
const { jug, entries, others, other, shelf, jugs, menus } = bench;
const { readFrac, thinFrac, blendFrac, stretchG, thin, blend, stretch } = bench;
const { waterG, water, drawnG, drawnFor, countedG, discardG, discardReason } = bench;
const format = useAmountFormat();
const WATER_G_PER_ML = waterDensityGPerMl(4);
const session = useSession();
const gPerMl = computed(() => 1 / storedCoffeeMl({ massG: 1, strengthFrac: c.value }));
const tareG = computed(
  () => shelf.jugVessels.find(({ id }) => id === jug.value?.vesselId)?.tareG ?? null,
);
/** On the scale the jug is weighed too, where its own mass is known. */
function setCounted(volumeMl: number, quantity: Expected): void {
  const seenG = volumeMl * gPerMl.value;
  countedG.value = quantity === 'mass' ? Math.max(0, seenG - (tareG.value ?? 0)) : seenG;
}
const VIEWS = [
  { value: 'read', text: 'Read it', least: 'brews' },
  { value: 'water', text: 'Add water', least: 'brews' },
  { value: 'thin', text: 'To a strength', least: 'brews' },
  { value: 'blend', text: 'Blend', least: 'brews' },
  { value: 'stretch', text: 'Stretch', least: 'brews' },
  { value: 'draw', text: 'Draw off', least: 'pours' },
  { value: 'count', text: 'Count', least: 'pours' },
  { value: 'discard', text: 'Discard', least: 'pours' },
] as const;
type View = (typeof VIEWS)[number]['value'];
const views = computed(() =>
  VIEWS.filter(
    ({ value, least }) =>
      session.can(least) &&
      (value !== 'blend' || others.value.length > 0) &&
      (!jug.value?.onGrounds || ['draw', 'count', 'discard'].includes(value)),
  ),
);
const view = ref<View | null>(session.can('brews') && !jug.value?.onGrounds ? 'read' : 'count');

const m = computed(() => jug.value?.onHandG ?? 0);
const c = computed(() => jug.value?.strengthFrac ?? 0);
const level = computed(() => (jug.value ? format.value.volume(onHandMl(jug.value)) : ''));
const afterMl = (massG: number, strengthFrac: number): string =>
  format.value.volume(storedCoffeeMl({ massG, strengthFrac }));
</script>

<template>
  <div v-if="jug" class="page">
    <JugHead
      :jug
      :on-hand-ml="onHandMl(jug)"
      :zone="shelf.zone"
      :format
      @choose="jugs.choose(jug.id)"
    />
    <PickButtons v-model="view" class="no-print" label="What to do to it" :options="views" />
    <div class="cards">
      <BalanceCard
        v-if="view === 'read'"
        title="Read it"
        reason="Black coffee, stirred, at room temperature. A refractometer counts milk and sugar too."
        :balance="null"
        :worked="
          readFrac === null
            ? `Now ${format.percent(c)}.`
            : `${format.percent(c)} → ${format.percent(readFrac)}, caffeine with it`
        "
        :disabled="readFrac === null"
        :menu="menus.read.value"
        :action="readFrac === null ? 'Say what was read' : 'Note this reading'"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'read', strengthFrac: readFrac!, note: '' },
            `${jug.label}: read ${format.percent(readFrac!)}.`,
          )
        "
      >
        <AmountRow
          label="Refractometer"
          name="Reading of the jug"
          :placeholder="format.percent(c)"
          :value="readFrac"
          :kind="STRENGTH"
          @change="readFrac = $event"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'thin'"
        title="Bring it down to a strength"
        reason="Water, cold and filtered: the solids stay, so m (c / c* − 1)."
        :balance="thin"
        :worked="`${format.mass(m)} (${format.percent(c)} / ${format.percent(thinFrac)} − 1) = ${format.mass(thin.addG)} of water, ${afterMl(thin.afterG, thin.afterFrac)} in all`"
        :menu="menus.thin.value"
        :action="`Add ${format.mass(thin.addG)} of water`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'watered', massG: thin.addG, note: `down to ${format.percent(thinFrac)}` },
            `${jug.label}: ${format.mass(thin.addG)} of water added.`,
          )
        "
      >
        <AmountRow
          label="Strength wanted"
          name="Strength wanted in the jug"
          :value="thinFrac"
          :kind="STRENGTH"
          @change="thinFrac = $event"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'blend' && other && blend"
        title="Blend it with another jug"
        reason="Up or down, between the two: m (c* − c) / (c₂ − c*). The older one’s date then holds for both."
        :balance="blend"
        :worked="`${format.mass(m)} (${format.percent(blendFrac)} − ${format.percent(c)}) / (${format.percent(other.strengthFrac)} − ${format.percent(blendFrac)}) = ${format.mass(blend.addG)} of ${other.label}, ${afterMl(blend.afterG, blend.afterFrac)} in all`"
        :menu="menus.blend.value"
        :action="`Add ${format.mass(blend.addG)} of ${other.label}`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            {
              kind: 'blended',
              fromJugId: other.id,
              massG: blend.addG,
              note: `${other.label} into ${jug.label}`,
            },
            `${format.mass(blend.addG)} of ${other.label} into ${jug.label}.`,
          )
        "
      >
        <PickRow
          label="With"
          name="Blend with"
          :model-value="other.id"
          :options="others.map((one) => jugOption(one, format.volume(onHandMl(one)), format))"
          @update:model-value="bench.chooseOther"
        />
        <AmountRow
          label="To a strength of"
          name="Strength of the blend"
          :value="blendFrac"
          :kind="STRENGTH"
          @change="blendFrac = $event"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'stretch'"
        title="Stretch it for a rush"
        reason="Water to an amount. Drinks poured by hand come out weaker; those to a strength take more of it."
        :balance="stretch"
        :worked="`${format.mass(m)} · ${format.percent(c)} / ${format.mass(stretchG)} = ${format.percent(stretch.afterFrac)}, with ${format.mass(stretch.addG)} of water`"
        :menu="menus.stretch.value"
        :action="`Add ${format.mass(stretch.addG)} of water`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'watered', massG: stretch.addG, note: `stretched to ${format.mass(stretchG)}` },
            `${jug.label}: stretched to ${format.mass(stretchG)}.`,
          )
        "
      >
        <AmountRow
          label="To"
          name="Amount wanted in the jug"
          :value="stretchG"
          :kind="massKind(format, { step: 50, min: 1, max: 200000 })"
          @change="stretchG = $event"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'water'"
        title="I add water"
        reason="As it was seen, by volume or by mass."
        :balance="water"
        :worked="
          waterG === null
            ? 'Say how much.'
            : `${format.mass(m)} · ${format.percent(c)} / ${format.mass(water.afterG)} = ${format.percent(water.afterFrac)}, ${afterMl(water.afterG, water.afterFrac)} in all`
        "
        :menu="menus.water.value"
        :action="waterG === null ? 'Say how much water' : `${format.mass(waterG)} of water are in`"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'watered', massG: waterG!, note: '' },
            `${jug.label}: ${format.mass(waterG!)} of water added.`,
          )
        "
      >
        <AmountRow
          :label="`Water, ${format.pouredOrWeighed}`"
          name="Water added"
          :placeholder="format.volume(250)"
          :value="waterG === null ? null : waterG / WATER_G_PER_ML"
          :kind="pouredKind(format, { step: 10, min: 1, max: 200000, gPerMl: WATER_G_PER_ML })"
          @change="(volumeMl) => (waterG = volumeMl * WATER_G_PER_ML)"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'draw'"
        title="Draw off"
        reason="What was poured by hand, as it was seen."
        :balance="null"
        :worked="
          drawnG === null
            ? `${format.mass(m)} are in it.`
            : `${format.mass(m)} − ${format.mass(drawnG)} = ${format.mass(m - drawnG)} left, ${afterMl(m - drawnG, c)}`
        "
        menu=""
        :action="drawnG === null ? 'Say how much' : `Draw off ${afterMl(drawnG, c)}`"
        :disabled="drawnG === null"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'poured', massG: drawnG!, note: drawnFor },
            `${jug.label}: ${afterMl(drawnG!, c)} drawn off.`,
          )
        "
      >
        <AmountRow
          :label="`How much, ${format.pouredOrWeighed}`"
          name="How much is drawn off"
          :placeholder="format.volume(480)"
          :value="drawnG === null ? null : drawnG / gPerMl"
          :kind="
            pouredKind(format, {
              step: 10,
              min: 1,
              max: m / gPerMl,
              gPerMl,
              limitText: `No more than the ${level} that are in it.`,
            })
          "
          @change="(volumeMl) => (drawnG = volumeMl * gPerMl)"
        />
        <TextRow
          label="For"
          name="What it is drawn off for"
          live
          placeholder="staff, a tasting"
          :value="drawnFor"
          @change="drawnFor = $event"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'count'"
        title="Count what it holds"
        :reason="
          tareG === null
            ? 'By its marks, or on the scale without the jug.'
            : `By its marks; or on the scale, jug and all: its ${format.mass(tareG)} are taken off.`
        "
        :balance="null"
        :worked="
          countedG === null
            ? `By the ledger: ${format.mass(m)}, ${level}.`
            : `${format.mass(m)} by the ledger, ${format.mass(countedG)} by the count: ${format.mass(Math.abs(countedG - m))} ${countedG < m ? 'are missing' : 'more'}.`
        "
        menu=""
        :action="countedG === null ? 'Say what it holds' : `It holds ${afterMl(countedG, c)}`"
        :disabled="countedG === null"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'counted', massG: countedG!, note: '' },
            `${jug.label}: ${afterMl(countedG!, c)} counted.`,
          )
        "
      >
        <AmountRow
          :label="`It holds, ${format.pouredOrWeighed}`"
          name="Counted in the jug"
          :placeholder="level"
          :value="countedG === null ? null : countedG / gPerMl"
          :kind="pouredKind(format, { step: 10, min: 0, max: 200000, gPerMl })"
          @change="setCounted"
        />
      </BalanceCard>
      <BalanceCard
        v-if="view === 'discard'"
        title="Discard"
        reason="What is thrown away stays in the log, with the reason and what it had cost."
        :balance="null"
        :worked="
          jug.pricePerKg === null
            ? `${format.mass(discardG ?? m)} go.`
            : `${format.mass(discardG ?? m)} go: ${format.money(((discardG ?? m) / 1000) * jug.pricePerKg)} of coffee.`
        "
        menu=""
        :action="discardReason === '' ? 'Say why' : `Discard ${afterMl(discardG ?? m, c)}`"
        :disabled="discardReason === ''"
        :doing="bench.doing.value"
        @act="
          bench.enter(
            { kind: 'discarded', massG: discardG ?? m, reason: discardReason },
            `${jug.label}: ${format.mass(discardG ?? m)} discarded.`,
          )
        "
      >
        <AmountRow
          :label="`How much, ${format.pouredOrWeighed}`"
          name="How much is discarded"
          placeholder="all of it"
          :value="discardG === null ? null : discardG / gPerMl"
          :kind="pouredKind(format, { step: 10, min: 1, max: m / gPerMl, gPerMl })"
          @change="(volumeMl) => (discardG = volumeMl * gPerMl)"
        />
        <TextRow
          label="Because"
          name="Why it is discarded"
          live
          placeholder="past its date"
          :value="discardReason"
          @change="discardReason = $event"
        />
      </BalanceCard>
    </div>
    <JugLedger
      class="ledger"
      :entries
      :zone="shelf.zone"
      :g-per-ml
      :may-correct="session.can('brews')"
      :doing="bench.doing.value"
      :format
      @correct="
        (entry, entered) =>
          bench.enter(
            { kind: 'corrected', entryId: entry.id, ...entered },
            `${jug!.label}: corrected, ${entered.reason}.`,
          )
      "
      @undo="bench.enter({ kind: 'undone', entryId: $event.id }, `${jug.label}: taken back.`)"
    />
  </div>
  <div v-else class="page empty">
    <h1>There is no such jug</h1>
    <p>It may have been emptied. <RouterLink to="/jugs">See what is on hand</RouterLink></p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 440px) minmax(0, 1fr);
  gap: 16px 24px;
}

.page > * {
  grid-column: 1 / -1;
}

/* What is done to it stands beside what was. */
.page > .cards {
  grid-column: 1;
}

.page > .ledger {
  grid-column: 2;
}

@media (max-width: 1100px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }

  .page > .ledger {
    grid-column: 1;
  }
}
</style>
