<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { amountCards } from './amountCards.ts';
import BalanceCard from './BalanceCard.vue';
import JugHead from './JugHead.vue';
import { strengthCards } from './strengthCards.ts';
import { useJugBench } from './useJugBench.ts';
import { onHandMl } from '../events/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { PickButtons } from '../ui/fields/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const JugLedger = lazyComponent(() => import('./JugLedger.vue'));
/** One jug: read it, thin it, blend it, stretch it, each as a balance before it is done. */
const bench = useJugBench();
const { jug, entries, others, shop, jugs, gPerMl } = bench;
const format = useAmountFormat();
const session = useSession();
const cards = { ...strengthCards(bench, format), ...amountCards(bench, format) };
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
const card = computed(() => (jug.value && view.value ? cards[view.value](jug.value) : null));
</script>

<template>
  <div v-if="jug" class="page">
    <JugHead
      :jug
      :on-hand-ml="onHandMl(jug)"
      :zone="shop.zone"
      :format
      @choose="jugs.choose(jug.id)"
    />
    <PickButtons v-model="view" class="no-print" label="What to do to it" :options="views" />
    <div class="cards">
      <BalanceCard v-if="card" :key="card.title" :card :doing="bench.doing.value" />
    </div>
    <JugLedger
      class="ledger"
      :entries
      :zone="shop.zone"
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
