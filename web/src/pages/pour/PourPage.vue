<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import GlassDrawing from '../../drawing/GlassDrawing.vue';
import { onHandMl } from '../../stores/jugs.ts';
import { useNotice } from '../../stores/notice.ts';
import type { Jug } from '@ratio/core';
import DrinkMake from './DrinkMake.vue';
import DrinkVersions from './DrinkVersions.vue';
import MenuLadder from './MenuLadder.vue';
import PourOutcome from './PourOutcome.vue';
import { usePour } from './usePour.ts';

const pour = usePour();
const { hand, drink, solved, solution, jugs, menu, words, layers } = pour;
const notice = useNotice();
const pouring = ref(false);
const view = ref<'pour' | 'make' | 'versions'>('pour');
const VIEWS = [
  { key: 'pour', name: 'Pour it' },
  { key: 'make', name: 'What is in it' },
  { key: 'versions', name: 'How it was' },
] as const;
// Kept until the server acknowledges it, so that a second try counts once.
let pourId = newId();

const writeJug = (jug: Jug): string => words.volume(onHandMl(jug));
const wholeG = computed(() => pour.count.value * (solution.value?.concentrateG ?? 0));
const enough = computed(() => Boolean(jugs.chosen && jugs.chosen.onHandG >= wholeG.value));
const left = computed(() => {
  const found = solution.value;
  if (!jugs.chosen || !found || found.status !== 'met' || found.concentrateG <= 0) return 0;
  return Math.floor(jugs.chosen.onHandG / found.concentrateG);
});

async function pourIt(): Promise<void> {
  const jug = jugs.chosen;
  if (!jug || !drink.value || !solution.value) return;
  pouring.value = true;
  const id = pourId;
  const n = pour.count.value;
  const name = n === 1 ? drink.value.name : `${n} × ${drink.value.name}`;
  try {
    await jugs.pour({ jug, id, massG: wholeG.value, note: name });
    pourId = newId();
    const text = `${name}: ${words.volume(n * solution.value.concentrateMl)} from ${jug.label}.`;
    notice.say({ tone: 'done', text, undo: () => jugs.takeBack(jug, id) });
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
  } finally {
    pouring.value = false;
  }
}

function startNew(): void {
  hand.startNew();
  view.value = 'make';
}
watch(
  () => drink.value?.id,
  () => {
    if (!hand.isNew.value) view.value = 'pour';
  },
);
function key(event: KeyboardEvent): void {
  if (event.key !== 'n' || event.ctrlKey || event.metaKey || event.altKey) return;
  if ((event.target as HTMLElement).closest('input, textarea, [role="dialog"]')) return;
  startNew();
}
window.addEventListener('keydown', key);
onScopeDispose(() => window.removeEventListener('keydown', key));
</script>

<template>
  <div v-if="jugs.chosen && drink && solution && solved" class="pour">
    <h1 class="visually-hidden">Pour a drink</h1>
    <MenuLadder
      class="left no-print"
      :rows="menu.rows"
      :chosen-id="hand.isNew.value ? '' : drink.id"
      :jug="jugs.chosen"
      :jugs="jugs.onHand"
      :write-jug="writeJug"
      @choose="hand.choose"
      @jug="jugs.choose"
      @add="startNew"
    />
    <section class="middle" aria-label="The glass">
      <GlassDrawing
        :cup-ml="drink.cupMl"
        :kind="drink.glass"
        :layers="layers"
        :ice="pour.iceText.value"
        :line-text="`fill line ${words.volume(drink.cupMl)}`"
        :per-unit-ml="words.perUnitMl.value"
        @layer="pour.setLayer"
        @ice="pour.setIce"
        @line="pour.setCup"
      />
    </section>
    <div class="right">
      <div class="tabs no-print">
        <button
          v-for="one in VIEWS"
          :key="one.key"
          type="button"
          :aria-pressed="view === one.key"
          @click="view = one.key"
        >
          {{ one.name }}
        </button>
        <RouterLink :to="`/pour/card?drink=${drink.id}`">Build card</RouterLink>
      </div>
      <PourOutcome
        v-if="view === 'pour'"
        :pour="pour"
        :enough="enough"
        :left="left"
        :pouring="pouring"
        @pour="pourIt"
      />
      <DrinkMake v-else-if="view === 'make'" :pour="pour" />
      <DrinkVersions v-else :drink="drink" :words="words" @take="hand.take" @back="view = 'pour'" />
    </div>
  </div>
  <div v-else class="empty">
    <h2>{{ jugs.chosen ? 'Nothing is on the menu' : 'No concentrate is on hand' }}</h2>
    <template v-if="jugs.chosen">
      <p>A drink is a glass, its ice, what goes in, and the strength that it is brought to.</p>
      <p><button type="button" class="first" @click="startNew">Make the first drink</button></p>
    </template>
    <template v-else>
      <p>Every drink is poured from a jug. Strain a batch into one, or start a new one.</p>
      <p><RouterLink to="/steep">See what is steeping</RouterLink></p>
    </template>
  </div>
</template>

<style scoped>
.pour {
  display: grid;
  grid-template-columns: 262px minmax(0, 1fr) 500px;
  min-height: calc(100vh - 84px);
}

.middle {
  padding: 12px 8px;
  background: var(--panel);
  border-inline: 1px solid var(--hairline);
}

.right {
  display: flex;
  min-width: 0;
  flex-direction: column;
}

.tabs {
  display: flex;
  align-items: center;
  gap: 4px;
  border-bottom: 1px solid var(--hairline);
  padding: 0 16px;
}

.tabs button {
  min-height: var(--touch);
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  padding: 0 8px;
  color: var(--ink-soft);
  font-weight: 600;
  cursor: pointer;
}

.tabs button[aria-pressed='true'] {
  border-bottom-color: var(--action);
  color: var(--ink);
}

.tabs a {
  margin-left: auto;
  font-size: var(--t13);
}

.empty {
  margin-left: 24px;
}

.first {
  min-height: var(--touch);
  border: 0;
  border-radius: 4px;
  background: var(--action);
  padding: 0 18px;
  color: var(--on-action);
  font-weight: 600;
  cursor: pointer;
}

/* On a tablet held upright what to pour stands beside the ladder, and the glass below it. */
@media (max-width: 1180px) {
  .pour {
    grid-template-columns: 230px minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }

  .left {
    grid-row: 1 / span 2;
  }

  .right,
  .middle {
    grid-column: 2;
  }

  .right {
    grid-row: 1;
    border-left: 1px solid var(--hairline);
  }

  .middle {
    border-top: 1px solid var(--hairline);
    border-right: 0;
  }
}

@media (max-width: 640px) {
  .pour {
    grid-template-columns: minmax(0, 1fr);
  }

  .left,
  .right,
  .middle {
    grid-row: auto;
    grid-column: 1;
    border-left: 0;
  }

  .tabs {
    gap: 0;
    padding: 0 6px;
  }

  .right {
    grid-row: 1;
  }
}
</style>
