<script setup lang="ts">
import { ref } from 'vue';
import { RouterView, useRouter } from 'vue-router';
import { sentenceOf } from './api/client.ts';
import FinderDialog from './components/navigation/FinderDialog.vue';
import KeysHelp from './components/navigation/KeysHelp.vue';
import NoticeBar from './components/navigation/NoticeBar.vue';
import TheLine from './components/navigation/TheLine.vue';
import { useBatches } from './stores/batches.ts';
import { useDraft } from './stores/draft.ts';
import { useDrinks } from './stores/drinks.ts';
import { useJugs } from './stores/jugs.ts';
import { usePantry } from './stores/pantry.ts';
import { useSettings } from './stores/settings.ts';
import { useShop } from './stores/shop.ts';
import { useChanges } from './composables/useChanges.ts';
import { useKeys } from './composables/useKeys.ts';

const STATION_KEYS: Readonly<Record<string, string>> = {
  '1': '/plan',
  '2': '/steep',
  '3': '/jugs',
  '4': '/pour',
};

/** Pages whose `n` makes one of what they hold. */
const STARTS_ITS_OWN = ['/pour', '/shelf/house-recipes', '/shelf/ingredients'];

useSettings();
useChanges();
const shelf = useShop();
const batches = useBatches();
const jugs = useJugs();
const pantry = usePantry();
const drinks = useDrinks();
const drafts = useDraft();
const router = useRouter();
const state = ref<'loading' | 'ready' | 'failed'>('loading');
const failure = ref('');
const help = ref(false);
const finder = ref(false);

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await Promise.all([shelf.load(), pantry.load(), drinks.load(), batches.load(), jugs.load()]);
    await drafts.load();
    state.value = 'ready';
  } catch (error) {
    failure.value = sentenceOf(error);
    state.value = 'failed';
  }
}
void load();

useKeys({
  ...Object.fromEntries(
    Object.entries(STATION_KEYS).map(([key, to]) => [key, () => void router.push(to)]),
  ),
  'Shift+?': () => (help.value = true),
  '/': () => (finder.value = true),
  n: () => {
    if (STARTS_ITS_OWN.includes(router.currentRoute.value.path)) return;
    drafts.restart();
    void router.push('/plan');
  },
});
</script>

<template>
  <a href="#page" class="skip">Skip to the page</a>
  <TheLine @help="help = true" @find="finder = true" />
  <main id="page" tabindex="-1">
    <RouterView v-if="state === 'ready'" />
    <h1 v-else-if="state === 'loading'" class="wait soft">Fetching the shop …</h1>
    <div v-else class="wait" role="alert">
      <h1>The shop’s server does not answer</h1>
      <p>{{ failure }} What you typed is kept on this tablet.</p>
      <button type="button" @click="load">Try again</button>
    </div>
  </main>
  <NoticeBar />
  <KeysHelp v-model="help" />
  <FinderDialog v-model="finder" />
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}

.skip:focus {
  left: 8px;
  top: 8px;
  padding: 12px;
  background: var(--panel);
  z-index: 20;
}

main:focus {
  outline: none;
}

.wait {
  padding: 48px 24px;
}
</style>
