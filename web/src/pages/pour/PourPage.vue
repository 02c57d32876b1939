<script setup lang="ts">
import type { Jug } from '@ratio/core';
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import GlassDrawing from '../../drawing/GlassDrawing.vue';
import { onHandMl } from '../../stores/jugs.ts';
import { useNotice } from '../../stores/notice.ts';
import MenuLadder from './MenuLadder.vue';
import PourOutcome from './PourOutcome.vue';
import { usePour } from './usePour.ts';

const pour = usePour();
const { drink, solution, jugs, menu, shop, ice, layers } = pour;
const notice = useNotice();
const pouring = ref(false);
// Kept until the server acknowledges it, so that a second try counts once.
let pourId = newId();

const writeJug = (jug: Jug): string => pour.volume(onHandMl(jug));
const enough = computed(() =>
  Boolean(jugs.chosen && solution.value && jugs.chosen.onHandG >= solution.value.concentrateG),
);
const price = computed(() =>
  drink.value && shop.value
    ? new Intl.NumberFormat('en-GB', { style: 'currency', currency: shop.value.currency }).format(
        drink.value.price,
      )
    : '',
);

async function pourIt(): Promise<void> {
  const jug = jugs.chosen;
  if (!jug || !drink.value || !solution.value) return;
  pouring.value = true;
  const id = pourId;
  const { name } = drink.value;
  try {
    await jugs.pour({ jug, id, massG: solution.value.concentrateG, note: name });
    pourId = newId();
    const text = `${name}: ${pour.volume(solution.value.concentrateMl)} from ${jug.label}.`;
    notice.say({ tone: 'done', text, undo: () => jugs.takeBack(jug, id) });
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
  } finally {
    pouring.value = false;
  }
}
</script>

<template>
  <div v-if="jugs.chosen && drink && solution" class="pour">
    <h1 class="visually-hidden">Pour a drink</h1>
    <MenuLadder
      class="left"
      :rows="menu.rows"
      :chosen-id="drink.id"
      :jug="jugs.chosen"
      :jugs="jugs.onHand"
      :write-jug="writeJug"
      @choose="pour.choose"
      @jug="jugs.choose"
    />
    <section class="middle" aria-label="The glass">
      <GlassDrawing
        :cup-ml="drink.cupMl"
        :kind="drink.glass"
        :layers="layers"
        :ice="ice"
        :line-text="`fill line ${pour.volume(drink.cupMl)}`"
        :per-unit-ml="pour.perUnitMl.value"
        @concentrate="pour.aimByConcentrate"
      />
    </section>
    <PourOutcome
      class="right"
      :drink="drink"
      :solution="solution"
      :minute="pour.minute.value"
      :wanted="pour.wanted.value"
      :changed="pour.once.value !== null"
      :build="pour.build.value"
      :write-temp="pour.temp"
      :price="price"
      :enough="enough"
      :pouring="pouring"
      @aim="pour.aim"
      @usual="pour.asUsual"
      @pour="pourIt"
    />
  </div>
  <div v-else class="empty">
    <h2>No concentrate is on hand</h2>
    <p>Every drink is poured from a jug. Strain a batch into one, or start a new one.</p>
    <p><RouterLink to="/steep">See what is steeping</RouterLink></p>
  </div>
</template>

<style scoped>
.pour {
  display: grid;
  grid-template-columns: 276px minmax(0, 1fr) 484px;
  min-height: calc(100vh - 84px);
}

.middle {
  padding: 12px 8px;
  background: var(--panel);
  border-inline: 1px solid var(--hairline);
}

.empty {
  margin-left: 24px;
}

@media (max-width: 1180px) {
  .pour {
    grid-template-columns: 250px minmax(0, 1fr);
  }

  .right {
    grid-column: 1 / -1;
    border-top: 1px solid var(--hairline);
  }

  .middle {
    border-right: 0;
  }
}

@media (max-width: 640px) {
  .pour {
    grid-template-columns: 1fr;
  }

  .right {
    grid-row: 1;
  }
}
</style>
