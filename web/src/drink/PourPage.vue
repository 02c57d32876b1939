<script setup lang="ts">
import type { Jug } from '@ratio/core/jug';
import { computed, ref, watch } from 'vue';
import { ElButton } from 'element-plus';
import { RouterLink } from 'vue-router';
import { useDrinks } from './drinks.ts';
import MenuLadder from './MenuLadder.vue';
import PourOutcome from './PourOutcome.vue';
import DrinkWhy from './DrinkWhy.vue';
import { useDrinkVersions } from './useDrinkVersions.ts';
import { usePour } from './usePour.ts';
import { usePourOutcome } from './usePourOutcome.ts';
import { usePourWhy } from './usePourWhy.ts';
import { onHandMl } from '../events/index.ts';
import { sentenceOf, useNotice, useSession } from '../sync/index.ts';
import { useKeys } from '../ui/browser/index.ts';
import { GlassDrawing } from '../ui/drawings/index.ts';
import { PickButtons, useRefusals } from '../ui/fields/index.ts';
import { FoldAway } from '../ui/figures/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const DrinkMake = lazyComponent(() => import('./DrinkMake.vue'));
const DrinkVersions = lazyComponent(() => import('./DrinkVersions.vue'));
const page = usePour();
const { hand, drink, solved, solution, jugs, menu, format, layers, measuring, count } = page;
const { isNew, keeping } = hand;
const { asked, explained } = usePourWhy(page);
const view = ref<'pour' | 'make' | 'versions'>('pour');
const session = useSession();
// Who changes the menu is told what is asked for; to others it is history, fetched when they look.
const versions = useDrinkVersions(
  drink,
  computed(() => view.value === 'versions' || session.can('brews')),
);
const outcome = usePourOutcome(page, versions.asked);
useRefusals();
const drinks = useDrinks();
const notice = useNotice();
const ladder = computed(() => menu.rowsOf(drinks.drinks, jugs.chosen));
/** How many drinks of the usual menu nobody has kept yet. */
const menuIsUsual = computed(() => (session.can('brews') ? drinks.usual.length : 0));
async function keepUsual(): Promise<void> {
  try {
    await drinks.keepUsual();
    notice.say({ tone: 'done', text: 'It is the shop’s menu now. Change what is different here.' });
  } catch (error) {
    notice.say({ tone: 'wrong', text: sentenceOf(error) });
  }
}
// What is in a drink is changed by whoever brews.
const views = computed(() => VIEWS.filter(({ value }) => value !== 'make' || session.can('brews')));
const VIEWS = [
  { value: 'pour', text: 'Pour it' },
  { value: 'make', text: 'What is in it' },
  { value: 'versions', text: 'History' },
] as const;
const writeJug = (jug: Jug): string => format.value.volume(onHandMl(jug));

function startNew(): void {
  hand.startNew();
  view.value = 'make';
}
/** On a phone the list of the others is open or shut. */
const othersOpen = ref(false);
function choose(id: string): void {
  hand.choose(id);
  othersOpen.value = false;
}
watch(
  () => drink.value?.id,
  () => {
    if (!isNew.value) view.value = 'pour';
  },
);
useKeys({ n: startNew });
</script>

<template>
  <div v-if="drink && solution && solved" class="pour side-by-side">
    <h1 class="visually-hidden">Pour a drink</h1>
    <FoldAway
      v-model:open="othersOpen"
      class="left no-print"
      :title="`Other drinks, other jugs: ${drinks.drinks.length} from ${jugs.chosen.label}`"
    >
      <MenuLadder
        :rows="ladder"
        :may-add="session.can('brews')"
        :chosen-id="isNew ? '' : drink.id"
        :jug="jugs.chosen"
        :jugs="jugs.toPourFrom"
        :assumed="jugs.isAssumed"
        :usual="menuIsUsual"
        :write-jug
        :ice-today-c="drinks.iceTodayC"
        :format
        @choose="choose"
        @jug="jugs.choose"
        @ice="drinks.iceTodayC = $event"
        @add="startNew"
        @about="jugs.aboutFrac = $event"
        @keep-usual="keepUsual"
      />
    </FoldAway>
    <FoldAway class="middle" title="The glass, to scale">
      <section aria-label="The glass">
        <GlassDrawing
          :cup-ml="drink.cupMl"
          :kind="drink.glass"
          :layers
          :ice="page.iceText.value"
          :line-text="`fill line ${format.volume(drink.cupMl)}`"
          :per-unit-ml="format.glassUnitMl"
          @layer="page.setLayer"
          @ice="page.setIce"
          @line="page.setCup"
        />
      </section>
    </FoldAway>
    <div class="right">
      <div class="tabs no-print">
        <PickButtons v-model="view" label="About this drink" :options="views" />
        <RouterLink :to="`/pour/card?drink=${drink.id}`">Build card</RouterLink>
      </div>
      <PourOutcome
        v-if="view === 'pour' && outcome"
        v-bind="outcome"
        :other-ice="page.otherIce.value"
        @aim="page.aim"
        @apply="page.applyRemedy"
        @adjust="hand.adjust"
        @usual="hand.asUsual"
        @keep="hand.keep"
        @measuring="measuring = $event"
        @count="count = $event"
        @pour="page.pour"
        @why="asked = $event"
      />
      <DrinkMake
        v-else-if="view === 'make' && outcome && page.shop.document"
        :may-price="session.can('leads')"
        :drink
        :solution
        :is-new
        :changes="outcome.edits.changes"
        :keeping
        :jug-frac="jugs.chosen.strengthFrac"
        :made="Object.values(page.pantry.resolved.made)"
        :ingredients="page.pantry.all"
        :bar="page.shop.document.bar"
        :rooms="page.shop.document"
        :format
        @change="hand.change"
        @aim="page.aim"
        @usual="hand.asUsual"
        @keep="hand.keep"
        @remove="hand.remove"
      />
      <DrinkVersions
        v-else
        :versions="versions.rows.value"
        :state="versions.state.value"
        :failure="versions.failure.value"
        @take="hand.take"
        @back="view = 'pour'"
      />
    </div>
    <DrinkWhy v-model="asked" :explained :format />
  </div>
  <div v-else class="empty">
    <h2>Nothing is on the menu</h2>
    <p>A drink is a glass, its ice, what goes in, and the strength that it is brought to.</p>
    <p><ElButton type="primary" @click="startNew">Make the first drink</ElButton></p>
  </div>
</template>

<style scoped>
.pour {
  grid-template-columns: 262px minmax(0, 1fr) 500px;
}

/* On a phone it stands under what is not there yet, and would be seen to move. */
.below {
  visibility: hidden;
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

.tabs a {
  margin-left: auto;
  font-size: var(--t13);
}

.empty {
  margin-left: 24px;
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

  .left {
    grid-row: 2;
    padding-inline: 14px;
  }

  .middle {
    border-top: 0;
    background: none;
    padding: 0 14px;
  }

  /* What the button’s row covers. */
  .pour {
    align-content: start;
    padding-bottom: 76px;
  }
}
</style>
